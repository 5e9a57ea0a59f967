import { stripSeen, swatchSeen, tracedPieces, type Picture } from '../../core/photo';
import { readPhoto } from '../../formats/photo';
import { answer } from './answer';

/** What is measured in a photograph, by name. */
const MEASURED = {
  trace: (picture: Picture, marker: number) => {
    const { pieces, cards, residual, warnings } = tracedPieces(picture, marker);
    return { outlines: pieces.map(({ outline }) => outline), pieces, cards, residual, warnings };
  },
  hang: (picture: Picture, marker: number) => stripSeen(picture, marker),
  contrast: (picture: Picture, marker: number) => swatchSeen(picture, marker),
};
export type Measured = typeof MEASURED;

/** Reads a photograph that came from outside and measures in it, beside the server and within limits. */
void answer<{ what: keyof Measured; bytes: Uint8Array; marker: number }, unknown>(({ what, bytes, marker }) =>
  MEASURED[what](readPhoto(bytes), marker),
);
