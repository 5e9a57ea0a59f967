import { benchRuns } from '../bench-runs';
import type { Db } from '../database';
import { InputError } from '../../core/input-error';
import { filedOfRun, withMeasured, type LogFields } from '../log';
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

/** A new entry: besides, a run is filed once for each of its jobs. @throws {InputError} naming the field */
export function requireNewLog(db: Db, body: LogBody): LogFields {
  const fields = requireLog(db, body);
  const { benchRunId, jobId } = body;
  if (benchRunId !== null && jobId !== null && filedOfRun(db, benchRunId).includes(jobId))
    throw new InputError(
      'benchRunId',
      'is of a run that is filed for this job already; the logbook has its entry, which can be corrected there',
    );
  return fields;
}
