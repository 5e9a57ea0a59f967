import { fileEndpoint } from '../../../../server/endpoint';
import { copyAsked, printedCard } from '../../../../server/hoop-cards';
import { paperOf } from '../../../../server/table-files';
import { database } from '../../../../server/database';
import { hoopings } from '../../../../store/hoopings';

/** The card of one copy at full size, with a box for each copy that it is for. */
export const GET = fileEndpoint(async ({ params, url, request }) => {
  const db = database();
  const hooping = hoopings.get(db, params['id']!);
  return {
    name: `${hooping.name}-card.pdf`,
    type: 'application/pdf',
    bytes: await printedCard(db, hooping, copyAsked(url, hooping.count), paperOf(url), request),
  };
});
