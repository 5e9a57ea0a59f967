import { carryChart } from '../../formats/pdf';
import { fileEndpoint } from '../../server/endpoint';
import { chart, CHART_LOADS } from '../../server/motif-work';
import { paperOf } from '../../server/table-files';
import { database } from '../../server/database';

/** One page: the person's cloths × load, with the stack that carries it. */
export const GET = fileEndpoint(async ({ url }) => ({
  name: 'under-a-motif.pdf',
  type: 'application/pdf',
  bytes: await carryChart(
    CHART_LOADS.map(({ words }) => words),
    chart(database()).map(({ cloth, cells }) => ({ cloth: cloth.name, cells })),
    paperOf(url),
  ),
}));
