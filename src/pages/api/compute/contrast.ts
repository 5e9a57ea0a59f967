import { measuredPhoto } from '../../../server/measure-photo';

/** How much is seen through a swatch, from a photograph. */
export const POST = measuredPhoto('contrast');
