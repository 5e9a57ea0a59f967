import { logSchema } from '../../../schemas/records';
import { endpoint, jsonEndpoint } from '../../../server/endpoint';
import { database } from '../../../server/database';
import { logPage, PAGE_SIZES } from '../../../store/lists';
import { logEntries, logList, logOfJob } from '../../../store/log';
import { pageAsked } from '../../../store/page';
import { requireLog, type LogBody } from '../../../store/rules/log';

/** One page with `page`, what belongs to a job with `job`, or all. */
export const GET = endpoint(({ url: { searchParams } }) => {
  const db = database();
  if (searchParams.has('page')) return logPage(db, pageAsked(searchParams, PAGE_SIZES.log), searchParams.get('outcome') ?? 'all');
  const job = searchParams.get('job');
  return { log: job === null ? logList(db) : logOfJob(db, job) };
});

export const POST = jsonEndpoint(logSchema, (body) => logEntries.insert(database(), requireLog(database(), body as LogBody)), {
  status: 201,
});
