import { restoreEndpoint } from '../../../../server/record-endpoints';
import { seams } from '../../../../store/seams';

export const POST = restoreEndpoint(seams);
