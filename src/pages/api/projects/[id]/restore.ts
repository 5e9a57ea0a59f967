import { restoreEndpoint } from '../../../../server/record-endpoints';
import { projects } from '../../../../store/projects';

export const POST = restoreEndpoint(projects);
