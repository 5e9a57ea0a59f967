import { liquidPlan, type WetPiece } from '../../../core/liquid';
import { liquidSchema } from '../../../schemas/compute';
import { jsonEndpoint } from '../../../server/endpoint';

/** How much liquid some pieces take, and in which order they are treated. */
export const POST = jsonEndpoint(liquidSchema, ({ pieces, ...options }) => liquidPlan(pieces as WetPiece[], options));
