import { dayPlanSchema, daySchema } from '../../../schemas/compute';
import { database } from '../../../server/database';
import { dayRunsKept } from '../../../server/day-kept';
import { endpoint, jsonEndpoint } from '../../../server/endpoint';
import { readDayPlan, writeDayPlan } from '../../../store/day-plan';

/** The day that was planned last, for every tablet of the house. */
export const GET = endpoint(() => readDayPlan(database()));
export const PUT = jsonEndpoint(dayPlanSchema, ({ plan, version }) => writeDayPlan(database(), plan, version));

/** What some jobs and open runs come to as tasks: how long each takes, what it holds, what it waits for. */
export const POST = jsonEndpoint(daySchema, ({ jobIds, runIds, hoopingIds }) =>
  dayRunsKept(database(), jobIds, runIds, hoopingIds),
);
