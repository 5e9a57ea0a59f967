import { InputError } from '../../core/input-error';
import { COLOUR, JUMP, MotifBuilder, STITCH, TRIM, type Motif } from '../../core/motif';
import { moveKind, moveX, moveY } from './exchange-record';

const HEADER = 512;

export interface ReadMotif {
  motif: Motif;
  /** The file ends before it says so. */
  incomplete: boolean;
  /** What is odd about it, in words. */
  warnings: string[];
}

/** Whether the bytes begin like a file of the three-byte exchange format. */
export function looksLikeExchange(bytes: Uint8Array): boolean {
  return bytes[0] === 0x4c && bytes[1] === 0x41 && bytes[2] === 0x3a;
}

/**
 * Reads the three-byte exchange format: a header of 512 bytes, then moves of a tenth of a millimetre.
 *
 * Of the header only the name is taken; counts and sizes are only compared with what is found, since many writers get them
 * wrong. Three jumps that end where they began cut the thread.
 *
 * @throws {InputError} when it is no such file, or damaged from the start
 */
export function readExchange(bytes: Uint8Array): ReadMotif {
  if (bytes.length < HEADER) throw new InputError('file', `ends inside its header: it has ${bytes.length} bytes of ${HEADER}`);
  const header = new TextDecoder('latin1').decode(bytes.subarray(0, HEADER));
  const records = new MotifBuilder();
  const warnings: string[] = [];
  let [x, y] = [0, 0];
  let [lastJumps, stopX, stopY] = [0, 0, 0];
  let incomplete = true;
  let at = HEADER;
  for (; at + 2 < bytes.length; at += 3) {
    const [a, b, c] = [bytes[at]!, bytes[at + 1]!, bytes[at + 2]!];
    const kind = moveKind(c);
    if (kind === undefined) {
      if (isPadding(bytes, at)) break;
      const record = (at - HEADER) / 3 + 1;
      if (records.length < 3)
        throw new InputError('file', `is damaged at record ${record}: it holds no stitches that could be read`);
      warnings.push(`Record ${record} is damaged; what came before it was read.`);
      break;
    }
    if (kind === 'end') {
      incomplete = false;
      break;
    }
    x += moveX(a, b, c);
    y += moveY(a, b, c);
    if (kind === 'jump') {
      if (lastJumps === 0) [stopX, stopY] = [x - moveX(a, b, c), y - moveY(a, b, c)];
      records.add(JUMP, x / 10, y / 10);
      lastJumps++;
      if (lastJumps === 3 && x === stopX && y === stopY) {
        records.drop(3);
        records.add(TRIM, x / 10, y / 10);
        lastJumps = 0;
      }
      continue;
    }
    lastJumps = 0;
    records.add(kind === 'stitch' ? STITCH : COLOUR, x / 10, y / 10);
  }
  const motif = records.motif(nameOf(header));
  if (incomplete) warnings.push('The file ends before its end mark: the last part of the motif may be missing.');
  const said = Number(/ST: *(\d+)/.exec(header)?.[1] ?? NaN);
  if (Number.isFinite(said) && said > 0 && motif.command.length < 0.98 * said && incomplete)
    warnings.push(`Its header speaks of ${said} records; ${motif.command.length} were found.`);
  return { motif, incomplete, warnings };
}

/** Only zeros, blanks or end-of-file marks are left. */
function isPadding(bytes: Uint8Array, from: number): boolean {
  for (let i = from; i < bytes.length; i++) if (![0x00, 0x1a, 0x20, 0x0a, 0x0d].includes(bytes[i]!)) return false;
  return true;
}

function nameOf(header: string): string {
  const found = /^LA:([^\r\n\0]*)/.exec(header)?.[1] ?? '';
  return found
    .replace(/[^\x20-\x7e\xa0-\xff]/g, '')
    .trim()
    .slice(0, 60);
}
