import { tableDoneSchema } from '../../../../schemas/tables';
import { finishTable, type DoneBody } from '../../../../server/cut-work';
import { jsonEndpoint } from '../../../../server/endpoint';

export const POST = jsonEndpoint(tableDoneSchema, (body, { params }) => finishTable(params['id']!, body as DoneBody));
