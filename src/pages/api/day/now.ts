import { database } from '../../../server/database';
import { endpoint } from '../../../server/endpoint';
import { planNowKept } from '../../../server/day-kept';

/** What the plan of the day says to do now, next and alongside; `?without=` a run that is in hand. */
export const GET = endpoint(({ url }) => planNowKept(database(), url.searchParams.get('without') ?? undefined));
