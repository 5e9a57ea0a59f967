import { beforeEach, describe, expect, it } from 'vitest';
import { fingerprint, tableList, type TableOptions } from '../../src/core/cutlist';
import type { Placement } from '../../src/core/nesting';
import { finishTable, startTable, undoTable } from '../../src/server/cut-work';
import { requireSoundTable, tableParts } from '../../src/server/sound-table';
import { cutTables, type CutTable } from '../../src/store/cut-tables';
import type { Db } from '../../src/store/database';
import { openSeeded } from '../../src/server/database';
import { loadDemo } from '../../src/store/demo';
import { cuts } from '../../src/store/cuts';
import { jobs } from '../../src/store/jobs';
import { pieces } from '../../src/store/pieces';
import { getWorkpiece, type Workpiece } from '../../src/store/workpieces';
import type { TableBody } from '../../src/store/rules/table';
import { stock, stockOf, type StockFields } from '../../src/store/stock';

const FUSIBLE = 'shirt-weight-non-woven-fusible-80-g';
const SEWN = 'very-light-non-woven-sew-in-25-g';

let db: Db;
let work: Workpiece;
/** A job on one piece, 100 × 60 mm, with two layers. */
beforeEach(() => {
  db = openSeeded(':memory:');
  loadDemo(db, { onlyIfEmpty: false });
  const was = getWorkpiece(db, 'tq-wc-collar');
  const piece = pieces.insert(db, {
    ...pieces.get(db, was.pieceId),
    ...{ name: 'Tab', fold: null, marks: [], line: 'cut', allowances: [0, 0, 0, 0] },
    shape: { kind: 'rectangle', width: 100, height: 60, corners: [false, false, false, false], corner: 0 },
  });
  const cut = cuts.insert(db, { ...cuts.get(db, was.cutId), pieceId: piece.id, count: 1, pairs: false, done: false });
  const layers = [FUSIBLE, SEWN].map((materialId) => ({ materialId, extent: 'full', angle: 0 }));
  const stack = { ...was.stack!, layers } as never;
  work = getWorkpiece(db, jobs.insert(db, { ...jobs.get(db, was.id), cutId: cut.id, stack, cutDone: false }).id);
  db.prepare('DELETE FROM cut_table').run();
  db.prepare('DELETE FROM stock').run();
});

const keep = (ofId: string, more: Partial<StockFields>) =>
  stock.insert(db, {
    ...{ kind: 'roll', ofKind: 'layer', ofId, width: 900, length: 2000, count: 1, outline: null, spots: [], place: '', note: '' },
    ...{ fromTable: null, usedBy: null },
    ...more,
  } as StockFields);

/** A table of one layer, the piece laid in the middle of what it is cut from. */
function lay(ofId: string, sourceId: string, stockId = sourceId): CutTable {
  const options = {
    ...{ method: 'cut-first', glueUp: false, gap: 0, margin: 0, squaring: 20, folded: false, shrink: false },
    ...{ rollWidth: null, stockIds: [stockId], seconds: 1, seed: 1 },
  } as unknown as TableOptions;
  const asked = { ofKind: 'layer', ofId, options, workIds: [work.id] } as const;
  const { items } = tableParts(db, asked as never);
  const placements: Placement[] = [
    { id: items[0]!.id, copy: 0, rotation: items[0]!.rotations[0] ?? 0, flipped: false, x: 150, y: 150 },
  ];
  const laid = [{ sourceId, placements, length: 250, density: 0.1 }];
  return startTable(db, work.projectId, { ...asked, laid, locked: [], fingerprint: fingerprint(items) } as unknown as TableBody);
}
const done = (table: CutTable, kept: { outline: [number, number][]; spots?: [number, number][][]; place: string }[] = []) =>
  finishTable(db, table.id, { doneOn: '2026-11-27', keep: kept.map((each) => ({ spots: [], ...each })), version: table.version });
const now = (id: string) => stock.find(db, id);

