export { planJobs } from './plan-jobs';
export type { JobOption, Plan, PlannedJob, PlanOptions } from './plan-jobs';
