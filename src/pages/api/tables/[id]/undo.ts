import { versionSchema } from '../../../../schemas/tables';
import { undoTable } from '../../../../server/cut-work';
import { jsonEndpoint } from '../../../../server/endpoint';

export const POST = jsonEndpoint(versionSchema, ({ version }, { params }) => undoTable(params['id']!, version));
