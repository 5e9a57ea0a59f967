import { logSchema } from '../../../schemas/records';
import { endpoint, jsonEndpoint } from '../../../server/endpoint';
import { database } from '../../../server/database';
import { logPage, PAGE_SIZES } from '../../../store/lists';
import { logEntries, logList, logOfPart } from '../../../store/log';
import { pageAsked } from '../../../store/page';
import { requireLog, type LogBody } from '../../../store/rules/log';

/** One page with `page`, what belongs to a part with `part`, or all. */
export const GET = endpoint(({ url: { searchParams } }) => {
  const db = database();
  if (searchParams.has('page')) return logPage(db, pageAsked(searchParams, PAGE_SIZES.log), searchParams.get('outcome') ?? 'all');
  const part = searchParams.get('part');
  return { log: part === null ? logList(db) : logOfPart(db, part) };
});

export const POST = jsonEndpoint(logSchema, (body) => logEntries.insert(database(), requireLog(database(), body as LogBody)), {
  status: 201,
});
