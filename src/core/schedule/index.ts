export { eveningsOf } from './evenings';
export type { Evening } from './evenings';
export { HANDS, IRON, runTasks } from './run-tasks';
export type { DayTask, PlannedRun, TimedStep } from './run-tasks';
export { schedule } from './schedule';
export type { Schedule, ScheduleOptions, Task } from './schedule';
