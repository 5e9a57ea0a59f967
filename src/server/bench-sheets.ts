import { copyName, cutPieces, fingerprint, layerMaterial, usualOptions, type CutItem, type TableSource } from '../core/cutlist';
import { tablePlans, type Laid, type TablePlan } from '../core/cutplan';
import type { NestPiece, Placement } from '../core/nesting';
import { InputError } from '../core/input-error';
import type { Material } from '../core/layers';
import { inscribedRectangle, type PressStop } from '../core/press';
import { openPiece } from '../core/pieces';
import { bounds, boxOutline, transformed, type Outline } from '../core/shape';
import { formatLength, type LengthSystem } from '../core/units';
import type { BenchSheet } from '../core/bench';
import { tablesOfProject, type CutTable } from '../store/cut-tables';
import type { Db } from '../store/database';
import { stockOf } from '../store/stock';
import type { Workpiece } from '../store/workpieces';
import { tableParts, type TableParts } from './sound-table';

/** What is laid out of a layer, and the pieces on it. */
export interface LaidSheet extends BenchSheet {
  /** What is laid out, in words. */
  size: string;
}

interface Asked {
  works: readonly Workpiece[];
  /** What each job is called on the bench. */
  nameOf: (workId: string) => string;
  units: LengthSystem;
}

/**
 * The sheets on which the pieces of some jobs are fused together onto one uncut layer: as they lie on the project's cutting table,
 * or, where no table holds them all as they are now, laid at once from what is at hand.
 *
 * @throws {InputError} when a piece fits on nothing
 */
export function layerSheets(db: Db, material: Material, asked: Asked): LaidSheet[] {
  const { works } = asked;
  const ids = works.map(({ id }) => id);
  for (const table of tablesOfProject(db, works[0]!.projectId)) {
    if (table.ofKind !== 'layer' || table.ofId !== material.id || table.options.method === 'cut-first') continue;
    if (!ids.every((id) => table.workIds.includes(id))) continue;
    const parts = tableParts(db, table);
    if (fingerprint(parts.items) === table.fingerprint && holdsAll(table, parts.items, ids))
      return sheetsOf(table.laid, parts, table.options.glueUp, asked);
  }
  const options = usualOptions(layerMaterial(material), stockOf(db, 'layer', material.id), 'fuse-together');
  const parts = tableParts(db, { ofKind: 'layer', ofId: material.id, options, workIds: ids });
  const laid = laidAtOnce(
    parts.sources.map(({ source }) => source),
    parts.items,
    options.gap,
    material.name,
  );
  return sheetsOf(laid, parts, options.glueUp, asked);
}

/** Every copy of some jobs lies on the table. */
function holdsAll({ laid }: Pick<CutTable, 'laid'>, items: readonly CutItem[], workIds: readonly string[]): boolean {
  const own = items.filter(({ workId }) => workIds.includes(workId));
  const wanted = own.reduce((sum, { count }) => sum + count, 0);
  const there = laid.flatMap(({ placements }) => placements).filter(({ id }) => own.some((item) => item.id === id));
  return wanted > 0 && there.length === wanted;
}

/** Lays without a search; the first layout that holds is enough for the bench. @throws {InputError} when a piece fits on nothing */
function laidAtOnce(sources: readonly TableSource['source'][], items: readonly CutItem[], gap: number, on: string): Laid[] {
  const { laid, unplaced } = laidWithoutSearch(sources, cutPieces(items), gap);
  const [none] = unplaced;
  if (!none) return laid;
  const name = items.find(({ id }) => id === none.id)!.name;
  throw new InputError('order', `cannot be to fuse together: “${name}” does not fit on ${on}; cut the pieces first`);
}

/** The first layout of some pieces on some sources, one source after the other, and what found no place. */
function laidWithoutSearch(
  sources: readonly TableSource['source'][],
  pieces: readonly NestPiece[],
  gap: number,
): Pick<TablePlan, 'laid' | 'unplaced'> {
  let found: Pick<TablePlan, 'laid' | 'unplaced'> = { laid: [], unplaced: [] };
  for (const plan of tablePlans({ sources, pieces, gap, seconds: 0, seed: 1, enough: () => true })) found = plan;
  return found;
}

function sheetsOf(laid: readonly Laid[], { items, sources }: TableParts, glueUp: boolean, asked: Asked): LaidSheet[] {
  const { works, nameOf, units } = asked;
  const own = (id: string) => items.find((item) => item.id === id && works.some((work) => work.id === item.workId));
  return laid.flatMap(({ sourceId, placements, length }): LaidSheet[] => {
    const there = placements.filter(({ id }) => own(id));
    const source = sources.find((each) => each.source.id === sourceId);
    if (there.length === 0 || !source) return [];
    // Laid glue down it is seen from behind; on the board the glue lies up.
    const seen = (outline: Outline): Outline => (glueUp ? outline : transformed(outline, true, 0, source.source.width, 0));
    const whole = source.source.outline ?? rectangle(source.source.width, Math.min(length, source.source.length ?? Infinity));
    return [
      {
        outline: seen(whole),
        pieces: there.map((placement) => pieceOf(placement, own(placement.id)!, nameOf, seen)),
        size: sizeWords(source, length, units),
      },
    ];
  });
}

function pieceOf(
  { copy, flipped, rotation, x, y }: Placement,
  item: CutItem,
  nameOf: Asked['nameOf'],
  seen: (outline: Outline) => Outline,
): BenchSheet['pieces'][number] {
  const name = item.count + item.first > 2 ? copyName({ ...item, name: nameOf(item.workId) }, copy) : nameOf(item.workId);
  return { name, workId: item.workId, outline: seen(transformed(item.edge, flipped, rotation, x, y)) };
}

