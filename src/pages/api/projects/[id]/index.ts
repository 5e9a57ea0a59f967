import { projectUpdateSchema } from '../../../../schemas/projects';
import { recordEndpoints, withoutVersion } from '../../../../server/record-endpoints';
import { projects } from '../../../../store/projects';

export const { GET, PUT, DELETE } = recordEndpoints(projects, projectUpdateSchema, withoutVersion);
