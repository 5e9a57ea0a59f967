import { InputError } from '../input-error';
import type { Mark } from '../pieces';
import type { RecipeCut, RecipePiece } from './recipe';

/** What strips at 45° are cut from and joined to, mm. */
export interface BiasAsked {
  /** Length that is wanted, its joins taken off. */
  total: number;
  /** Width of the strip. */
  cut: number;
  clothWidth: number;
  clothLength: number;
  /** Allowance of a join. */
  allowance: number;
}

export interface BiasStrips {
  count: number;
  /** Length of each along its long edges, mm. */
  each: number;
}

/**
 * The fewest equal strips at 45° to the grain that reach a length once they are joined on the slant. From one edge of the cloth to the other,
 * their ends lying on them, they are as long as the cloth is deep times √2, where it is wide enough for the strip's own slant beside it; a
 * join takes its allowance twice, along the strip by √2.
 *
 * @throws {InputError} naming `clothLength` where the cloth gives no strip
 * @example biasStrips({ total: 2000, cut: 40, clothWidth: 1100, clothLength: 500, allowance: 6 }).count // 3
 */
export function biasStrips({ total, cut, clothWidth, clothLength, allowance }: BiasAsked): BiasStrips {
  const [short, long] = [Math.min(clothWidth, clothLength), Math.max(clothWidth, clothLength)];
  const longest = Math.min(short, long - cut * Math.SQRT2) * Math.SQRT2;
  if (longest < 2 * cut) throw new InputError('clothLength', `gives no strip ${cut} mm wide; saw ${clothLength} mm`);
  const join = 2 * allowance * Math.SQRT2;
  const count = Math.max(1, Math.ceil((total - join) / (longest - join)));
  return { count, each: (total + (count - 1) * join) / count };
}

/**
 * A strip with slanted ends that lie along the grain. Edges: bottom, right end, top, left end.
 *
 * @param creases where it is folded, as shares of its width
 * @example biasStrip('Strip', { count: 2, each: 700 }, 40, [0.5]).cuts[0].count // 2
 */
export function biasStrip(name: string, { count, each }: BiasStrips, cut: number, creases: readonly number[]): RecipePiece {
  const crease = (share: number): Mark => ({ kind: 'fold-line', at: [share * cut, share * cut], to: [each + share * cut, share * cut] }); // prettier-ignore
  const jobs: RecipeCut['jobs'] = [{ name: '', place: { kind: 'whole' }, role: 'bias-piece' }];
  return {
    name,
    shape: { kind: 'drawn', edges: [{ from: [0, 0] }, { from: [each, 0] }, { from: [each + cut, cut] }, { from: [cut, cut] }] },
    allowances: [0, 0, 0, 0],
    grain: 45,
    marks: creases.map(crease),
    cuts: [{ duty: 'shell', count, orientation: 'bias', jobs }],
  };
}

/** How strips are joined on the slant. */
export const JOINING_BIAS =
  'Lay two strips right sides together, slanted end on slanted end, so that they form a right angle; sew with the allowance, press the join open and clip the points.';
