import { dayMovesSchema } from '../../../schemas/moves';
import type { DayMove } from '../../../core/schedule';
import { database } from '../../../server/database';
import { jsonEndpoint } from '../../../server/endpoint';
import { moveDayPlan } from '../../../store/day-plan';
import type { SentMove } from '../../../store/moves';

/** What was done to the plan of the day, on any tablet. */
export const POST = jsonEndpoint(dayMovesSchema, ({ moves }) => moveDayPlan(database(), moves as SentMove<DayMove>[]));
