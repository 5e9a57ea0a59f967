import { labelSheet } from '../../../../../formats/pdf';
import { database } from '../../../../../server/database';
import { fileEndpoint } from '../../../../../server/endpoint';
import { kitLabel, kitOf, kitsOf } from '../../../../../server/kits';
import { paperOf } from '../../../../../server/table-files';

/** Labels of all bags of a project, or of one (`?copy=`), with codes that lead to them. */
export const GET = fileEndpoint(async ({ params, url, request }) => {
  const [db, id, copy] = [database(), params['id']!, url.searchParams.get('copy')];
  const kits = copy === null ? kitsOf(db, id) : [kitOf(db, id, Number(copy))];
  return {
    name: 'labels.pdf',
    type: 'application/pdf',
    bytes: await labelSheet('Labels', kits.map((kit) => kitLabel(kit, request)), paperOf(url)), // prettier-ignore
  };
});
