import { planSchema } from '../../../../schemas/plan';
import { database } from '../../../../server/database';
import { jsonEndpoint } from '../../../../server/endpoint';
import { planProject, type PlanAsked } from '../../../../server/plan-project';

/** The fewest materials for all jobs of a project. */
export const POST = jsonEndpoint(planSchema, (body, { params }) => planProject(database(), params['id']!, body as PlanAsked));
