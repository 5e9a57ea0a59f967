import { projectSchema } from '../../../schemas/projects';
import { endpoint, jsonEndpoint } from '../../../server/endpoint';
import { database } from '../../../server/database';
import { PAGE_SIZES, projectPage } from '../../../store/lists';
import { pageAsked } from '../../../store/page';
import { projectNames, projects, projectSummaries } from '../../../store/projects';

/** One page with `page`, names alone with `names`, or all. */
export const GET = endpoint(({ url: { searchParams } }) => {
  const db = database();
  if (searchParams.has('page')) return projectPage(db, pageAsked(searchParams, PAGE_SIZES.projects));
  if (searchParams.has('names')) return { projects: projectNames(db) };
  return { projects: projectSummaries(db) };
});

export const POST = jsonEndpoint(projectSchema, (body) => projects.insert(database(), body), { status: 201 });
