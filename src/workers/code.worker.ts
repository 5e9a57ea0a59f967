import { expose } from 'comlink';
import jsQR from 'jsqr';

/** Pixels along the longer side that a photograph is read at: a code takes up a good part of it. */
const READ_AT = 1600;

const codes = {
  /** What a code in a picture says, or nothing. */
  frame(data: Uint8ClampedArray, width: number, height: number): string | undefined {
    return jsQR(data, width, height)?.data;
  },
  /** The same for a photograph. @throws when it is no picture that this browser reads */
  async photograph(file: Blob): Promise<string | undefined> {
    const whole = await createImageBitmap(file).catch(() => {
      throw new Error('That is no picture that can be read here. Take a PNG or a JPEG.');
    });
    const scale = Math.min(1, READ_AT / Math.max(whole.width, whole.height));
    const [width, height] = [Math.max(1, Math.round(scale * whole.width)), Math.max(1, Math.round(scale * whole.height))];
    const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true })!;
    context.drawImage(whole, 0, 0, width, height);
    whole.close();
    return jsQR(context.getImageData(0, 0, width, height).data, width, height)?.data;
  },
};
export type Codes = typeof codes;

expose(codes);
