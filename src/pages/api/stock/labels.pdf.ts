import { InputError } from '../../../core/input-error';
import { labelSheet } from '../../../formats/pdf';
import { database } from '../../../server/database';
import { fileEndpoint } from '../../../server/endpoint';
import { stockLabels } from '../../../server/stock-labels';
import { paperOf } from '../../../server/table-files';

/** Labels on one print at most. */
const MOST = 400;

/** Labels for what is in the cupboard, or for some of it (`?ids=`, with commas), with codes that lead to its cloth or layer. */
export const GET = fileEndpoint(async ({ url, request }) => {
  const ids = url.searchParams.get('ids');
  const labels = stockLabels(database(), request, ids === null ? undefined : ids.split(','));
  if (labels.length === 0) throw new InputError('ids', 'must name something that is in the cupboard');
  if (labels.length > MOST) throw new InputError('ids', `must name at most ${MOST} things; the cupboard holds ${labels.length}`);
  return { name: 'cupboard-labels.pdf', type: 'application/pdf', bytes: await labelSheet('Labels', labels, paperOf(url)) };
});
