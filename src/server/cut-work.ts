import { readSettings } from '../store/settings';
import { layerItems, lengthOffRoll, listedPart } from '../core/cutlist';
import { InputError } from '../core/input-error';
import { spotsWithin } from '../core/cutplan';
import { bounds, polygonArea, type Outline, type Point } from '../core/shape';
import { cutTables, tablesOfProject, type CutTable, type TableDone } from '../store/cut-tables';
import type { Db } from '../store/database';
import { StaleError } from '../store/errors';
import { requireTable, type TableBody } from '../store/rules/table';
import { cuts } from '../store/cuts';
import { jobs } from '../store/jobs';
import { findMaterial } from '../store/materials';
import { workpiecesByIds, type Workpiece } from '../store/workpieces';
import { projects } from '../store/projects';
import { stock, type Stock, type StockFields } from '../store/stock';
import { materialKey } from './material-key';
import { requireSoundLayout, requireSoundTable, tableParts } from './sound-table';

/** Starts a cutting table, or gives the open one of the same material. */
export function startTable(db: Db, projectId: string, body: TableBody): CutTable {
  const project = projects.get(db, projectId);
  const open = tablesOfProject(db, project.id).find(
    (table) => table.done === null && table.ofKind === body.ofKind && table.ofId === body.ofId,
  );
  return open ?? cutTables.insert(db, { ...requireSoundTable(db, requireTable(db, body)), projectId: project.id, done: null });
}

export interface DoneBody {
  doneOn: string;
  /** Leftovers to put away. */
  keep: { outline: Outline; spots: Outline[]; place: string }[];
  version: number;
}

/**
 * Everything on a table is cut: rolls are drawn down, sheets and leftovers that were cut from are used up, leftovers worth keeping
 * are put away, and what needs nothing more is marked as cut. All of it or nothing.
 *
 * @throws {InputError} when nothing is laid yet, or a source has been used by another table meanwhile
 * @throws {StaleError} when the table was changed meanwhile
 */
export function finishTable(db: Db, id: string, { doneOn, keep, version }: DoneBody): CutTable {
  return db
    .transaction(() => {
      const table = cutTables.get(db, id);
      if (table.version !== version) throw new StaleError(table);
      if (table.done) throw new InputError('version', 'is of a table that is cut already');
      if (table.laid.length === 0) throw new InputError('laid', 'is empty; lay the pieces first');
      const parts = tableParts(db, table);
      requireSoundLayout(table.laid, parts);
      const done: TableDone = { doneOn, usedIds: [], drawn: [], sheets: [], keptIds: [], workIds: [] };
      for (const { sourceId, length } of table.laid)
        drawFrom(db, table, sourceId, lengthOffRoll(length, table.options, parts.treatment), done);
      keep.forEach(({ outline, spots, place }, i) => {
        if (!(polygonArea(outline) > 1)) throw new InputError(`keep[${i}].outline`, 'must enclose an area, saw none');
        done.keptIds.push(putAway(db, table, outline, spots, place).id);
      });
      const finished = cutTables.update(db, id, { ...table, done }, version);
      done.workIds = markCut(db, table);
      return done.workIds.length > 0 ? cutTables.update(db, id, { ...finished, done }, finished.version) : finished;
    })
    .immediate();
}

/** Takes off a source what was cut from it; the roll that is bought has no entry and needs none. */
function drawFrom(db: Db, table: CutTable, sourceId: string, offRoll: number, done: TableDone): void {
  // Sheets of one stack stand on the table one by one, as id#0, id#1 …
  const [stockId] = sourceId.split('#') as [string];
  const source = stock.find(db, stockId);
  if (!source) return;
  if (source.usedBy !== null)
    throw new InputError('options.stockIds', 'names a leftover that another table has used meanwhile; lay the pieces anew');
  if (source.kind === 'leftover') {
    stock.update(db, source.id, { ...source, usedBy: table.id }, source.version);
    done.usedIds.push(source.id);
  } else if (source.kind === 'roll') {
    const off = Math.min(source.length, offRoll);
    stock.update(db, source.id, { ...source, length: source.length - off }, source.version);
    done.drawn.push({ stockId: source.id, length: off });
  } else {
    if (source.count < 1) throw new InputError('options.stockIds', 'names sheets that are used up; lay the pieces anew');
    stock.update(db, source.id, { ...source, count: source.count - 1 }, source.version);
    const used = done.sheets.find(({ stockId: of }) => of === source.id);
    if (used) used.count += 1;
    else done.sheets.push({ stockId: source.id, count: 1 });
  }
}

