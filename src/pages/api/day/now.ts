import { database } from '../../../server/database';
import { endpoint } from '../../../server/endpoint';
import { planNow } from '../../../server/plan-now';

/** What the plan of the day says to do now, next and alongside; `?without=` a run that is in hand. */
export const GET = endpoint(({ url }) => planNow(database(), url.searchParams.get('without') ?? undefined));
