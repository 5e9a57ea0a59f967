import fc from 'fast-check';
import { beforeEach, describe, expect, it } from 'vitest';
import { ironSole, sheetMoves } from '../../src/core/press';
import type { Outline } from '../../src/core/shape';
import { loadSteps, sheetSteps } from '../../src/core/techniques';
import { openSeeded } from '../../src/server/database';
import { startBatch } from '../../src/server/start-bench';
import type { BenchRun } from '../../src/store/bench-runs';
import type { Db } from '../../src/store/database';
import { loadDemo } from '../../src/store/demo';
import { cuts } from '../../src/store/cuts';
import { jobs } from '../../src/store/jobs';
import { readSettings, writeSettings, type Settings } from '../../src/store/settings';
import { stock, type StockFields } from '../../src/store/stock';

const rectangle = (x: number, y: number, width: number, height: number): Outline => [
  [x, y],
  [x + width, y],
  [x + width, y + height],
  [x, y + height],
];
/** Point in polygon, by crossings; on its own so that it shares nothing with what it judges. */
function holds(outline: Outline, [px, py]: readonly [number, number]): boolean {
  let inside = false;
  for (let i = 0, j = outline.length - 1; i < outline.length; j = i++) {
    const [[ax, ay], [bx, by]] = [outline[i]!, outline[j]!];
    if (ay > py !== by > py && px < ((bx - ax) * (py - ay)) / (by - ay) + ax) inside = !inside;
  }
  return inside;
}
const turned = (outline: Outline, { x, y, rotation }: { x: number; y: number; rotation: number }): Outline => {
  const [sin, cos] = [Math.sin((rotation * Math.PI) / 180), Math.cos((rotation * Math.PI) / 180)];
  return outline.map(([u, v]) => [u * cos - v * sin + x, u * sin + v * cos + y]);
};

