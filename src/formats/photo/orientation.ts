import type { Picture } from '../../core/photo';

/** Ways in which a telephone stores a picture beside how it was held; 1 is upright. */
export type Orientation = 1 | 2 | 3 | 4 | 5 | 6 | 7 | 8;

const APPLICATION = 0xffe1;
const SCAN = 0xffda;
const ORIENTATION_TAG = 0x0112;

/**
 * How a JPEG says that it is to be turned (its Exif orientation); 1 where it says nothing that can be read.
 *
 * @example orientationOf(new Uint8Array()) // 1
 */
export function orientationOf(bytes: Uint8Array): Orientation {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  try {
    let at = 2;
    while (at + 4 < view.byteLength) {
      const marker = view.getUint16(at);
      if (marker === SCAN || marker >> 8 !== 0xff) break;
      const length = view.getUint16(at + 2);
      if (marker === APPLICATION && view.getUint32(at + 4) === 0x45786966) return fromExif(view, at + 10);
      at += 2 + length;
    }
  } catch (error) {
    // A header that ends before it says so says nothing.
    if (!(error instanceof RangeError)) throw error;
  }
  return 1;
}

function fromExif(view: DataView, start: number): Orientation {
  const little = view.getUint16(start) === 0x4949;
  const directory = start + view.getUint32(start + 4, little);
  const entries = Math.min(view.getUint16(directory, little), 200);
  for (let i = 0; i < entries; i++) {
    const entry = directory + 2 + 12 * i;
    if (view.getUint16(entry, little) !== ORIENTATION_TAG) continue;
    const value = view.getUint16(entry + 8, little);
    return value >= 1 && value <= 8 ? (value as Orientation) : 1;
  }
  return 1;
}

/**
 * A picture turned and mirrored as it says it is to be.
 *
 * @example upright(picture, 1) === picture // true
 */
export function upright(picture: Picture, orientation: Orientation): Picture {
  if (orientation === 1) return picture;
  const { width: w, height: h, data } = picture;
  const swapped = orientation >= 5;
  const [width, height] = swapped ? [h, w] : [w, h];
  const from = new Uint32Array(data.buffer, data.byteOffset, w * h);
  const to = new Uint32Array(w * h);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [u, v] = sourceOf(orientation, x, y, w, h);
      to[y * width + x] = from[v * w + u]!;
    }
  return { width, height, data: new Uint8Array(to.buffer) };
}

function sourceOf(orientation: Orientation, x: number, y: number, w: number, h: number): [number, number] {
  switch (orientation) {
    case 2:
      return [w - 1 - x, y];
    case 3:
      return [w - 1 - x, h - 1 - y];
    case 4:
      return [x, h - 1 - y];
    case 5:
      return [y, x];
    case 6:
      return [y, h - 1 - x];
    case 7:
      return [w - 1 - y, h - 1 - x];
    case 8:
      return [w - 1 - y, x];
    default:
      return [x, y];
  }
}
