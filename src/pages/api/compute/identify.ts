import { identify, identifyLayer } from '../../../core/identify';
import { LIBRARY_LAYERS } from '../../../core/library';
import { identifySchema } from '../../../schemas/compute';
import { database } from '../../../server/database';
import { jsonEndpoint } from '../../../server/endpoint';
import { cloths } from '../../../store/cloths';

/** What an unknown cloth, or a layer without a label, may be among those of the library. */
export const POST = jsonEndpoint(identifySchema, ({ kind, answers }) => {
  const given = answers as Record<string, string>;
  return kind === 'layer'
    ? identifyLayer(
        LIBRARY_LAYERS.filter(({ form }) => form !== 'liquid'),
        given,
      )
    : identify(
        cloths.list(database()).filter(({ origin }) => origin === 'library'),
        given,
      );
});
