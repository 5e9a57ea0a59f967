import type { BaseJoins, EdgeRule, LayerCut } from '../pieces';
import type { Role } from './part';

/**
 * Where a strip runs on the piece of a role when no edge was chosen.
 *
 * @example edgeRuleOf('neck-facing') // 'hollow'
 */
export function edgeRuleOf(role: Role): EdgeRule {
  switch (role) {
    case 'hem':
    case 'flare-hem':
      return 'hem';
    case 'knit-binding':
    case 'shoulder-seam':
    case 'zip-area':
      return 'longest';
    case 'neck-facing':
    case 'armhole-facing':
      return 'hollow';
    case 'waistband':
    case 'curved-waistband':
      return 'fold';
    default:
      return 'top';
  }
}

const JOINS: Partial<Record<Role, BaseJoins>> = { 'hat-tip': 'outside', 'hat-brim': 'opening', 'hat-band': 'ends' };

/** A strip over a slash is so wide and reaches so far past its point, the thin patch there is so large; along a godet it begins so far past the sewn line. mm. */
export const SLASH_CUT = { width: 28, pastEnds: 20, size: 40, past: 2 } as const;
/** A zip band reaches so far past both stitching lines, and past the ends of the opening, mm. */
export const ZIP_CUT = { past: 4, pastEnds: 15 } as const;
type RoleCut = Pick<LayerCut, 'width' | 'past' | 'pastEnds' | 'size'>;
const CUTS: Partial<Record<Role, RoleCut>> = {
  'godet-slash': SLASH_CUT,
  'zip-area': ZIP_CUT,
};

/** The square at an inner corner reaches an allowance, no less than the first, and the second past the sewn point each way, mm. */
const CORNER = { least: 10, past: 10 };

/**
 * Edge of the square that holds an inner corner, mm.
 *
 * @param allowances of the piece, mm
 * @example cornerSquare([6, 15]) // 50
 */
export function cornerSquare(allowances: readonly number[]): number {
  return 2 * (Math.max(CORNER.least, ...allowances) + CORNER.past);
}

/** An opening that nobody measured, and how far its patch reaches past it all round, mm; on cloth lighter than `under`, g/m², less far. */
export const OPENING = { across: 20, past: 18, fine: { under: 90, past: 10 } } as const;

/**
 * Edge of a patch round an opening whose size was not said, mm.
 *
 * @param clothWeight g/m²; undefined where no cloth is known
 * @example patchOf(70) // 40
 */
export function patchOf(clothWeight: number | null | undefined): number {
  const { across, past, fine } = OPENING;
  return across + 2 * (clothWeight && clothWeight < fine.under ? fine.past : past);
}

/**
 * What the role of a piece says of how its layers are cut, before its place or anything else says it: the one answer for the Cut stage, tables,
 * lists, the bench and techniques.
 *
 * @param allowances of the piece, where it is known, mm @param clothWeight g/m², where the cloth is known
 * @example cutOfRole('hat-brim').joins // 'opening'
 */
export function cutOfRole(
  role: Role,
  allowances: readonly number[] = [],
  clothWeight?: number | null,
): { rule: EdgeRule; joins?: BaseJoins; size: number } & RoleCut {
  const joins = JOINS[role];
  const own = CUTS[role];
  const size = role === 'inner-corner' ? cornerSquare(allowances) : (own?.size ?? patchOf(clothWeight));
  return { rule: edgeRuleOf(role), ...(joins ? { joins } : {}), ...own, size };
}
