import {
  fingerprint,
  tableList,
  tableSources,
  clothMaterial,
  layerMaterial,
  type CutItem,
  type TableMaterial,
} from '../core/cutlist';
import type { TableSource } from '../core/cutlist';
import type { Laid } from '../core/cutplan';
import { layoutFaults, type LayoutFault } from '../core/nesting';
import { InputError } from '../core/input-error';
import type { CutPiece } from '../core/workpiece';
import { cloths } from '../store/cloths';
import type { CutTableFields } from '../store/cut-tables';
import type { Treatment } from '../core/pieces';
import type { Db } from '../store/database';
import { NotFoundError } from '../store/errors';
import { layers } from '../store/layers';
import { cutPiecesByIds, workpiecesByIds, type Workpiece } from '../store/workpieces';
import { readSettings } from '../store/settings';
import { stock } from '../store/stock';
import { treatmentOfCloth } from './treatment';

/** What a table is made of, as things stand now. */
export interface TableParts {
  material: TableMaterial;
  items: CutItem[];
  sources: TableSource[];
  /** What a heavy wetting does to it. */
  treatment: Treatment | null;
}

type Asked = Pick<CutTableFields, 'ofKind' | 'ofId' | 'options' | 'workIds'>;

/** What lies on a table: jobs on one of a layer; on one of a cloth the cuts of it, and jobs of which it is a layer. */
function worksOn(db: Db, { ofKind, workIds }: Pick<CutTableFields, 'ofKind' | 'workIds'>): (Workpiece | CutPiece)[] {
  const jobs = workpiecesByIds(db, workIds);
  if (ofKind === 'layer') return jobs;
  const cuts = cutPiecesByIds(db, workIds);
  return workIds.flatMap((id) => cuts.find((each) => each.id === id) ?? jobs.find((each) => each.id === id) ?? []);
}

/** @throws {NotFoundError} when the cloth or layer is gone */
export function tableParts(db: Db, table: Asked): TableParts {
  const layer = table.ofKind === 'layer' ? layers.find(db, table.ofId) : undefined;
  const cloth = table.ofKind === 'cloth' ? cloths.find(db, table.ofId) : undefined;
  if (!layer && !cloth) throw new NotFoundError(table.ofKind);
  const material = layer ? layerMaterial(layer) : clothMaterial(cloth!);
  const own = worksOn(db, table);
  const treatment = cloth ? treatmentOfCloth(db, cloth.id, table.workIds) : null;
  const { items } = tableList(own, material, table.options, treatment, readSettings(db).settings.trim);
  const there = table.options.stockIds.flatMap((stockId) => stock.find(db, stockId) ?? []);
  return { material, items, sources: tableSources(table.options, there, material, treatment), treatment };
}

/**
 * Checks that a layout can be cut as it stands, by exact arithmetic and whoever laid it: no piece on another or beside its cloth,
 * none more often than it is wanted, none against its grain.
 *
 * @throws {InputError} naming the placement
 */
export function requireSoundLayout(laid: readonly Laid[], { items, sources }: TableParts): void {
  const outlines = new Map(items.map(({ id, outline }) => [id, outline]));
  const seen = new Set<string>();
  laid.forEach(({ sourceId, placements }, k) => {
    const field = (i: number) => `laid[${k}].placements[${i}]`;
    placements.forEach(({ id, copy, rotation, flipped }, i) => {
      const item = items.find((each) => each.id === id);
      if (!item) throw new InputError(field(i), 'is of a piece that is not cut from this; lay the pieces again');
      const key = `${id} ${copy}`;
      if (copy >= item.count || seen.has(key))
        throw new InputError(field(i), `lays copy ${copy + 1} of “${item.name}” once more than it is wanted`);
      seen.add(key);
      const turn = ((rotation % 360) + 360) % 360;
      if (!item.free && !item.rotations.includes(turn)) throw new InputError(field(i), `turns “${item.name}” against its grain`);
      if (flipped && !item.flip) throw new InputError(field(i), `lays “${item.name}” face down, which it may not be`);
    });
    const source = sources.find((each) => each.source.id === sourceId)?.source;
    if (!source) throw new InputError(`laid[${k}].sourceId`, 'is nothing that is cut from here');
    const [fault] = layoutFaults({
      ...{ placements, outlines, gap: 0, width: source.width, length: source.length ?? Infinity, cloth: source.outline },
      spots: source.spots,
    });
    if (!fault) return;
    const name = items.find(({ id }) => id === placements[fault.index]!.id)!.name;
    throw new InputError(field(fault.index), `lays “${name}” ${FAULT_WORDS[fault.kind]}`);
  });
}

const FAULT_WORDS: Readonly<Record<LayoutFault['kind'], string>> = {
  outside: 'partly beside the cloth; move it',
  spot: 'over a spot that may not be used; move it',
  overlap: 'on another piece; move one of them',
  gap: 'on another piece; move one of them',
};

/**
 * Checks a table before it is kept. Where pieces have changed since they were laid it is kept as it is: it says so itself, and
 * nothing is printed or cut by it.
 *
 * @throws {InputError} naming the placement
 */
export function requireSoundTable<T extends Asked & Pick<CutTableFields, 'laid' | 'fingerprint'>>(db: Db, table: T): T {
  if (!table.laid.some(({ placements }) => placements.length > 0)) return table;
  const now = tableParts(db, table);
  if (fingerprint(now.items) === table.fingerprint) requireSoundLayout(table.laid, now);
  return table;
}
