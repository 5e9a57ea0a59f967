import { restoreEndpoint } from '../../../../server/record-endpoints';
import { pieces } from '../../../../store/pieces';

export const POST = restoreEndpoint(pieces);
