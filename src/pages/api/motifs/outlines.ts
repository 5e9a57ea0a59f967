import type { StitchedArea } from '../../../core/motif';
import { outlineMotifSchema } from '../../../schemas/hoop';
import { jsonEndpoint } from '../../../server/endpoint';
import { keepOutlines } from '../../../server/motif-work';
import { database } from '../../../server/database';

/** Outlines with their stitching stand in for a stitch file. */
export const POST = jsonEndpoint(
  outlineMotifSchema,
  ({ name, areas }) => keepOutlines(database(), name, areas as StitchedArea[]),
  {
    status: 201,
  },
);
