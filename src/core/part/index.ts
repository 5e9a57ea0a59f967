export { cornerSquare, cutOfRole, edgeRuleOf, OPENING, patchOf, SLASH_CUT, ZIP_CUT } from './edge-rule';
export { AVOIDS, CARES, CUTS, HAND_BANDS, HANDS, ROLES, STRETCHES } from './part';
export type { Avoid, Care, CutGrain, Embroidery, Hand, Part, Role, StretchWish } from './part';
export { isQuiltBlock } from './quilt-block';
export { STRETCHY, traitsOf } from './traits';
export type { Traits } from './traits';
