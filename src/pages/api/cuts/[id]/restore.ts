import { restoreEndpoint } from '../../../../server/record-endpoints';
import { cuts } from '../../../../store/cuts';

export const POST = restoreEndpoint(cuts);
