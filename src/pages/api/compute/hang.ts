import { measuredPhoto } from '../../../server/measure-photo';

/** Bending length of a strip that hangs over the corner of a box, from a photograph. */
export const POST = measuredPhoto('hang');
