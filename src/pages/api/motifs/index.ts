import type { APIRoute } from 'astro';
import { LARGEST_STITCH_FILE } from '../../../formats/stitches';
import { endpoint, errorAnswer, json, readBody } from '../../../server/endpoint';
import { keepMotif } from '../../../server/motif-work';
import { database } from '../../../store/database';
import { motifs } from '../../../store/motifs';

export const GET = endpoint(() => ({ motifs: motifs.list(database()) }));

/** Keeps a stitch file; the body is the file. */
export const POST: APIRoute = async ({ request, url }) => {
  try {
    const bytes = await readBody(request, LARGEST_STITCH_FILE);
    return json(keepMotif(bytes, (url.searchParams.get('name') ?? '').slice(0, 200)), 201);
  } catch (error) {
    return errorAnswer(error);
  }
};
