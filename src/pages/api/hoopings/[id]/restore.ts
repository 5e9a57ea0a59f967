import { restoreEndpoint } from '../../../../server/record-endpoints';
import { hoopings } from '../../../../store/hoopings';

export const POST = restoreEndpoint(hoopings);
