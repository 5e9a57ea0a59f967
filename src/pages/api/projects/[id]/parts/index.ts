import { partSchemaNew } from '../../../../../schemas/records';
import { endpoint, jsonEndpoint } from '../../../../../server/endpoint';
import { requirePart } from '../../../../../store/rules/part';
import { database } from '../../../../../server/database';
import { parts, type PartFields } from '../../../../../store/parts';
import { projects } from '../../../../../store/projects';

export const GET = endpoint(({ params }) => ({
  parts: parts.list(database(), 'project_id = ?', [params['id']!], 'created_at, rowid'),
}));

export const POST = jsonEndpoint(
  partSchemaNew,
  (body, { params }) => {
    const db = database();
    const project = projects.get(db, params['id']!);
    return parts.insert(db, requirePart(db, { ...body, projectId: project.id } as PartFields));
  },
  { status: 201 },
);
