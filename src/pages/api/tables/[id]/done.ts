import { tableDoneSchema } from '../../../../schemas/tables';
import { finishTable, type DoneBody } from '../../../../server/cut-work';
import { jsonEndpoint } from '../../../../server/endpoint';
import { database } from '../../../../server/database';

export const POST = jsonEndpoint(tableDoneSchema, (body, { params }) => finishTable(database(), params['id']!, body as DoneBody));