describe('cutting', () => {
  it('draws a roll down by what was used and squared off, and gives it back', () => {
    const roll = keep(FUSIBLE, {});
    const cut = done(lay(FUSIBLE, roll.id));
    expect(now(roll.id)!.length).toBe(2000 - 250 - 20);
    undoTable(db, cut.id, cut.version);
    expect(now(roll.id)!.length).toBe(2000);
  });

  it('takes a sheet off its pile, and puts it back', () => {
    const sheets = keep(FUSIBLE, { kind: 'sheet', width: 400, length: 400, count: 3 });
    const cut = done(lay(FUSIBLE, `${sheets.id}#0`, sheets.id));
    expect(now(sheets.id)!.count).toBe(2);
    undoTable(db, cut.id, cut.version);
    expect(now(sheets.id)!.count).toBe(3);
  });

  it('uses a leftover up, which is not there any more until it is taken back', () => {
    const leftover = keep(FUSIBLE, { kind: 'leftover', width: 400, length: 400, outline: [[0, 0], [400, 0], [400, 400], [0, 400]] }); // prettier-ignore
    expect(stockOf(db, 'layer', FUSIBLE)).toHaveLength(1);
    const cut = done(lay(FUSIBLE, leftover.id));
    expect(now(leftover.id)!.usedBy).toBe(cut.id);
    expect(stockOf(db, 'layer', FUSIBLE)).toEqual([]);
    undoTable(db, cut.id, cut.version);
    expect(stockOf(db, 'layer', FUSIBLE)).toHaveLength(1);
  });

  it('of the last layer marks the job as cut, and no layer before it; taken back, it is not', () => {
    const [first, second] = [keep(FUSIBLE, {}), keep(SEWN, {})];
    done(lay(FUSIBLE, first.id));
    expect(jobs.get(db, work.id).cutDone).toBe(false);
    const last = done(lay(SEWN, second.id));
    expect(jobs.get(db, work.id).cutDone).toBe(true);
    undoTable(db, last.id, last.version);
    expect(jobs.get(db, work.id).cutDone).toBe(false);
  });

  it('puts leftovers away where they lie on their own', () => {
    const roll = keep(FUSIBLE, {});
    const cut = done(lay(FUSIBLE, roll.id), [{ outline: [[300, 10], [500, 10], [500, 90], [300, 90]], place: 'box' }]); // prettier-ignore
    const [kept] = stockOf(db, 'layer', FUSIBLE).filter(({ kind }) => kind === 'leftover');
    expect(kept).toMatchObject({ width: 200, length: 80, place: 'box', outline: [[0, 0], [200, 0], [200, 80], [0, 80]], spots: [] }); // prettier-ignore
    undoTable(db, cut.id, cut.version);
    expect(stockOf(db, 'layer', FUSIBLE).map(({ kind }) => kind)).toEqual(['roll']);
  });

  it('is done once, of what is as it was, and all of it or nothing', () => {
    const roll = keep(FUSIBLE, {});
    const table = lay(FUSIBLE, roll.id);
    expect(() => finishTable(db, table.id, { doneOn: '2026-11-27', keep: [], version: 99 })).toThrow();
    expect(() => done(table, [{ outline: [[0, 0], [1, 0], [2, 0]], place: '' }])).toThrow(/area/); // prettier-ignore
    expect(now(roll.id)!.length).toBe(2000);
    const cut = done(table);
    expect(() => done(cut)).toThrow(/cut already/);
    undoTable(db, cut.id, cut.version);
    expect(() => undoTable(db, cut.id, cutTables.get(db, cut.id).version)).toThrow(/not cut yet/);
  });
});

describe('a layout', () => {
  it('is kept only when it can be cut, as long as its pieces are those that were laid', () => {
    const roll = keep(FUSIBLE, {});
    const table = lay(FUSIBLE, roll.id);
    const off = { ...table, laid: table.laid.map((each) => ({ ...each, placements: each.placements.map((p) => ({ ...p, x: -300 })) })) }; // prettier-ignore
    expect(() => requireSoundTable(db, off)).toThrow(/beside the cloth/);
    expect(requireSoundTable(db, { ...off, fingerprint: 'of other pieces' }).laid).toEqual(off.laid);
    expect(() => finishTable(db, cutTables.update(db, table.id, { ...off, fingerprint: 'x' }, table.version).id, { doneOn: '2026-11-27', keep: [], version: 2 })).toThrow(/beside/); // prettier-ignore
  });

  it('of a part lists it once for each time its layer is in it', () => {
    const { items } = tableList([work], tableParts(db, { ofKind: 'layer', ofId: SEWN, options: { stockIds: [], method: 'cut-first' }, workIds: [work.id] } as never).material, { method: 'cut-first', stockIds: [] } as never, null, 6); // prettier-ignore
    expect(items.map(({ count }) => count)).toEqual([1]);
  });
});
