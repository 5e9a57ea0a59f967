import type { InferType } from 'yup';
import { requireHoop, type Hoop } from '../core/hoop';
import { InputError } from '../core/input-error';
import { mappedMotif, readMotif, writeStitchTable } from '../formats/stitches';
import type { bundleSchema } from '../schemas/records';
import { cloths, type ClothFields } from './cloths';
import { cutTables, tablesOfProject, type CutTableFields } from './cut-tables';
import type { Db } from './database';
import { hoopings, type HoopingFields } from './hoopings';
import { hoops, type HoopFields } from './hoops';
import { layers, type LayerFields } from './layers';
import { logEntries, withMeasured, type LogFields } from './log';
import { insertMotif, motifs, stitchesOf } from './motifs';
import { parts, type PartFields } from './parts';
import { projects } from './projects';
import { scraps, type ScrapFields } from './scraps';
import { stock, stockThere, type StockFields } from './stock';

export type Bundle = InferType<typeof bundleSchema>;

export interface ImportCount {
  cloths: number;
  layers: number;
  projects: number;
  parts: number;
  log: number;
  scraps: number;
  stock: number;
  tables: number;
  hoops: number;
  motifs: number;
  hoopings: number;
}

/**
 * Puts a checked bundle into the database in one transaction: all of it or nothing. Records whose id is there
 * already are left as they are, so that the same file can be brought in twice.
 *
 * @throws {InputError} when a record points to one that is neither in the bundle nor in the database
 */
export function importBundle(db: Db, bundle: Bundle): ImportCount {
  const count: ImportCount = {
    cloths: 0,
    layers: 0,
    projects: 0,
    parts: 0,
    log: 0,
    scraps: 0,
    stock: 0,
    tables: 0,
    hoops: 0,
    motifs: 0,
    hoopings: 0,
  };
  const known = (table: string, id: string) => db.prepare(`SELECT 1 FROM ${table} WHERE id = ?`).get(id) !== undefined;
  const need = (field: string, table: string, id: string | null | undefined) => {
    if (id && !known(table, id))
      throw new InputError(field, `points to ${JSON.stringify(id)}, which is not in this bundle or in the cupboard`);
  };
  db.transaction(() => {
    for (const { id, ...cloth } of bundle.cloths) {
      if (known('cloth', id)) continue;
      cloths.insert(db, { ...cloth, origin: 'own' } as ClothFields, { id });
      count.cloths++;
    }
    for (const { id, ...layer } of bundle.layers) {
      if (known('layer', id)) {
        if (layer.inStock) db.prepare('UPDATE layer SET in_stock = 1 WHERE id = ?').run(id);
        continue;
      }
      layers.insert(db, { ...layer, origin: 'own' } as LayerFields, { id });
      count.layers++;
    }
    for (const { id, ...project } of bundle.projects) {
      if (known('project', id)) continue;
      projects.insert(db, project, { id });
      count.projects++;
    }
    bundle.parts.forEach(({ id, ...part }, i) => {
      if (known('part', id)) return;
      need(`parts[${i}].projectId`, 'project', part.projectId);
      need(`parts[${i}].clothId`, 'cloth', part.clothId);
      part.stack?.layers.forEach((layer, k) => need(`parts[${i}].stack.layers[${k}].materialId`, 'layer', layer.materialId));
      parts.insert(db, part as PartFields, { id });
      count.parts++;
    });
    bundle.log.forEach(({ id, ...entry }, i) => {
      if (known('log_entry', id)) return;
      need(`log[${i}].partId`, 'part', entry.partId);
      logEntries.insert(db, withMeasured(entry as Omit<LogFields, 'measuredBendingLength'>), { id });
      count.log++;
    });
    bundle.scraps.forEach(({ id, ...scrap }, i) => {
      if (known('scrap', id)) return;
      need(`scraps[${i}].partId`, 'part', scrap.partId);
      scraps.insert(db, scrap as unknown as ScrapFields, { id });
      count.scraps++;
    });
    bundle.stock.forEach(({ id, ...there }, i) => {
      if (known('stock', id)) return;
      need(`stock[${i}].ofId`, there.ofKind, there.ofId);
      stock.insert(db, { ...there, fromTable: null, usedBy: null } as StockFields, { id });
      count.stock++;
    });
    bundle.tables.forEach(({ id, ...table }, i) => {
      // A project has one open table of a material, and the one that is there goes first.
      if (known('cut_table', id) || openTable(db, table)) return;
      need(`tables[${i}].projectId`, 'project', table.projectId);
      need(`tables[${i}].ofId`, table.ofKind, table.ofId);
      table.partIds.forEach((partId, k) => need(`tables[${i}].partIds[${k}]`, 'part', partId));
      table.options.stockIds.forEach((stockId, k) => need(`tables[${i}].options.stockIds[${k}]`, 'stock', stockId));
      cutTables.insert(db, { ...table, done: null } as CutTableFields, { id });
      count.tables++;
    });
    for (const { id, ...hoop } of bundle.hoops) {
      if (known('hoop', id)) continue;
      hoops.insert(db, requireHoop(hoop as Hoop) as HoopFields, { id });
      count.hoops++;
    }
    bundle.motifs.forEach(({ id, table, ...motif }, i) => {
      if (known('motif', id)) return;
      const { read, figures } = named(`motifs[${i}].table`, () => {
        const read = readMotif(new TextEncoder().encode(table));
        const { density: _map, name: _name, ...figures } = mappedMotif(read);
        return { read, figures };
      });
      insertMotif(db, { ...motif, figures }, read.motif, id);
      count.motifs++;
    });
    bundle.hoopings.forEach(({ id, ...hooping }, i) => {
      if (known('hooping', id)) return;
      need(`hoopings[${i}].motifId`, 'motif', hooping.motifId);
      need(`hoopings[${i}].clothId`, 'cloth', hooping.clothId);
      need(`hoopings[${i}].hoopId`, 'hoop', hooping.hoopId);
      need(`hoopings[${i}].projectId`, 'project', hooping.projectId);
      need(`hoopings[${i}].partId`, 'part', hooping.partId);
      hooping.stack?.layers.forEach((layer, k) =>
        need(`hoopings[${i}].stack.layers[${k}].materialId`, 'layer', layer.materialId),
      );
      hoopings.insert(db, hooping as HoopingFields, { id });
      count.hoopings++;
    });
  })();
  return count;
}

