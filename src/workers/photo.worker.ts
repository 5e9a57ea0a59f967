import { expose } from 'comlink';
import { MOST_PIXELS, stripSeen, swatchSeen, tracedTogether, type Picture, type Progress } from '../core/photo';

/** Largest file that is unpacked, bytes: as the endpoint takes it. */
const LARGEST = 30 * 1024 * 1024;

/** Unpacks a photograph, upright as it was taken. @throws when it is no picture that this browser reads, or too large */
async function pictureOf(file: Blob): Promise<Picture> {
  if (file.size > LARGEST) throw new Error('The photograph must be at most 30 MB. Take it with fewer pixels.');
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image', colorSpaceConversion: 'none' }).catch(() => {
    throw new Error('The photograph must be a whole PNG or JPEG; this one cannot be read. Choose another.');
  });
  const { width, height } = bitmap;
  if (width * height > MOST_PIXELS)
    throw new Error(`The photograph must have at most ${MOST_PIXELS / 1e6} megapixels, saw ${width} × ${height} pixels.`);
  const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true })!;
  context.drawImage(bitmap, 0, 0);
  bitmap.close();
  return { width, height, data: context.getImageData(0, 0, width, height).data };
}

const MEASURED = {
  trace: tracedTogether,
  hang: ([picture]: Picture[], marker: number, progress: Progress) => stripSeen(picture!, marker, progress),
  contrast: ([picture]: Picture[], marker: number, progress: Progress) => swatchSeen(picture!, marker, progress),
};
export type Measured = { [K in keyof typeof MEASURED]: ReturnType<(typeof MEASURED)[K]> };

const photographs = {
  /** Measures in a photograph, or in several of one table. @param marker side of a card's black square, mm @throws what the measuring throws, as its words */
  async measure<K extends keyof Measured>(what: K, files: Blob[], marker: number, onProgress: Progress): Promise<Measured[K]> {
    onProgress('Unpacking the picture', 0.02);
    const pictures: Picture[] = [];
    // One after the other: unpacked they are large.
    for (const file of files) pictures.push(await pictureOf(file));
    return MEASURED[what](pictures, marker, onProgress) as Measured[K];
  },
};
export type Photographs = typeof photographs;

expose(photographs);