describe('a sheet over the board', () => {
  const plate = ironSole(220, 115);
  const board = { length: 1200, width: 380 };

  it('goes over it once when it is small enough', () => {
    expect(sheetMoves({ pieces: [rectangle(0, 0, 300, 300)], board, plate, overlap: 15 })).toHaveLength(1);
    expect(sheetMoves({ pieces: [rectangle(0, 0, 360, 1100)], board, plate, overlap: 15 })).toHaveLength(1);
    expect(sheetMoves({ pieces: [rectangle(0, 0, 1100, 360)], board, plate, overlap: 15 })).toHaveLength(1);
  });

  it('is refused when nothing of it would lie on the board', () => {
    expect(() => sheetMoves({ pieces: [rectangle(0, 0, 300, 300)], board: { length: 10, width: 10 }, plate, overlap: 15 })).toThrow(/board/);
  }); // prettier-ignore

  it('presses every spot of every piece, in moves that lie on the board, and nothing beside the pieces', () => {
    const piece = fc.tuple(fc.integer({ min: 20, max: 500 }), fc.integer({ min: 20, max: 500 }), fc.integer({ min: 0, max: 60 }));
    fc.assert(
      fc.property(fc.array(piece, { minLength: 1, maxLength: 6 }), fc.integer({ min: 0, max: 25 }), (sizes, overlap) => {
        let y = 0;
        const pieces = sizes.map(([width, height, gap]) => {
          const own = rectangle(gap * 3, y, width, height);
          y += height + gap;
          return own;
        });
        const moves = sheetMoves({ pieces, board, plate, overlap });
        const soles = moves.flatMap(({ stops }) => stops.map((stop) => turned(plate, stop)));
        for (const { area } of moves) {
          const [w, h] = [area.maxX - area.minX, area.maxY - area.minY];
          expect(Math.min(w, h)).toBeLessThanOrEqual(board.width + 1e-6);
          expect(Math.max(w, h)).toBeLessThanOrEqual(board.length + 1e-6);
        }
        for (const [[left, bottom], [right], , [, top]] of pieces as [number, number][][] as [
          [number, number],
          [number, number],
          unknown,
          [number, number],
        ][])
          for (let i = 0.01; i < 1; i += 0.14)
            for (let j = 0.01; j < 1; j += 0.14) {
              const spot = [left! + (right! - left!) * i, bottom! + (top! - bottom!) * j] as const;
              expect(soles.some((sole) => holds(sole, spot))).toBe(true);
            }
        // Each sole covers something: some point of a grid on it lies on a piece, or a corner of a piece lies under it.
        for (const sole of soles) {
          const [xs, ys] = [sole.map(([x]) => x), sole.map(([, v]) => v)];
          const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
          expect(pieces.some(([a, , c]) => a![0] < x1 && c![0] > x0 && a![1] < y1 && c![1] > y0)).toBe(true);
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe('the steps of sheets and loads', () => {
  const layer = { name: 'Firm fusible, 120 g', seconds: 12, how: 'Iron medium.', coolSeconds: 300 };
  const sheet = (pieces: string[], moves = 1) => ({ pieces, moves, size: '640 mm of it' });

  it('of two sheets cool once; then every piece is felt and cut out', () => {
    const steps = sheetSteps(layer, 'fuse-together', [sheet(['Flap 1', 'Flap 2'], 2), sheet(['Tab'])]);
    expect(steps.map(({ kind }) => kind)).toEqual(['do', 'press', 'press', 'do', 'press', 'wait', 'check', 'do', 'check', 'do']);
    expect(steps.map(({ on }) => on)).toEqual([0, 0, 0, 1, 1, 0, 0, 0, 1, 1]);
    expect(steps[0]!.title).toBe('Sheet 1 of 2: lay 2 pieces on firm fusible, 120 g');
    expect(steps[3]!.title).toBe('Sheet 2 of 2: lay 1 piece on firm fusible, 120 g');
    expect(steps[2]!.title).toContain('move 2 of 2: draw it on');
    expect(steps.flatMap(({ checks }) => checks ?? [])).toEqual(['Flap 1 holds', 'Flap 2 holds', 'Tab holds']);
    expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
  });

  it('of loads are laid and pressed, and cool once', () => {
    const steps = loadSteps(layer, [sheet(['A', 'B']), sheet(['C'])], 3);
    expect(steps.map(({ kind }) => kind)).toEqual(['do', 'press', 'do', 'press', 'wait']);
    expect(steps.map(({ on }) => on)).toEqual([3, 3, 4, 4, 3]);
  });
});

describe('a batch that is fused together', () => {
  let db: Db;
  const FRONT = 'tq-wc-front';
  const set = (more: Partial<Settings>) => {
    const { settings, version } = readSettings(db);
    writeSettings(db, { ...settings, ...more }, version);
  };
  /** A job whose one layer reaches the edges of its pieces. */
  const full = (id: string, count: number) => {
    const job = jobs.get(db, id);
    const layer = {
      ...job.stack!.layers[0]!,
      materialId: jobs.get(db, FRONT).stack!.layers[0]!.materialId,
      extent: 'full' as const,
    };
    jobs.update(
      db,
      id,
      { ...job, place: { kind: 'whole' }, stack: { ...job.stack!, layers: [layer], schools: {} } },
      job.version,
    );
    const cut = cuts.get(db, job.cutId);
    cuts.update(db, cut.id, { ...cut, count, pairs: false }, cut.version);
  };
  const steps = (run: BenchRun, stage = 'apply') => run.plan.steps.filter((step) => step.stage === stage);
  let second: string;
  beforeEach(() => {
    db = openSeeded(':memory:');
    loadDemo(db, { onlyIfEmpty: false });
    const project = db.prepare("SELECT i.project_id AS id FROM job j JOIN cut c ON c.id = j.cut_id JOIN piece i ON i.id = c.piece_id WHERE j.id = ?").get(FRONT) as { id: string }; // prettier-ignore
    second = (db.prepare("SELECT j.id AS id FROM job j JOIN cut c ON c.id = j.cut_id JOIN piece i ON i.id = c.piece_id WHERE i.project_id = ? AND j.id != ? AND j.stack IS NOT NULL AND c.cloth_id IS NOT NULL ORDER BY j.id").all(project.id, FRONT) as { id: string }[])[0]!.id; // prettier-ignore
    db.prepare('DELETE FROM cut_table').run();
    db.prepare('DELETE FROM bench_run').run();
    set({ schools: { order: 'fuse-together' } as never });
    full(FRONT, 2);
    full(second, 3);
  });

  it('lays the pieces of both jobs on one sheet, each once, none on another', () => {
    const run = startBatch(db, [FRONT, second]);
    const sheets = run.plan.sheets!;
    const pieces = sheets.flatMap((sheet) => sheet.pieces);
    expect(pieces.filter(({ workId }) => workId === FRONT)).toHaveLength(2);
    expect(new Set(pieces.map(({ name }) => name)).size).toBe(pieces.length);
    const middle = ({ outline }: { outline: Outline }) => [outline.reduce((s, [x]) => s + x, 0) / outline.length, outline.reduce((s, [, y]) => s + y, 0) / outline.length] as const; // prettier-ignore
    for (const { pieces: own, outline } of sheets)
      for (const piece of own) {
        expect(own.filter((other) => other !== piece && holds(other.outline, middle(piece)))).toEqual([]);
        expect(holds(outline, middle(piece))).toBe(true);
      }
    // Nothing is pressed piece by piece, it cools once, and each piece is felt.
    expect(steps(run).filter(({ kind, on }) => kind === 'press' && on === undefined)).toEqual([]);
    expect(steps(run).filter(({ kind }) => kind === 'wait')).toHaveLength(1);
    expect(steps(run).flatMap(({ checks }) => checks ?? [])).toHaveLength(pieces.length);
    expect(steps(run).at(-1)!.title).toMatch(/cut the pieces loose/);
  });

  it('puts what follows on each piece after it is cut out', () => {
    const job = jobs.get(db, FRONT);
    const wadding = 'cotton-wadding-130-g';
    const layers = [...job.stack!.layers, { ...job.stack!.layers[0]!, materialId: wadding, join: 'spray-glued' as const }];
    jobs.update(db, FRONT, { ...job, stack: { ...job.stack!, layers } }, job.version);
    const titles = steps(startBatch(db, [FRONT])).map(({ title }) => title);
    const out = titles.findIndex((title) => /cut the pieces loose/.test(title));
    expect(titles.slice(out + 1)).toHaveLength(2);
    expect(titles.slice(out + 1).every((title) => /spray/.test(title))).toBe(true);
  });

  it('is refused by name when a piece fits on nothing, and never leaves one out', () => {
    const { id: layer } = db.prepare('SELECT id FROM layer WHERE id = ?').get(jobs.get(db, FRONT).stack!.layers[0]!.materialId) as { id: string }; // prettier-ignore
    db.prepare('UPDATE layer SET roll_width = 60 WHERE id = ?').run(layer);
    db.prepare('DELETE FROM stock').run();
    expect(() => startBatch(db, [FRONT])).toThrow(/does not fit on .*cut the pieces first/);
    // A scrap of it in the cupboard is too small for all of them, and changes nothing.
    const scrap: StockFields = { kind: 'leftover', ofKind: 'layer', ofId: layer, width: 40, length: 40, count: 1, outline: null, spots: [], place: '', note: '', fromTable: null, usedBy: null }; // prettier-ignore
    stock.insert(db, scrap);
    expect(() => startBatch(db, [FRONT])).toThrow(/does not fit on/);
  });

  it('puts what wants another iron on a sheet of its own, though it is pressed as long', () => {
    const job = jobs.get(db, second);
    const materialId = job.stack!.layers[0]!.materialId;
    const setting = (ironDots: number) => ({ materialId, ironDots, seconds: 11, steam: false, cover: 'cloth' as const });
    jobs.update(db, second, { ...job, stack: { ...job.stack!, setting: setting(1) } as never }, job.version);
    const front = jobs.get(db, FRONT);
    jobs.update(db, FRONT, { ...front, stack: { ...front.stack!, setting: setting(2) } as never }, front.version);
    // What a scrap of the pair found would go before it.
    db.prepare('DELETE FROM scrap').run();
    const run = startBatch(db, [FRONT, second]);
    for (const sheet of run.plan.sheets!) expect(new Set(sheet.pieces.map(({ workId }) => workId)).size).toBe(1);
    const hows = steps(run)
      .filter(({ kind }) => kind === 'press')
      .map(({ detail }) => detail.slice(0, 12));
    expect(new Set(hows).size).toBe(2);
  });

  it('under a flat press fills the plate with pieces, load by load', () => {
    expect(() => startBatch(db, [FRONT, second], 'press')).toThrow(/plate/);
    set({ schools: { order: 'cut-first' } as never, pressLength: 600, pressWidth: 800 });
    const run = startBatch(db, [FRONT, second], 'press');
    const loads = run.plan.sheets!;
    expect(loads.flatMap(({ pieces }) => pieces).length).toBeGreaterThan(loads.length);
    for (const { outline, pieces, plate } of loads) {
      expect(plate).toBeDefined();
      for (const piece of pieces) for (const [x, y] of piece.outline) {
        expect(x).toBeGreaterThanOrEqual(Math.min(...outline.map(([u]) => u)) - 1e-6);
        expect(y).toBeLessThanOrEqual(Math.max(...outline.map(([, v]) => v)) + 1e-6);
      } // prettier-ignore
    }
    expect(
      steps(run)
        .filter(({ kind }) => kind === 'press')
        .every(({ on }) => on !== undefined),
    ).toBe(true);
    expect(steps(run).filter(({ kind }) => kind === 'wait')).toHaveLength(1);
  });
});
