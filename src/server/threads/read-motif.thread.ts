import { mappedMotif, readMotif } from '../../formats/stitches';
import { answer } from './answer';

/** Reads and maps a stitch file that came from outside in a thread with a limit of its own. */
void answer(({ bytes, name, cell, keep }: { bytes: Uint8Array; name: string; cell?: number; keep?: boolean }) => {
  const read = readMotif(bytes, name);
  const mapped = mappedMotif(read, cell);
  return keep ? { read, mapped } : mapped;
});
