import { clothMaterial, layerMaterial, type LayingMethod, type StockEntry, type TableMaterial } from '../core/cutlist';
import type { Treatment } from '../core/pieces';
import { cloths } from '../store/cloths';
import { cutTables } from '../store/cut-tables';
import type { Db } from '../store/database';
import { layers } from '../store/layers';
import type { CutPiece } from '../core/workpiece';
import { workOf, type Workpiece } from '../store/workpieces';
import { stockOf } from '../store/stock';
import { treatmentOfCloth } from './treatment';
import { materialKey } from './material-key';
import { methodFor } from './order-of-work';

/** A material that something still has to be cut from, for some projects. */
export interface ShoppingNeed {
  material: TableMaterial;
  works: (Workpiece | CutPiece)[];
  stock: StockEntry[];
  /** What a heavy wetting does to a cloth. */
  treatment: Treatment | null;
  method: LayingMethod;
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
  const waitingJobs = workpieces.filter(({ cutDone, stack }) => !cutDone && stack !== null);
  const waitingCuts = cutPieces.filter(({ done, clothId }) => !done && clothId !== null);
  const keys = [
    ...waitingJobs.flatMap(({ stack }) => stack!.layers.map(({ materialId }) => materialKey(materialId))),
    ...waitingCuts.map(({ clothId }) => `cloth/${clothId}`),
  ];
  const idsOf = (kind: string) =>
    [...new Set(keys)].flatMap((key) => (key.startsWith(`${kind}/`) ? [key.slice(kind.length + 1)] : []));
  const materialOf = new Map<string, TableMaterial>([
    ...layers
      .byIds(db, idsOf('layer'))
      .filter(({ form }) => form !== 'liquid')
      .map((layer): [string, TableMaterial] => [`layer/${layer.id}`, layerMaterial(layer)]),
    ...cloths.byIds(db, idsOf('cloth')).map((cloth): [string, TableMaterial] => [`cloth/${cloth.id}`, clothMaterial(cloth)]),
  ]);
  const needs = new Map<string, ShoppingNeed>();
  const add = (key: string, work: Workpiece | CutPiece) => {
    const material = materialOf.get(key);
    if (!material || cut.has(`${key}/${work.id}`)) return;
    const need = needs.get(key);
    if (need) need.works.push(work);
    else
      needs.set(key, {
        ...{ material, works: [work], stock: stockOf(db, material.kind, material.id), treatment: null, method: 'cut-first' },
      });
  };
  for (const work of waitingJobs)
    for (const key of new Set(work.stack!.layers.map(({ materialId }) => materialKey(materialId)))) add(key, work);
  for (const work of waitingCuts) add(`cloth/${work.clothId}`, work);
  for (const need of needs.values()) {
    if (need.material.kind === 'cloth')
      need.treatment = treatmentOfCloth(
        db,
        need.material.id,
        need.works.map(({ id }) => id),
      );
    if (need.material.kind === 'layer') need.method = methodFor(db, need.works as Workpiece[], need.material.id);
  }
  return [...needs.values()];
}
