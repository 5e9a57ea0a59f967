import { InputError } from '../../core/input-error';
import { readDxf } from '../dxf/read-dxf';
import { readSvg } from '../svg/read-svg';
import { piecesOf, type FoundPieces } from './pieces';

/**
 * Reads the pieces of a drawing, an SVG or a DXF by what it begins with, whatever its name says.
 *
 * @throws {InputError} when it is neither, broken, or too large
 */
export function readOutlines(bytes: Uint8Array): FoundPieces {
  if (bytes.length === 0) throw new InputError('file', 'is empty');
  const text = decoded(bytes);
  const start = text.slice(0, 2000).trimStart();
  if (start.startsWith('<')) return piecesOf(readSvg(text.trimStart()));
  if (/^\w+ Binary DXF/.test(start)) throw new InputError('file', 'is a binary DXF drawing; save it as text (ASCII)');
  const { drawing, facts } = readDxf(text);
  return piecesOf(drawing, facts);
}

/** Text in UTF-8, or in Latin letters where it is not. */
function decoded(bytes: Uint8Array): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('latin1').decode(bytes);
  }
}
