import { InputError } from '../../core/input-error';
import { looksLikeExchange, readExchange, type ReadMotif } from './read-exchange';
import { looksLikeStitchTable, readStitchTable } from './stitch-table';

/** Largest stitch file, bytes: a million and a half records in either form. */
export const LARGEST_STITCH_FILE = 40 * 1024 * 1024;

/**
 * Reads a stitch file by what it holds, whatever it is called.
 *
 * @param name of the file, for a motif that says none itself
 * @throws {InputError} when it is neither a stitch file nor whole enough to be read
 */
export function readMotif(bytes: Uint8Array, name = ''): ReadMotif {
  if (bytes.length === 0) throw new InputError('file', 'is empty');
  const read = looksLikeExchange(bytes) ? readExchange(bytes) : readText(bytes);
  const own = read.motif.name || name.replace(/\.[^.]*$/, '').slice(0, 60);
  return { ...read, motif: { ...read.motif, name: own } };
}

function readText(bytes: Uint8Array): ReadMotif {
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    throw new InputError(
      'file',
      'is no stitch file that is known here: neither the three-byte exchange format nor a table of stitches',
    );
  }
  if (!looksLikeStitchTable(text))
    throw new InputError(
      'file',
      'is no stitch file that is known here; a table of stitches begins with the headings x_mm,y_mm,command',
    );
  return readStitchTable(text);
}