function sizeWords({ stock: entry, fullWidth }: TableSource, length: number, units: LengthSystem): string {
  const size = (mm: number) => formatLength(mm, units);
  const place = entry?.place ? ` (${entry.place})` : '';
  if (entry?.kind === 'leftover') return `the leftover of ${size(entry.width)} × ${size(entry.length)}${place}`;
  if (entry?.kind === 'sheet') return `a sheet of ${size(entry.width)} × ${size(entry.length)}${place}`;
  return `${size(Math.ceil(length / 10) * 10)} of the roll, ${size(fullWidth)} wide${place}`;
}

/** What lies between pieces in a press, mm. */
const PRESS_GAP = 5;

/** A piece that lies in a press, and how often. */
interface LoadPiece {
  id: string;
  work: Workpiece;
  outline: Outline;
  count: number;
  /** Number of its first copy, from 0. */
  first: number;
}

/** The pieces of some jobs as they lie in a press, cloth face down: the first half of a pair is seen mirrored, not the second. */
function loadPieces(works: readonly Workpiece[]): LoadPiece[] {
  return works.flatMap((work) => {
    const { outline } = openPiece(work);
    const halves = work.pairs ? [Math.ceil(work.count / 2), Math.floor(work.count / 2)] : [work.count];
    return halves
      .map((count, half) => ({
        ...{ id: `${work.id}/${half}`, work, count, first: half === 1 ? halves[0]! : 0 },
        outline: half === 1 ? outline : transformed(outline, true, 0).reverse(),
      }))
      .filter(({ count }) => count > 0);
  });
}

/**
 * Loads of a flat press: the pieces of some jobs, each with its layer on it, so that each load fills the plate, laid along or across it.
 * What is larger than the plate is a load of its own and is pressed in several stops.
 */
export function pressLoads(
  plate: { width: number; length: number },
  { works, nameOf }: Pick<Asked, 'works' | 'nameOf'>,
): BenchSheet[] {
  const pieces = loadPieces(works);
  const [short, long] = [Math.min(plate.width, plate.length), Math.max(plate.width, plate.length)];
  const fits = ({ outline }: LoadPiece) => {
    const { minX, minY, maxX, maxY } = bounds(outline);
    return Math.min(maxX - minX, maxY - minY) <= short && Math.max(maxX - minX, maxY - minY) <= long;
  };
  const small = pieces.filter(fits);
  const large = pieces.filter((piece) => !fits(piece));
  const lies = [filled(small, short, long), filled(small, long, short)];
  const best = lies[1]!.laid.length < lies[0]!.laid.length ? lies[1]! : lies[0]!;
  return [
    ...best.laid.map(({ placements }): BenchSheet => ({
      ...{ outline: rectangle(best.width, best.length), load: true },
      pieces: placements.map((placement) => loadPlaced(small, placement, nameOf)),
    })),
    ...large.flatMap((piece) =>
      Array.from({ length: piece.count }, (_, copy): BenchSheet => ({
        ...{ outline: piece.outline, load: true },
        pieces: [{ name: loadName(piece, copy, nameOf), workId: piece.work.id, outline: piece.outline }],
      })),
    ),
  ];
}

/**
 * Loads of a hand iron: cut pieces of some jobs, as many as lie free under its sole at once. The stop that covers a load stands where the
 * sole's own rectangle lies on it.
 */
export function soleLoads(
  sole: Outline,
  { works, nameOf }: Pick<Asked, 'works' | 'nameOf'>,
): { loads: BenchSheet[]; stop: PressStop } {
  const room = inscribedRectangle(sole);
  const [width, length] = [room.maxX - room.minX, room.maxY - room.minY];
  const pieces = loadPieces(works);
  const { laid } = filled(pieces, width, length);
  return {
    stop: { x: -room.minX, y: -room.minY, rotation: 0 },
    loads: laid.map(({ placements }): BenchSheet => ({
      ...{ outline: rectangle(width, length), load: true },
      pieces: placements.map((placement) => loadPlaced(pieces, placement, nameOf)),
    })),
  };
}

/** A piece as it lies in a load, by its name. */
function loadPlaced(
  pieces: readonly LoadPiece[],
  { id, copy, rotation, x, y }: Placement,
  nameOf: Asked['nameOf'],
): BenchSheet['pieces'][number] {
  const piece = pieces.find((each) => each.id === id)!;
  return {
    name: loadName(piece, copy, nameOf),
    workId: piece.work.id,
    outline: transformed(piece.outline, false, rotation, x, y),
  };
}

const loadName = ({ work, first }: LoadPiece, copy: number, nameOf: Asked['nameOf']): string =>
  work.count > 1 ? `${nameOf(work.id)} ${first + copy + 1}` : nameOf(work.id);

/** Pieces laid plate by plate; there are as many plates as copies, so that none is left out. */
function filled(pieces: readonly LoadPiece[], width: number, length: number): { laid: Laid[]; width: number; length: number } {
  const copies = pieces.reduce((sum, { count }) => sum + count, 0);
  const { laid } = laidWithoutSearch(
    Array.from({ length: copies }, (_, k) => ({ id: `load-${k}`, width, length })),
    pieces.map(({ id, outline, count }) => ({ id, outline, count, rotations: [0, 90, 180, 270], flip: false })),
    PRESS_GAP,
  );
  return { laid, width, length };
}

function rectangle(width: number, length: number): Outline {
  return boxOutline({ minX: 0, minY: 0, maxX: width, maxY: length });
}
