import { expose } from 'comlink';
import { stripSeen, swatchSeen, tracedPieces, type Picture, type Progress } from '../core/photo';

/** Unpacks a photograph, upright as it was taken. @throws when it is no picture that this browser reads */
async function pictureOf(file: Blob): Promise<Picture> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image', colorSpaceConversion: 'none' });
  const { width, height } = bitmap;
  const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true })!;
  context.drawImage(bitmap, 0, 0);
  bitmap.close();
  return { width, height, data: context.getImageData(0, 0, width, height).data };
}

const MEASURED = {
  trace: tracedPieces,
  hang: stripSeen,
  contrast: swatchSeen,
};
export type Measured = { [K in keyof typeof MEASURED]: ReturnType<(typeof MEASURED)[K]> };

const photographs = {
  /** Measures in a photograph. @param marker side of a card's black square, mm @throws what the measuring throws, as its words */
  async measure<K extends keyof Measured>(what: K, file: Blob, marker: number, onProgress: Progress): Promise<Measured[K]> {
    onProgress('Unpacking the picture', 0.02);
    const picture = await pictureOf(file);
    return MEASURED[what](picture, marker, onProgress) as Measured[K];
  },
};
export type Photographs = typeof photographs;

expose(photographs);
