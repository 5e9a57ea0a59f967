import { splitMotif } from '../../../../../core/hoop';
import { writeExchange } from '../../../../../formats/stitches';
import { fileEndpoint } from '../../../../../server/endpoint';
import { keptStitches } from '../../../../../server/motif-work';
import { database } from '../../../../../server/database';
import { NotFoundError } from '../../../../../store/errors';
import { hoops } from '../../../../../store/hoops';

/** One hooping of a motif that is too large for a hoop, with its alignment crosses. */
export const GET = fileEndpoint(({ params, url }) => {
  const { kept, motif } = keptStitches(database(), params['id']!);
  const hoop = hoops.get(database(), url.searchParams.get('hoop') ?? '');
  const number = Number(/^(\d+)\.dst$/.exec(params['part']!)?.[1] ?? NaN);
  const part = splitMotif(motif, hoop)[number - 1];
  if (!part) throw new NotFoundError('part of this motif');
  return { name: `${kept.name}-${number}.dst`, type: 'application/octet-stream', bytes: writeExchange(part.motif) };
});
