import { writeExchange } from '../../../../../formats/stitches';
import { fileEndpoint } from '../../../../../server/endpoint';
import { partsIn } from '../../../../../server/large-motifs';
import { database } from '../../../../../server/database';
import { NotFoundError } from '../../../../../store/errors';
import { motifs } from '../../../../../store/motifs';

/** One hooping of a motif that is too large for a hoop, with its alignment crosses. */
export const GET = fileEndpoint(async ({ params, url, request }) => {
  const db = database();
  const number = Number(/^(\d+)\.dst$/.exec(params['part']!)?.[1] ?? NaN);
  const parts = await partsIn(db, params['id']!, url.searchParams.get('hoop') ?? '', request.signal);
  const part = parts[number - 1];
  if (!part) throw new NotFoundError('part of this motif');
  const { name } = motifs.get(db, params['id']!);
  return { name: `${name}-${number}.dst`, type: 'application/octet-stream', bytes: writeExchange(part.motif) };
});
