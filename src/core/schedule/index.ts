export { eveningsOf } from './evenings';
export type { Evening } from './evenings';
export { BY_HAND as HANDS, BY_IRON as IRON, paceOf, runTasks, stepMinutes } from './run-tasks';
export type { DayTask, PlannedRun, TimedStep } from './run-tasks';
export { schedule } from './schedule';
export type { Aim, Schedule, ScheduleOptions, Task } from './schedule';
export { timingsOf } from './timings';
export type { FinishedRun } from './timings';
