export { schedule } from './schedule';
export type { Schedule, ScheduleOptions, Task } from './schedule';
