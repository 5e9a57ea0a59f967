import { clothMaterial, layerMaterial, type ShoppingNeed, type TableMaterial } from '../core/cutlist';
import { cloths } from '../store/cloths';
import { cutTables } from '../store/cut-tables';
import type { Db } from '../store/database';
import { layers } from '../store/layers';
import type { CutPiece } from '../core/workpiece';
import { getWorkpiece, workOf, type LayeredWork } from '../store/workpieces';
import { stockOf } from '../store/stock';
import { treatmentOfCloth } from './treatment';
import { materialKey } from './material-key';
import { methodFor } from './order-of-work';

/** What has to be cut from a material, of which works. */
interface Need extends ShoppingNeed {
  works: (LayeredWork | CutPiece)[];
}

/** Projects with pieces that are not cut yet, last touched first. */
export function waitingProjects(db: Db): { id: string; name: string }[] {
  return db
    .prepare(
      `SELECT id, name FROM project WHERE deleted_at IS NULL
         AND id IN (SELECT p.project_id FROM piece p JOIN cut c ON c.piece_id = p.id AND c.deleted_at IS NULL
                      LEFT JOIN job j ON j.cut_id = c.id AND j.deleted_at IS NULL
                     WHERE p.deleted_at IS NULL AND (c.done = 0 OR j.cut_done = 0))
       ORDER BY archived, updated_at DESC, rowid`,
    )
    .all() as { id: string; name: string }[];
}

/** What the pieces of some projects still have to be cut from; what was cut from a table already is left out. */
export function shoppingNeeds(db: Db, projectIds: readonly string[]): ShoppingNeed[] {
  const { workpieces, cutPieces } = workOf(db, projectIds);
  const cut = new Set(
    cutTables
      .list(db, 'done IS NOT NULL AND project_id IN (SELECT value FROM json_each(?))', [JSON.stringify(projectIds)], 'id')
      .flatMap(({ ofKind, ofId, workIds }) => workIds.map((workId) => `${ofKind}/${ofId}/${workId}`)),
  );
  const waiting = [
    ...workpieces.filter(({ cutDone }) => !cutDone).flatMap((work) => keysOf(work).map((key) => ({ key, work }))),
    ...cutPieces.filter(({ done, clothId }) => !done && clothId !== null).map((work) => ({ key: `cloth/${work.clothId}`, work })),
  ];
  return gathered(
    db,
    waiting.filter(({ key, work }) => !cut.has(`${key}/${work.id}`)),
  );
}

/**
 * What a job by itself would need of each layer of a stack that it might get: the same as the shopping list says once it has it.
 *
 * @throws {NotFoundError}
 */
export function needsOfStack(db: Db, jobId: string, stack: NonNullable<LayeredWork['stack']>): ShoppingNeed[] {
  const { stack: _chosen, ...work } = getWorkpiece(db, jobId);
  const layered = { ...work, stack };
  return gathered(
    db,
    keysOf(layered).map((key) => ({ key, work: layered })),
  );
}

/** What the layers of a job are cut from, each once. */
function keysOf({ stack }: LayeredWork): string[] {
  return [...new Set((stack?.layers ?? []).map(({ materialId }) => materialKey(materialId)))];
}

/** Works gathered by what they are cut from, each with its stock and the way it is laid; liquids are not cut. */
function gathered(db: Db, waiting: readonly { key: string; work: LayeredWork | CutPiece }[]): Need[] {
  const idsOf = (kind: string) =>
    [...new Set(waiting.map(({ key }) => key))].flatMap((key) =>
      key.startsWith(`${kind}/`) ? [key.slice(kind.length + 1)] : [],
    );
  const materialOf = new Map<string, TableMaterial>([
    ...layers
      .byIds(db, idsOf('layer'))
      .filter(({ form }) => form !== 'liquid')
      // The library's prices are typical ones: what nobody typed is no price to count with.
      .map((layer): [string, TableMaterial] => [
        `layer/${layer.id}`,
        layer.origin === 'library' ? { ...layerMaterial(layer), pricePerMetre: 0 } : layerMaterial(layer),
      ]),
    ...cloths.byIds(db, idsOf('cloth')).map((cloth): [string, TableMaterial] => [`cloth/${cloth.id}`, clothMaterial(cloth)]),
  ]);
  const had = new Set(layers.byIds(db, idsOf('layer')).flatMap(({ id, inStock }) => (inStock ? [`layer/${id}`] : [])));
  const needs = new Map<string, Need>();
  for (const { key, work } of waiting) {
    const material = materialOf.get(key);
    if (!material) continue;
    const need = needs.get(key);
    if (need) need.works.push(work);
    else {
      const stock = stockOf(db, material.kind, material.id);
      const some = had.has(key) && stock.length === 0 ? { some: true } : {};
      needs.set(key, { material, works: [work], stock, treatment: null, method: 'cut-first', ...some });
    }
  }
  for (const need of needs.values()) {
    if (need.material.kind === 'cloth')
      need.treatment = treatmentOfCloth(
        db,
        need.material.id,
        need.works.map(({ id }) => id),
      );
    else need.method = methodFor(db, need.works as LayeredWork[], need.material.id);
  }
  return [...needs.values()];
}
