import { restoreEndpoint } from '../../../../server/record-endpoints';
import { motifs } from '../../../../store/motifs';

export const POST = restoreEndpoint(motifs);
