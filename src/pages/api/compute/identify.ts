import { identify } from '../../../core/identify';
import { identifySchema } from '../../../schemas/compute';
import { jsonEndpoint } from '../../../server/endpoint';
import { cloths } from '../../../store/cloths';
import { database } from '../../../server/database';

/** What an unknown cloth may be among those of the library. */
export const POST = jsonEndpoint(identifySchema, ({ answers }) =>
  identify(
    cloths.list(database()).filter(({ origin }) => origin === 'library'),
    answers as Record<string, string>,
  ),
);
