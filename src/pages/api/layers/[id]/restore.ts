import { restoreEndpoint } from '../../../../server/record-endpoints';
import { layers } from '../../../../store/layers';

export const POST = restoreEndpoint(layers);
