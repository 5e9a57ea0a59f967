import { ladderSchema } from '../../schemas/hoop';
import { jsonEndpoint } from '../../server/endpoint';
import { fileLadder } from '../../server/hoop-ladder';
import { database } from '../../server/database';

/** Files how far up a ladder a cloth with its sheets has held. */
export const POST = jsonEndpoint(ladderSchema, (body) => fileLadder(database(), body), { status: 201 });
