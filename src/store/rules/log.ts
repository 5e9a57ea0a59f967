import { benchRuns } from '../bench-runs';
import type { Db } from '../database';
import { withMeasured, type LogFields } from '../log';
import { jobs } from '../jobs';
import { requireKept } from './references';

/** An entry of the logbook as a page or script sends it. */
export type LogBody = Omit<LogFields, 'measuredBendingLength'>;

/**
 * What a schema cannot see: that the part and the run at the bench exist.
 *
 * @returns the entry with what was measured @throws {InputError} naming the field
 */
export function requireLog(db: Db, body: LogBody, current?: LogFields): LogFields {
  const references = [
    ['jobId', jobs, body.jobId],
    ['benchRunId', benchRuns, body.benchRunId],
  ] as const;
  requireKept(db, references, current);
  return withMeasured(body);
}
