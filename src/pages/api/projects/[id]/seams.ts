import { seamSchema } from '../../../../schemas/projects';
import { database } from '../../../../server/database';
import { endpoint, jsonEndpoint } from '../../../../server/endpoint';
import { judgedSeams, projectSeams } from '../../../../server/seam-work';
import { projects } from '../../../../store/projects';
import { requireSeam } from '../../../../store/rules/seam';
import { seams } from '../../../../store/seams';

/** Seams of a project, each with how its two edges fit and how thick it is, and the cuts that they are between. */
export const GET = endpoint(({ params }) => projectSeams(database(), params['id']!));

export const POST = jsonEndpoint(
  seamSchema,
  (body, { params }) => {
    const db = database();
    const { id: projectId } = projects.get(db, params['id']!);
    const kept = seams.insert(db, requireSeam(db, { ...body, projectId }));
    return judgedSeams(db, projectId).find(({ seam }) => seam.id === kept.id);
  },
  { status: 201 },
);
