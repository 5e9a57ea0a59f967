import { bottleUpdateSchema } from '../../../schemas/layers';
import { database } from '../../../server/database';
import { endpoint, jsonEndpoint } from '../../../server/endpoint';
import { withoutVersion } from '../../../server/record-endpoints';
import { NotFoundError } from '../../../store/errors';
import { layers, type Layer } from '../../../store/layers';

/** The bottle of a liquid as a record of its own: that of the layer with this id. */
function asBottle({ id, name, form, version, bottle }: Layer) {
  if (form !== 'liquid') throw new NotFoundError('bottle');
  return { id, name, version, ...bottle };
}

export const GET = endpoint(({ params }) => asBottle(layers.get(database(), params['id']!)));

export const PUT = jsonEndpoint(bottleUpdateSchema, (body, { params }) => {
  const db = database();
  const current = layers.get(db, params['id']!);
  asBottle(current);
  return asBottle(layers.update(db, current.id, { ...current, bottle: withoutVersion(body) }, body.version));
});
