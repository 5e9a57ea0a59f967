export { kitItems } from './kit-items';
export type { KitItem, KitJob } from './kit-items';
export { KIT_STATES, kitCount, kitMoved } from './kit-state';
export type { KitCount, KitMove, KitState, KitStanding } from './kit-state';
