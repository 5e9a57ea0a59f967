import { restoreEndpoint } from '../../../../server/record-endpoints';
import { parts } from '../../../../store/parts';

export const POST = restoreEndpoint(parts);
