import { tableSchema } from '../../../../schemas/tables';
import { endpoint, jsonEndpoint } from '../../../../server/endpoint';
import { startTable } from '../../../../server/cut-work';
import type { TableBody } from '../../../../store/rules/table';
import { tablesOfProject } from '../../../../store/cut-tables';
import { database } from '../../../../server/database';

export const GET = endpoint(({ params }) => ({ tables: tablesOfProject(database(), params['id']!) }));

export const POST = jsonEndpoint(tableSchema, (body, { params }) => startTable(database(), params['id']!, body as TableBody), {
  status: 201,
});
