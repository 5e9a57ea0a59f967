import { paperTapes } from '../../../../formats/pdf';
import { database } from '../../../../server/database';
import { edgeTapes } from '../../../../server/edge-tapes';
import { fileEndpoint } from '../../../../server/endpoint';
import { paperOf } from '../../../../server/table-files';
import { readSettings } from '../../../../store/settings';

/** Sewn lines of a piece at full size, as strips of paper to lay along a neckline or the oval of a hat. */
export const GET = fileEndpoint(async ({ params, url }) => {
  const db = database();
  const edges = (url.searchParams.get('edges') ?? '').split(',').filter(Boolean).map(Number);
  const { units } = readSettings(db).settings;
  return {
    name: 'paper-tape.pdf',
    type: 'application/pdf',
    bytes: await paperTapes(edgeTapes(db, params['id']!, edges), paperOf(url), units),
  };
});
