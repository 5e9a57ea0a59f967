import { stockSchema } from '../../../schemas/tables';
import { endpoint, jsonEndpoint } from '../../../server/endpoint';
import { requireStock } from '../../../server/stock-rules';
import { database } from '../../../store/database';
import { stock, stockThere } from '../../../store/stock';

export const GET = endpoint(() => ({ stock: stockThere(database()) }));

export const POST = jsonEndpoint(
  stockSchema,
  (body) => stock.insert(database(), { ...requireStock(body), fromTable: null, usedBy: null }),
  { status: 201 },
);
