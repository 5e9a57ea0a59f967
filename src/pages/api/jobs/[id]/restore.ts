import { restoreEndpoint } from '../../../../server/record-endpoints';
import { jobs } from '../../../../store/jobs';

export const POST = restoreEndpoint(jobs);
