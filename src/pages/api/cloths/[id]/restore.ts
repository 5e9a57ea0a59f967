import { restoreEndpoint } from '../../../../server/record-endpoints';
import { cloths } from '../../../../store/cloths';

export const POST = restoreEndpoint(cloths);
