import { restoreEndpoint } from '../../../../server/record-endpoints';
import { logEntries } from '../../../../store/log';

export const POST = restoreEndpoint(logEntries);
