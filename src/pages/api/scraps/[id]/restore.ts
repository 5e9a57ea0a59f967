import { restoreEndpoint } from '../../../../server/record-endpoints';
import { scraps } from '../../../../store/scraps';

export const POST = restoreEndpoint(scraps);
