import { hoopOutlines } from '../../../../core/hoop';
import { hoopGauge } from '../../../../formats/pdf';
import { fileEndpoint } from '../../../../server/endpoint';
import { paperOf } from '../../../../server/table-files';
import { database } from '../../../../server/database';
import { hoops } from '../../../../store/hoops';

/** A gauge of the hoop at full size. */
export const GET = fileEndpoint(async ({ params, url }) => {
  const hoop = hoops.get(database(), params['id']!);
  return {
    name: `${hoop.name}-gauge.pdf`,
    type: 'application/pdf',
    bytes: await hoopGauge(hoop.name, hoopOutlines(hoop), paperOf(url)),
  };
});
