import { projectSchema } from '../../../schemas/records';
import { endpoint, jsonEndpoint } from '../../../server/endpoint';
import { database } from '../../../store/database';
import { projects, projectSummaries } from '../../../store/projects';

export const GET = endpoint(() => ({ projects: projectSummaries(database()) }));

export const POST = jsonEndpoint(projectSchema, (body) => projects.insert(database(), body), { status: 201 });
