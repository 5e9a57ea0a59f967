import { InputError } from '../../core/input-error';
import { MOST_PIXELS, stripSeen, swatchSeen, tracedTogether, type Picture } from '../../core/photo';
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

/** Pixels that several pictures may have together: unpacked, each takes four bytes, and that is no memory the thread's own limit counts. */
const MOST_TOGETHER = 2 * MOST_PIXELS;

function unpacked(pictures: readonly Uint8Array[]): Picture[] {
  let pixels = 0;
  return pictures.map((bytes, i) => {
    const picture = readPhoto(bytes);
    pixels += picture.width * picture.height;
    if (pixels > MOST_TOGETHER)
      throw new InputError(`picture[${i}]`, `must bring all to at most ${MOST_TOGETHER / 1e6} megapixels; take them with fewer`);
    return picture;
  });
}

/** Reads photographs that came from outside and measures in them, beside the server and within limits. */
void answer<{ what: keyof Measured; pictures: Uint8Array[]; marker: number }, unknown>(({ what, pictures, marker }) =>
  MEASURED[what](unpacked(pictures), marker),
);
