import { clothMaterial, layerMaterial, type LayingMethod, type StockEntry, type TableMaterial } from '../core/cutlist';
import { cloths } from '../store/cloths';
import { cutTables } from '../store/cut-tables';
import type { Db } from '../store/database';
import { layers } from '../store/layers';
import { parts, type Part } from '../store/parts';
import { stockOf } from '../store/stock';
import { areStarched } from './starched';
import { methodFor } from './order-of-work';

/** A material that something still has to be cut from, for some projects. */
export interface ShoppingNeed {
  material: TableMaterial;
  parts: Part[];
  stock: StockEntry[];
  starched: boolean;
  method: LayingMethod;
}

/** Projects with parts that are not cut yet, last touched first. */
export function waitingProjects(db: Db): { id: string; name: string }[] {
  return db
    .prepare(
      `SELECT id, name FROM project WHERE deleted_at IS NULL
         AND id IN (SELECT project_id FROM part WHERE deleted_at IS NULL AND cut_done = 0) ORDER BY updated_at DESC, rowid`,
    )
    .all() as { id: string; name: string }[];
}

/** What the parts of some projects still have to be cut from; what was cut from a table already is left out. */
export function shoppingNeeds(db: Db, projectIds: readonly string[]): ShoppingNeed[] {
  const ids = JSON.stringify(projectIds);
  const within = 'project_id IN (SELECT value FROM json_each(?))';
  const waiting = parts.list(db, `cut_done = 0 AND ${within}`, [ids], 'created_at, rowid');
  const cut = new Set(
    cutTables
      .list(db, `done IS NOT NULL AND ${within}`, [ids], 'id')
      .flatMap(({ ofKind, ofId, partIds }) => partIds.map((partId) => `${ofKind}/${ofId}/${partId}`)),
  );
  const used = new Set(waiting.flatMap(({ stack }) => stack?.layers.map(({ materialId }) => materialId) ?? []));
  const layerOf = new Map(layers.byIds(db, [...used]).map((layer) => [layer.id, layer]));
  const clothOf = new Map(
    cloths.byIds(db, [...new Set(waiting.flatMap(({ clothId }) => clothId ?? []))]).map((cloth) => [cloth.id, cloth]),
  );
  const needs = new Map<string, ShoppingNeed>();
  const add = (material: TableMaterial, part: Part) => {
    const key = `${material.kind}/${material.id}`;
    if (cut.has(`${key}/${part.id}`)) return;
    const need = needs.get(key);
    if (need) need.parts.push(part);
    else
      needs.set(key, {
        ...{ material, parts: [part], stock: stockOf(db, material.kind, material.id), starched: false, method: 'cut-first' },
      });
  };
  for (const part of waiting) {
    for (const materialId of new Set(part.stack?.layers.map((layer) => layer.materialId) ?? [])) {
      const layer = layerOf.get(materialId);
      if (layer && layer.form !== 'liquid') add(layerMaterial(layer), part);
    }
    const cloth = part.clothId === null ? undefined : clothOf.get(part.clothId);
    if (cloth) add(clothMaterial(cloth), part);
  }
  for (const need of needs.values()) {
    // As the cutting table reckons it: what is starched before sewing is cut larger.
    need.starched = areStarched(db, need.parts);
    if (need.material.kind === 'layer') need.method = methodFor(db, need.parts);
  }
  return [...needs.values()];
}
