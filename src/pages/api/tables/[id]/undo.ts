import { versionSchema } from '../../../../schemas/tables';
import { undoTable } from '../../../../server/cut-work';
import { jsonEndpoint } from '../../../../server/endpoint';
import { database } from '../../../../server/database';

export const POST = jsonEndpoint(versionSchema, ({ version }, { params }) => undoTable(database(), params['id']!, version));
