import { stockUpdateSchema } from '../../../../schemas/tables';
import { recordEndpoints, withoutVersion } from '../../../../server/record-endpoints';
import { requireStock } from '../../../../server/stock-rules';
import { stock } from '../../../../store/stock';

export const { GET, PUT, DELETE } = recordEndpoints(stock, stockUpdateSchema, (body, { fromTable, usedBy }) => ({
  ...requireStock(withoutVersion(body)),
  fromTable,
  usedBy,
}));
