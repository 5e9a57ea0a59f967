import { logSchema } from '../../../schemas/log';
import { endpoint, jsonEndpoint } from '../../../server/endpoint';
import { database } from '../../../server/database';
import { logPage, PAGE_SIZES } from '../../../store/lists';
import { logEntries, logList, logOfJob } from '../../../store/log';
import { pageAsked } from '../../../store/page';
import { requireNewLog, type LogBody } from '../../../store/rules/log';

/** One page with `page` (of a `project`, of an `outcome`), what belongs to a job with `job`, or all. */
export const GET = endpoint(({ url: { searchParams } }) => {
  const db = database();
  if (searchParams.has('page'))
    return logPage(db, pageAsked(searchParams, PAGE_SIZES.log), {
      outcome: searchParams.get('outcome') ?? 'all',
      project: searchParams.get('project') ?? '',
    });
  const job = searchParams.get('job');
  return { log: job === null ? logList(db) : logOfJob(db, job) };
});

export const POST = jsonEndpoint(logSchema, (body) => logEntries.insert(database(), requireNewLog(database(), body as LogBody)), {
  status: 201,
});
