import type { Motif } from '../../core/motif';
import { ApiError } from '../api';

const kept = new Map<string, Promise<Motif>>();

/** Stitches of a kept motif, fetched once a page: x, y (64-bit floats) and commands, one column after the other. */
export function fetchMotif(id: string, name: string): Promise<Motif> {
  let asked = kept.get(id);
  if (!asked) {
    asked = fetchOnce(id, name);
    asked.catch(() => kept.delete(id));
    kept.set(id, asked);
  }
  return asked;
}

async function fetchOnce(id: string, name: string): Promise<Motif> {
  const answer = await fetch(`/api/motifs/${id}/files/stitches.bin`).catch(() => undefined);
  if (!answer?.ok)
    throw new ApiError('The stitches of this motif could not be fetched. Reload the page.', answer?.status ?? 0, null);
  const bytes = await answer.arrayBuffer();
  const records = bytes.byteLength / 17;
  return {
    name,
    x: new Float64Array(bytes, 0, records),
    y: new Float64Array(bytes, 8 * records, records),
    command: new Uint8Array(bytes, 16 * records, records),
  };
}
