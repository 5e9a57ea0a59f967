import { logUpdateSchema } from '../../../../schemas/log';
import { recordEndpoints, withoutVersion } from '../../../../server/record-endpoints';
import { database } from '../../../../server/database';
import { logEntries } from '../../../../store/log';
import { requireLog, type LogBody } from '../../../../store/rules/log';

export const { GET, PUT, DELETE } = recordEndpoints(logEntries, logUpdateSchema, (body, current) =>
  requireLog(database(), withoutVersion(body) as LogBody, current),
);
