import type { APIRoute } from 'astro';
import { CELLS } from '../../../core/motif';
import { requireNumber } from '../../../core/input-error';
import type { MappedMotif } from '../../../formats/stitches';
import { errorAnswer, json, readBody } from '../../../server/endpoint';
import { LARGEST_STITCH_FILE } from '../../../formats/stitches';
import { inThread } from '../../../server/threads/in-thread';

const SECONDS = 20;
const MEGABYTES = 1024;

/** Reads a stitch file and tells what it holds; the body is the file. */
export const POST: APIRoute = async ({ request, url }) => {
  try {
    const asked = url.searchParams.get('cell');
    const cell = asked === null ? undefined : requireNumber('cell', Number(asked), 'mm', { min: CELLS.min, max: CELLS.max });
    const name = (url.searchParams.get('name') ?? '').slice(0, 200);
    const bytes = await readBody(request, LARGEST_STITCH_FILE);
    const limits = { signal: request.signal, seconds: SECONDS, megabytes: MEGABYTES };
    return json(await inThread<MappedMotif>('read-motif', { bytes, name, cell }, limits));
  } catch (error) {
    return errorAnswer(error);
  }
};
