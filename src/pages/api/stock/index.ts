import { stockSchema } from '../../../schemas/tables';
import { endpoint, jsonEndpoint } from '../../../server/endpoint';
import { requireStock } from '../../../store/rules/stock';
import { database } from '../../../server/database';
import { stock, stockThere } from '../../../store/stock';

export const GET = endpoint(() => ({ stock: stockThere(database()) }));

export const POST = jsonEndpoint(
  stockSchema,
  (body) => stock.insert(database(), { ...requireStock(database(), body), fromTable: null, usedBy: null }),
  { status: 201 },
);
