import { logSchema } from '../../../schemas/records';
import { endpoint, jsonEndpoint } from '../../../server/endpoint';
import { database } from '../../../store/database';
import { logEntries, logList } from '../../../store/log';
import { requireLog, type LogBody } from '../../../store/rules/log';

export const GET = endpoint(() => ({ log: logList(database()) }));

export const POST = jsonEndpoint(logSchema, (body) => logEntries.insert(database(), requireLog(database(), body as LogBody)), {
  status: 201,
});
