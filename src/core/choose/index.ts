export { choose, questionFor } from './choose';
export type { Choice, CriterionScore, RankedStack, RuledOutStack, StackLayer } from './choose';
export { AVOIDS, CARES, CUTS, HANDS, HAND_BANDS, ROLES, STRETCHES } from './part';
export type { Avoid, Care, Cut, Embroidery, Hand, Part, Role, StretchWish } from './part';
export { ROLE_PROFILES } from './roles';
export { stepsFor } from './steps-for';
export type { RoleArea, RoleKind, RoleProfile } from './roles';
export { ROLE_WORDS, CARE_WORDS, CUT_WORDS, STRETCH_WORDS } from './words';
