import { requireNumber } from '../input-error';

/** How far an edge can be made longer or shorter as it is sewn. */
export interface GivingSide {
  /** How far the cloth stretches along the edge, %. */
  stretch: number;
  /** Layers stop it from being eased or stretched. */
  held: boolean;
}

/** One side of a seam: how long its edge is where it is sewn, and what the two layers of cloth are like there. */
export interface SeamSide extends GivingSide {
  /** Length of the seam line, mm. */
  length: number;
  /** Cloth and every layer that runs into the allowance, mm. */
  thickness: number;
}

export type SeamFit = 'fits' | 'ease' | 'stretch' | 'misfit';

export interface ComparedSeam {
  /** First side less second, mm. */
  difference: number;
  fit: SeamFit;
  /** Which side has to give: the longer one is eased in, the shorter one stretched. */
  gives: 'first' | 'second' | undefined;
  /** Both sides in the seam, and at a turned corner, mm. */
  seam: number;
  corner: number;
  /** Whether the corner still passes under the raised foot. */
  clears: boolean;
}

/** What two people with one ruler differ by anyway: a millimetre at each end, or half a per cent. */
const EQUAL = 2;
const EQUAL_SHARE = 0.005;
/** Woven cloth can be eased in by about this much of its length before it gathers; cloth that gives more, more. */
const EASED = 0.04;
/** Of its stretch an edge is drawn out by at most this much when it is sewn. */
const DRAWN = 0.5;

/**
 * Whether two edges that are sewn together fit, and how thick they are there. A longer edge can be eased in by some per cent, a shorter
 * one stretched by half of what its cloth gives; an edge that a layer holds does neither.
 *
 * @param clearance what the machine clears under its raised foot, mm
 * @throws {InputError} for lengths that cannot be
 * @example compareSeam({ length: 300, thickness: 0.4, stretch: 2, held: false }, { length: 312, thickness: 0.4, stretch: 2, held: false }, 6).fit // 'ease'
 */
export function compareSeam(first: SeamSide, second: SeamSide, clearance: number): ComparedSeam {
  requireNumber('first.length', first.length, 'mm', { above: 0 });
  requireNumber('second.length', second.length, 'mm', { above: 0 });
  const seam = first.thickness + second.thickness;
  return { ...seamFit(first, second), seam, corner: 2 * seam, clears: 2 * seam <= clearance };
}

/** An edge or a part of it: mm, and how far it gives. */
type Given = GivingSide & { length: number };

/**
 * Whether two edges, or two stretches of them between marks, can be sewn together, and which of them has to give.
 *
 * @example seamFit({ length: 300, stretch: 2, held: false }, { length: 309, stretch: 2, held: false }).gives // 'second'
 */
export function seamFit(first: Given, second: Given): Pick<ComparedSeam, 'difference' | 'fit' | 'gives'> {
  const difference = first.length - second.length;
  const [longer, shorter] = difference > 0 ? [first, second] : [second, first];
  const by = Math.abs(difference);
  if (by <= Math.max(EQUAL, EQUAL_SHARE * longer.length)) return { difference, fit: 'fits', gives: undefined };
  const nameOf = (side: Given) => (side === first ? 'first' : 'second');
  const stretches = !shorter.held && by <= (DRAWN * shorter.stretch * shorter.length) / 100;
  const eases = !longer.held && by <= EASED * longer.length;
  // What gives by itself is stretched before anything is eased in.
  if (stretches && shorter.stretch > longer.stretch) return { difference, fit: 'stretch', gives: nameOf(shorter) };
  if (eases) return { difference, fit: 'ease', gives: nameOf(longer) };
  if (stretches) return { difference, fit: 'stretch', gives: nameOf(shorter) };
  return { difference, fit: 'misfit', gives: undefined };
}
