import { database } from '../../../server/database';
import { endpoint } from '../../../server/endpoint';
import { openRuns, timersOf } from '../../../store/bench-runs';

/** What runs by itself at the bench, for every screen of the house. */
export const GET = endpoint(() => ({ timers: openRuns(database()).flatMap(timersOf) }));
