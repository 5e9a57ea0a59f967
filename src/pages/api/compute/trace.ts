import { measuredPhoto } from '../../../server/measure-photo';

/** Outlines of the pieces in a photograph with cards. */
export const POST = measuredPhoto('trace');
