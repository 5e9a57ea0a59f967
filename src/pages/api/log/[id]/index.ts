import { logUpdateSchema } from '../../../../schemas/records';
import { recordEndpoints, withoutVersion } from '../../../../server/record-endpoints';
import { logEntries, withMeasured, type LogFields } from '../../../../store/log';

export const { GET, PUT, DELETE } = recordEndpoints(logEntries, logUpdateSchema, (body) =>
  withMeasured(withoutVersion(body) as Omit<LogFields, 'measuredBendingLength'>),
);
