import { InputError } from '../../core/input-error';
import type { CutTableFields } from '../cut-tables';
import type { Db } from '../database';
import { stock } from '../stock';
import { requireMaterial } from './references';

/** A table as a page or script sends it. */
export type TableBody = Omit<CutTableFields, 'projectId' | 'done'>;

/**
 * What a schema cannot see: that the material and everything it is cut from exist and belong together.
 *
 * @throws {InputError} naming the field
 */
export function requireTable(db: Db, body: TableBody): TableBody {
  requireMaterial(db, body);
  body.options.stockIds.forEach((id, i) => {
    const source = stock.find(db, id);
    if (!source || source.ofKind !== body.ofKind || source.ofId !== body.ofId)
      throw new InputError(
        `options.stockIds[${i}]`,
        `points to nothing that is kept of this ${body.ofKind}: ${JSON.stringify(id)}`,
      );
  });
  return body;
}
