import { paperTapes } from '../../../../formats/pdf';
import { database } from '../../../../server/database';
import { fileEndpoint } from '../../../../server/endpoint';
import { seamTapes } from '../../../../server/seam-work';
import { paperOf } from '../../../../server/table-files';
import { readSettings } from '../../../../store/settings';

/** Both edges of a seam at full size, as strips of paper to lay along them. */
export const GET = fileEndpoint(async ({ params, url }) => {
  const db = database();
  const { units } = readSettings(db).settings;
  return {
    name: 'paper-tape.pdf',
    type: 'application/pdf',
    bytes: await paperTapes(seamTapes(db, params['id']!), paperOf(url), units),
  };
});
