export { actOf } from './act-of';
export { evidenceOf } from './evidence';
export { isHeld, pausedStops, pressedGrounds, stopsOver } from './where';
export type { PausedStop, PressedGround, PressedStop } from './where';
export { START_STATE } from './run';
export type { BenchPlan, BenchSheet, BenchState, BenchStep, BenchTimer, BenchWork } from './run';
export {
  actionFor,
  benchMoved,
  minutesByWeight,
  mistedFirst,
  moreSeconds,
  outlineOf,
  placeOf,
  regionOfStep,
  secondsLeft,
  stopsOf,
} from './moves';
export type { BenchAction, BenchMove, BenchStanding } from './moves';
export { tickedFor } from './ticked';
export type { Ticked } from './ticked';
