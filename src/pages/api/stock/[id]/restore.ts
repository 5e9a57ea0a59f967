import { restoreEndpoint } from '../../../../server/record-endpoints';
import { stock } from '../../../../store/stock';

export const POST = restoreEndpoint(stock);
