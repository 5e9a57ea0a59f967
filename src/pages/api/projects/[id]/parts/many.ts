import { partsSchema } from '../../../../../schemas/records';
import { InputError } from '../../../../../core/input-error';
import { jsonEndpoint } from '../../../../../server/endpoint';
import { requirePart } from '../../../../../store/rules/part';
import { database } from '../../../../../server/database';
import { parts, type PartFields } from '../../../../../store/parts';
import { projects } from '../../../../../store/projects';

/** An outline from a file can be long, and there can be many. */
const LIMIT = 16 * 1024 * 1024;

/** Several parts at once: all of them or none. */
export const POST = jsonEndpoint(
  partsSchema,
  (body, { params }) => {
    const db = database();
    const project = projects.get(db, params['id']!);
    return db.transaction(() => ({
      parts: body.parts.map((part, i) => {
        try {
          return parts.insert(db, requirePart(db, { ...part, projectId: project.id } as PartFields));
        } catch (error) {
          if (!(error instanceof InputError)) throw error;
          throw new InputError(`parts[${i}].${error.field}`, error.message.slice(error.field.length + 2));
        }
      }),
    }))();
  },
  { status: 201, limit: LIMIT },
);
