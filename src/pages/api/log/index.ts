import { logSchema } from '../../../schemas/records';
import { endpoint, jsonEndpoint } from '../../../server/endpoint';
import { database } from '../../../store/database';
import { logEntries, logList, withMeasured, type LogFields } from '../../../store/log';
import { parts } from '../../../store/parts';

export const GET = endpoint(() => ({ log: logList(database()) }));

export const POST = jsonEndpoint(
  logSchema,
  (body) => {
    const db = database();
    if (body.partId) parts.get(db, body.partId);
    return logEntries.insert(db, withMeasured(body as Omit<LogFields, 'measuredBendingLength'>));
  },
  { status: 201 },
);
