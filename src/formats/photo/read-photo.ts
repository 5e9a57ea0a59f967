import { decode } from 'jpeg-js';
import { PNG } from 'pngjs';
import { InputError } from '../../core/input-error';
import { MOST_PIXELS, requirePicture, type Picture } from '../../core/photo';
import { orientationOf, upright } from './orientation';

/** Largest file, bytes. */
export const LARGEST_PHOTO = 30 * 1024 * 1024;
/** Memory that decoding may take, MB. */
const DECODING = 1200;

const PNG_HEAD = [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a];

/**
 * Reads a PNG or JPEG photograph, upright as it was taken. Its size is looked at before anything is unpacked.
 *
 * @throws {InputError} for anything else, for a file that is broken or cut off, and for one of too many pixels
 * @example readPhoto(bytes).width // 1600
 */
export function readPhoto(bytes: Uint8Array): Picture {
  if (PNG_HEAD.every((byte, i) => bytes[i] === byte)) return readPng(bytes);
  if (bytes[0] === 0xff && bytes[1] === 0xd8) return readJpeg(bytes);
  throw new InputError(
    'body',
    bytes.length === 0 ? 'must be a PNG or JPEG photograph; saw nothing' : 'must be a PNG or JPEG photograph',
  );
}

function readPng(bytes: Uint8Array): Picture {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (bytes.length < 33) throw broken();
  requireSize(view.getUint32(16), view.getUint32(20));
  try {
    const { width, height, data } = PNG.sync.read(Buffer.from(bytes), { checkCRC: false });
    return requirePicture({ width, height, data: new Uint8Array(data.buffer, data.byteOffset, data.byteLength) });
  } catch (error) {
    if (error instanceof InputError) throw error;
    throw broken();
  }
}

function readJpeg(bytes: Uint8Array): Picture {
  const [width, height] = sizeOfJpeg(bytes);
  requireSize(width, height);
  try {
    const read = decode(bytes, {
      useTArray: true,
      maxMemoryUsageInMB: DECODING,
      maxResolutionInMP: MOST_PIXELS / 1e6,
      tolerantDecoding: false,
    });
    return requirePicture(upright(read, orientationOf(bytes)));
  } catch (error) {
    if (error instanceof InputError) throw error;
    throw broken();
  }
}

/** Width and height as the frame of a JPEG says them. */
function sizeOfJpeg(bytes: Uint8Array): [number, number] {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  let at = 2;
  while (at + 9 < bytes.length) {
    if (bytes[at] !== 0xff) break;
    const marker = bytes[at + 1]!;
    // Frames are C0 to CF but for the tables among them.
    if (marker >= 0xc0 && marker <= 0xcf && marker !== 0xc4 && marker !== 0xc8 && marker !== 0xcc)
      return [view.getUint16(at + 7), view.getUint16(at + 5)];
    at += marker === 0xff ? 1 : 2 + view.getUint16(at + 2);
  }
  throw broken();
}

function requireSize(width: number, height: number): void {
  if (width * height > MOST_PIXELS)
    throw new InputError('body', `must have at most ${MOST_PIXELS / 1e6} megapixels, saw ${width} × ${height} pixels`);
}

const broken = () => new InputError('body', 'must be a whole PNG or JPEG photograph; this one is broken or cut off');
