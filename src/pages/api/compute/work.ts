import { stackWork, type Part, type ToldPiece } from '../../../core/choose';
import type { Fabric } from '../../../core/cloth';
import { schoolsOf } from '../../../core/schools';
import { workSchema } from '../../../schemas/choose';
import { chosenLayers } from '../../../server/chosen-layers';
import { computed } from '../../../server/compute';
import { database } from '../../../server/database';
import { jsonEndpoint } from '../../../server/endpoint';

/** Outlines of so many corners are done sooner than a thread is started. */
const FEW = 300;

/** What is done with each layer of a stack at its place: techniques, what they take, steps, minutes. */
export const POST = jsonEndpoint(workSchema, ({ fabric, part, layers, piece, count, schools }, { request }) => {
  const asked = {
    ...{ fabric: fabric as Fabric, part: part as Part, layers: chosenLayers(database(), layers) },
    ...{ piece: piece as ToldPiece | undefined, count, schools: schoolsOf(schools) },
  };
  return piece && piece.outline.length > FEW ? computed('work', asked, request.signal) : stackWork(asked);
});
