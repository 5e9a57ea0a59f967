import { stockUpdateSchema } from '../../../../schemas/tables';
import { recordEndpoints, withoutVersion } from '../../../../server/record-endpoints';
import { requireStock } from '../../../../store/rules/stock';
import { stock } from '../../../../store/stock';
import { database } from '../../../../server/database';

export const { GET, PUT, DELETE } = recordEndpoints(stock, stockUpdateSchema, (body, { fromTable, usedBy }) => ({
  ...requireStock(database(), withoutVersion(body)),
  fromTable,
  usedBy,
}));
