import type { APIRoute } from 'astro';
import { LARGEST_STITCH_FILE } from '../../../formats/stitches';
import { endpoint, errorAnswer, json, readBody } from '../../../server/endpoint';
import { keepMotif, type ReadAndMapped } from '../../../server/motif-work';
import { inThread } from '../../../server/threads/in-thread';
import { database } from '../../../server/database';
import { motifs } from '../../../store/motifs';

/** How long a stitch file may take to read, s. */
const SECONDS = 30;

export const GET = endpoint(() => ({ motifs: motifs.list(database()) }));

/** Keeps a stitch file; the body is the file. */
export const POST: APIRoute = async ({ request, url }) => {
  try {
    const bytes = await readBody(request, LARGEST_STITCH_FILE);
    const name = (url.searchParams.get('name') ?? '').slice(0, 200);
    const limits = { signal: request.signal, seconds: SECONDS };
    return json(keepMotif(database(), await inThread<ReadAndMapped>('read-motif', { bytes, name, keep: true }, limits)), 201);
  } catch (error) {
    return errorAnswer(error);
  }
};
