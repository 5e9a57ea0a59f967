import { InputError } from '../../core/input-error';
import { cloths } from '../cloths';
import type { CutTableFields } from '../cut-tables';
import type { Db } from '../database';
import { layers } from '../layers';
import { stock } from '../stock';

/** A table as a page or script sends it. */
export type TableBody = Omit<CutTableFields, 'projectId' | 'done'>;

/**
 * What a schema cannot see: that the material and everything it is cut from exist and belong together.
 *
 * @throws {InputError} naming the field
 */
export function requireTable(db: Db, body: TableBody): TableBody {
  const known = body.ofKind === 'layer' ? layers.find(db, body.ofId) : cloths.find(db, body.ofId);
  if (!known)
    throw new InputError('ofId', `points to a ${body.ofKind} that is not in the cupboard: ${JSON.stringify(body.ofId)}`);
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
