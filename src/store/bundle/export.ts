import { CLOTH_ID } from '../../core/layers';
import { writeStitchTable } from '../../formats/stitches';
import { cloths } from '../cloths';
import { cutTables } from '../cut-tables';
import type { Db } from '../database';
import { hoopings } from '../hoopings';
import { hoops } from '../hoops';
import { kits } from '../kits';
import { layers } from '../layers';
import { logEntries } from '../log';
import { motifs, stitchesOf } from '../motifs';
import { piecesOf } from '../workpieces';
import { projects } from '../projects';
import { recipes } from '../recipes';
import { scraps } from '../scraps';
import { seams } from '../seams';
import { stockThere } from '../stock';
import type { Table } from '../table';
import type { Bundle } from './import';
import { BUNDLE_FORMAT } from './upgrade';

const RECORD_ONLY = ['version', 'createdAt', 'updatedAt', 'origin', 'measuredBendingLength', 'fromTable', 'usedBy'];

function portable<T extends object>(record: T): T {
  return Object.fromEntries(Object.entries(record).filter(([key]) => !RECORD_ONLY.includes(key))) as T;
}

/**
 * Everything of the person's own, in the form that {@link importBundle} takes. What something in it still points to comes along,
 * even where it was deleted since; what belongs to a project that was deleted stays behind.
 */
export function exportBundle(db: Db): Bundle {
  const openProjects = projects.list(db);
  const isOpen = within(openProjects);
  const work = piecesOf(
    db,
    openProjects.map(({ id }) => id),
  );
  const isJob = within(work.jobs);
  const isCut = within(work.cuts);
  const isPiece = within(work.pieces);
  const shelf = stockThere(db);
  const tables = openTables(db);
  const hooped = hoopings.list(db, '1', [], 'created_at, id');
  const usedOf = (kind: 'cloth' | 'layer') =>
    [...shelf, ...tables].filter(({ ofKind }) => ofKind === kind).map(({ ofId }) => ofId);
  const stacked = [...work.jobs, ...hooped].flatMap(({ stack }) => stack?.layers.map(({ materialId }) => materialId) ?? []);
  const usedCloths = [
    ...usedOf('cloth'),
    ...[...work.cuts, ...hooped].flatMap(({ clothId }) => clothId ?? []),
    ...stacked.filter((id) => id.startsWith(CLOTH_ID)).map((id) => id.slice(CLOTH_ID.length)),
  ];
  const usedHoops = hooped.flatMap(({ hoopId }) => hoopId ?? []);
  const usedMotifs = hooped.map(({ motifId }) => motifId);
  return {
    format: 'nembrel-bundle',
    formatVersion: BUNDLE_FORMAT,
    cloths: withUsed(db, cloths, usedCloths, ({ origin }) => origin === 'own'),
    layers: withUsed(db, layers, [...usedOf('layer'), ...stacked], ({ origin, inStock }) => origin === 'own' || inStock),
    projects: openProjects.map(portable),
    pieces: work.pieces.map(portable),
    cuts: work.cuts.map(portable),
    jobs: work.jobs.map((job) => ({ ...portable(job), stack: job.stack })),
    scraps: scraps
      .list(db, '1', [], 'created_at, id')
      .filter(({ jobId }) => isJob(jobId))
      .map(portable),
    stock: shelf.map(portable),
    tables,
    hoops: withUsed(db, hoops, usedHoops),
    motifs: withUsed(db, motifs, usedMotifs).map(({ figures: _figures, ...motif }) => ({
      ...motif,
      table: writeStitchTable(stitchesOf(db, motif)),
    })),
    hoopings: hooped.map((each) => ({
      ...portable(each),
      projectId: isOpen(each.projectId) ? each.projectId : null,
      jobId: isJob(each.jobId) ? each.jobId : null,
      stack: each.stack,
    })),
    seams: seams
      .list(db, '1', [], 'created_at, id')
      .filter(({ projectId, firstCut, secondCut }) => isOpen(projectId) && isCut(firstCut) && isCut(secondCut))
      .map(portable),
    recipes: recipes
      .list(db, '1', [], 'created_at, rowid')
      .filter(({ projectId, source }) => isOpen(projectId) && (source === null || isPiece(source.pieceId)))
      .map(({ told: _told, ...recipe }) => ({
        ...portable(recipe),
        pieces: recipe.pieces.map((id) => (isPiece(id) ? id : null)),
      })),
    kits: kits
      .list(db, '1', [], 'created_at, id')
      .filter(({ projectId }) => isOpen(projectId))
      .map(portable),
    log: logEntries
      .list(db, '1', [], 'done_on, id')
      .map((entry) => ({ ...portable(entry), jobId: isJob(entry.jobId) ? entry.jobId : null, benchRunId: null })),
  } as unknown as Bundle;
}

/** Whether an id is that of one of these rows. */
function within(rows: readonly { id: string }[]): (id: string | null) => boolean {
  const ids = new Set(rows.map(({ id }) => id));
  return (id) => id !== null && ids.has(id);
}

/** Rows that are to be kept, and those that are used, deleted or not. */
function withUsed<T extends object>(db: Db, table: Table<T>, used: readonly string[], keeps: (row: T) => boolean = () => true) {
  const rows = table.list(db).filter((row) => keeps(row));
  const has = within(rows);
  return [...rows, ...table.evenDeleted(db, new Set(used)).filter(({ id }) => !has(id))].map(portable);
}

/** Tables on which nothing is cut yet, without what has gone since from the shelf or the project. */
function openTables(db: Db) {
  const there = new Set(stockThere(db).map(({ id }) => id));
  const open = new Set(projects.list(db).map(({ id }) => id));
  const work = piecesOf(db, [...open]);
  const known = new Set([...work.jobs, ...work.cuts].map(({ id }) => id));
  return cutTables
    .list(db, 'done IS NULL', [], 'created_at, id')
    .filter(({ projectId }) => open.has(projectId))
    .map(({ done: _done, ...table }) => {
      const stockIds = table.options.stockIds.filter((id) => there.has(id));
      const lost = stockIds.length < table.options.stockIds.length;
      return {
        ...portable(table),
        workIds: table.workIds.filter((id) => known.has(id)),
        options: { ...table.options, stockIds },
        // What was laid on something that is gone has to be laid anew.
        ...(lost && { laid: [], locked: [] }),
      };
    });
}
