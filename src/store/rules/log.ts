import { InputError } from '../../core/input-error';
import { benchRuns } from '../bench-runs';
import type { Db } from '../database';
import { withMeasured, type LogFields } from '../log';
import { parts } from '../parts';

/** An entry of the logbook as a page or script sends it. */
export type LogBody = Omit<LogFields, 'measuredBendingLength'>;

/**
 * What a schema cannot see: that the part and the run at the bench exist. What an entry was kept with may have been deleted since.
 *
 * @returns the entry with what was measured @throws {InputError} naming the field
 */
export function requireLog(db: Db, body: LogBody, current?: LogFields): LogFields {
  for (const [field, table, id] of [
    ['partId', parts, body.partId],
    ['benchRunId', benchRuns, body.benchRunId],
  ] as const)
    if (id !== null && id !== current?.[field] && !table.find(db, id))
      throw new InputError(field, `points to nothing that is kept: ${JSON.stringify(id)}`);
  return withMeasured(body);
}