function putAway(db: Db, table: CutTable, outline: Outline, spots: readonly Outline[], place: string): Stock {
  const { minX, minY, maxX, maxY } = bounds(outline);
  const toCorner = (each: Outline): Outline => each.map(([x, y]): Point => [x - minX, y - minY]);
  const leftover: StockFields = {
    kind: 'leftover',
    ofKind: table.ofKind,
    ofId: table.ofId,
    width: maxX - minX,
    length: maxY - minY,
    count: 1,
    outline: toCorner(outline),
    spots: spotsWithin(outline, spots).map(toCorner),
    place,
    note: '',
    fromTable: table.id,
    usedBy: null,
  };
  return stock.insert(db, leftover);
}

/** Marks what is cut now: cuts whose cloth this was, jobs of which every layer has been cut; gives those that were not before. */
function markCut(db: Db, table: CutTable): string[] {
  const done = tablesOfProject(db, table.projectId).filter((each) => each.done !== null || each.id === table.id);
  const isCut = (work: Workpiece, materialId: string) =>
    done.some(({ ofKind, ofId, workIds }) => materialKey(materialId) === `${ofKind}/${ofId}` && workIds.includes(work.id));
  const marked: string[] = [];
  const { trim } = readSettings(db).settings;
  if (table.ofKind === 'cloth')
    for (const cut of cuts.byIds(db, table.workIds)) {
      if (cut.done || cut.clothId !== table.ofId) continue;
      cuts.update(db, cut.id, { ...cut, done: true }, cut.version);
      marked.push(cut.id);
    }
  for (const work of workpiecesByIds(db, table.workIds)) {
    if (work.cutDone || !work.stack) continue;
    const listed = listedPart(work, (materialId) => findMaterial(db, materialId));
    const needed = listed.layers.filter(
      ({ material }) =>
        material.form !== 'liquid' &&
        layerItems([listed], material, { trim, method: 'cut-first', glueUp: true }).items.length > 0,
    );
    if (needed.length === 0 || !needed.every(({ material }) => isCut(work, material.id))) continue;
    const job = jobs.get(db, work.id);
    jobs.update(db, job.id, { ...job, cutDone: true }, job.version);
    marked.push(job.id);
  }
  return marked;
}

/**
 * Takes back what {@link finishTable} did, as long as what it put away lies there still.
 *
 * @throws {InputError} when a leftover of it has been used @throws {StaleError}
 */
export function undoTable(db: Db, id: string, version: number): CutTable {
  return db
    .transaction(() => {
      const table = cutTables.get(db, id);
      if (table.version !== version) throw new StaleError(table);
      const { done } = table;
      if (!done) throw new InputError('version', 'is of a table that is not cut yet');
      for (const keptId of done.keptIds) {
        const kept = stock.find(db, keptId);
        if (!kept) continue;
        if (kept.usedBy !== null)
          throw new InputError('done', 'cannot be taken back: a leftover of this table has been used for something else');
        stock.remove(db, keptId);
      }
      for (const usedId of done.usedIds) change(db, usedId, (was) => ({ ...was, usedBy: null }));
      for (const { stockId, length } of done.drawn) change(db, stockId, (was) => ({ ...was, length: was.length + length }));
      for (const { stockId, count } of done.sheets) change(db, stockId, (was) => ({ ...was, count: was.count + count }));
      for (const workId of done.workIds) {
        // Jobs and cuts of before the two were told apart share an id; what kind of table it was says which is meant.
        const cut = table.ofKind === 'cloth' ? cuts.find(db, workId) : undefined;
        if (cut) cuts.update(db, cut.id, { ...cut, done: false }, cut.version);
        const job = cut ? undefined : jobs.find(db, workId);
        if (job) jobs.update(db, job.id, { ...job, cutDone: false }, job.version);
      }
      return cutTables.update(db, id, { ...table, done: null }, version);
    })
    .immediate();
}

function change(db: Db, id: string, to: (was: Stock) => StockFields): void {
  const was = stock.find(db, id);
  if (was) stock.update(db, id, to(was), was.version);
}
