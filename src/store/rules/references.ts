import { InputError } from '../../core/input-error';
import { cloths } from '../cloths';
import type { Db } from '../database';
import { layers } from '../layers';
import { findMaterial } from '../materials';
import type { Table } from '../table';

/** A field that names a record by its id. */
export type Reference = readonly [field: string, table: Pick<Table<object>, 'find'>, id: string | null];

/**
 * Refuses ids of records that are not kept. What a record was kept with may have been deleted since, which must not keep the rest of
 * it from being saved.
 *
 * @param current the record as it is kept now @throws {InputError} naming the field
 */
export function requireKept(db: Db, references: readonly Reference[], current?: object): void {
  for (const [field, table, id] of references)
    if (id !== null && id !== (current as Record<string, unknown> | undefined)?.[field] && !table.find(db, id))
      throw new InputError(field, `points to nothing that is kept: ${JSON.stringify(id)}`);
}

type Stack = { layers: readonly { materialId: string }[] } | null | undefined;

/**
 * Refuses a stack of layers that are not in the cupboard, but for those it was kept with.
 *
 * @param at field that holds it @throws {InputError} naming the layer
 */
export function requireStack(db: Db, stack: Stack, current: Stack | undefined, at = 'stack'): void {
  const before = current?.layers.map(({ materialId }) => materialId) ?? [];
  stack?.layers.forEach(({ materialId }, i) => {
    if (!before.includes(materialId) && !findMaterial(db, materialId))
      throw new InputError(
        `${at}.layers[${i}].materialId`,
        `points to nothing that is in the cupboard: ${JSON.stringify(materialId)}`,
      );
  });
}

/** Refuses what is of a cloth or layer that is not in the cupboard. @throws {InputError} naming the field */
export function requireMaterial(db: Db, { ofKind, ofId }: { ofKind: 'cloth' | 'layer'; ofId: string }): void {
  if (!(ofKind === 'layer' ? layers : cloths).find(db, ofId))
    throw new InputError('ofId', `points to a ${ofKind} that is not in the cupboard: ${JSON.stringify(ofId)}`);
}
