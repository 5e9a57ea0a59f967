import { fileEndpoint } from '../../../../../server/endpoint';
import { TABLE_FILES, tableFile, type TableFile } from '../../../../../server/table-files';
import { database } from '../../../../../server/database';
import { NotFoundError } from '../../../../../store/errors';

/** A print or file of a cutting table. */
export const GET = fileEndpoint(({ params, url, request }) => {
  const file = params['file'] as TableFile;
  if (!TABLE_FILES.includes(file)) throw new NotFoundError('file');
  return tableFile(database(), params['id']!, file, url, request);
});