/** Table of the same material in the same project on which nothing is cut yet. */
function openTable(db: Db, { projectId, ofKind, ofId }: Pick<CutTableFields, 'projectId' | 'ofKind' | 'ofId'>) {
  return tablesOfProject(db, projectId).find((table) => !table.done && table.ofKind === ofKind && table.ofId === ofId);
}

/** Tables on which nothing is cut yet, without what has gone since from the shelf or the project. */
function openTables(db: Db) {
  const there = new Set(stockThere(db).map(({ id }) => id));
  const open = new Set(projects.list(db).map(({ id }) => id));
  const pieces = new Set(parts.list(db).map(({ id }) => id));
  return cutTables
    .list(db, 'done IS NULL', [], 'created_at, id')
    .filter(({ projectId }) => open.has(projectId))
    .map(({ done: _done, ...table }) => {
      const stockIds = table.options.stockIds.filter((id) => there.has(id));
      const lost = stockIds.length < table.options.stockIds.length;
      return {
        ...portable(table),
        partIds: table.partIds.filter((id) => pieces.has(id)),
        options: { ...table.options, stockIds },
        // What was laid on something that is gone has to be laid anew.
        ...(lost && { laid: [], locked: [] }),
      };
    });
}

/** Lets what is wrong inside be named by where it stands in the bundle. */
function named<T>(field: string, work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (error instanceof InputError) throw new InputError(field, error.message.slice(error.field.length + 2));
    throw error;
  }
}

const RECORD_ONLY = ['version', 'createdAt', 'updatedAt', 'origin', 'measuredBendingLength', 'fromTable', 'usedBy'];

function portable<T extends object>(record: T): T {
  return Object.fromEntries(Object.entries(record).filter(([key]) => !RECORD_ONLY.includes(key))) as T;
}

/** Everything of the person's own, in the form that {@link importBundle} takes. */
export function exportBundle(db: Db): Bundle {
  const used = new Set([
    ...parts.list(db).flatMap((part) => part.stack?.layers.map((layer) => layer.materialId) ?? []),
    ...openTables(db).map(({ ofId }) => ofId),
    ...stockThere(db).map(({ ofId }) => ofId),
    ...hoopings.list(db).flatMap(({ stack }) => stack?.layers.map(({ materialId }) => materialId) ?? []),
  ]);
  const usedCloths = new Set([
    ...parts.list(db).map((part) => part.clothId),
    ...openTables(db).map(({ ofId }) => ofId),
    ...stockThere(db).map(({ ofId }) => ofId),
    ...hoopings.list(db).map(({ clothId }) => clothId),
  ]);
  return {
    format: 'nembrel-bundle',
    formatVersion: 1,
    cloths: cloths
      .list(db)
      .filter((cloth) => cloth.origin === 'own' || usedCloths.has(cloth.id))
      .map(portable),
    layers: layers
      .list(db)
      .filter((layer) => layer.origin === 'own' || layer.inStock || used.has(layer.id))
      .map(portable),
    projects: projects.list(db).map(portable),
    parts: parts.list(db).map((part) => ({ ...portable(part), stack: part.stack })),
    scraps: scraps.list(db, '1', [], 'created_at, id').map(portable),
    stock: stockThere(db).map(portable),
    tables: openTables(db),
    hoops: hoops.list(db).map(portable),
    motifs: motifs.list(db).map((motif) => {
      const { figures: _figures, ...own } = portable(motif);
      return { ...own, table: writeStitchTable(stitchesOf(db, motif)) };
    }),
    hoopings: hoopings.list(db, '1', [], 'created_at, id').map((each) => ({ ...portable(each), stack: each.stack })),
    log: logEntries.list(db, '1', [], 'done_on, id').map((entry) => ({ ...portable(entry), benchRunId: null })),
  } as unknown as Bundle;
}
