export { shortOf } from './bottle';
export type { Bottle } from './bottle';
export { DAMP, DAMPNESS, drying, secondsUnderIron } from './drying';
export type { Air, Dampness, Drying, DryingOptions, Hanging } from './drying';
export { dryingByWeight, readyAt } from './weighed';
export type { WeighedDrying, Weighing } from './weighed';
export { liquidPlan, methodOf, METHODS, pickUpOf } from './uptake';
export type { LiquidOptions, LiquidPlan, Method, WetPiece } from './uptake';
