import { restoreEndpoint } from '../../../../server/record-endpoints';
import { hoops } from '../../../../store/hoops';

export const POST = restoreEndpoint(hoops);
