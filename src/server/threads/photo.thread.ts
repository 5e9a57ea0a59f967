import { stripSeen, swatchSeen, tracedTogether, type Picture } from '../../core/photo';
import { readPhoto } from '../../formats/photo';
import { answer } from './answer';

/** What is measured in a photograph, by name. */
const MEASURED = {
  trace: (pictures: Picture[], marker: number) => {
    const { pieces, cards, residual, warnings } = tracedTogether(pictures, marker);
    return { outlines: pieces.map(({ outline }) => outline), pieces, cards, residual, warnings };
  },
  hang: ([picture]: Picture[], marker: number) => stripSeen(picture!, marker),
  contrast: ([picture]: Picture[], marker: number) => swatchSeen(picture!, marker),
};
export type Measured = typeof MEASURED;

/** Reads photographs that came from outside and measures in them, beside the server and within limits. */
void answer<{ what: keyof Measured; pictures: Uint8Array[]; marker: number }, unknown>(({ what, pictures, marker }) =>
  MEASURED[what](pictures.map(readPhoto), marker),
);
