import { database } from '../../../../server/database';
import { endpoint } from '../../../../server/endpoint';
import { waitingFor } from '../../../../server/leftover-fits';
import { readSettings } from '../../../../store/settings';

/** What open projects still have to cut from the material of this roll, sheet or leftover; how much of it fits is laid by who asks. */
export const GET = endpoint(({ params }) => ({
  waiting: waitingFor(database(), params['id']!),
  trim: readSettings(database()).settings.trim,
}));
