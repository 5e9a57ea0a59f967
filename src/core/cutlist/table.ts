import type { Fabric } from '../cloth';
import { leftoverSource, SQUARING, type Source } from '../cutplan';
import type { Placement } from '../nesting';
import { clothAsMaterial, type Material } from '../layers';
import { LAYING, layerShrinkage, oneSided, shrinkageOf, shrunkBefore, type Treatment } from '../pieces';
import { boxOutline, type Outline, type Point } from '../shape';
import { clothItems } from './cloth-items';
import type { CutList } from './cut-item';
import { foldedItems } from './folded-items';
import { layerItems, type LayingMethod } from './layer-items';
import { listedPart, type KeptPart } from './listed-part';

/** How things are laid on a cutting table. */
export interface TableOptions {
  method: LayingMethod;
  /** A layer with glue lies glue side up. */
  glueUp: boolean;
  /** Room between pieces, mm. */
  gap: number;
  /** Kept free along each selvedge, mm. */
  margin: number;
  /** Cut off to square the end, mm. */
  squaring: number;
  /** Cloth lies folded lengthwise, right sides together. */
  folded: boolean;
  /** Cut larger by what the cloth will still shrink. */
  shrink: boolean;
  /** Width of the roll where it differs from the cupboard's, mm. */
  rollWidth: number | null;
  /** Stock that is cut from, in this order; the roll that is bought comes last and is always there. */
  stockIds: string[];
  seconds: number;
  seed: number;
}

/** A roll, sheets or a leftover from the cupboard, as far as cutting is concerned. mm. */
export interface StockEntry {
  id: string;
  kind: 'roll' | 'sheet' | 'leftover';
  width: number;
  length: number;
  count: number;
  outline: Outline | null;
  /** Holes and stains in it that may not be used, where the outline lies. */
  spots?: readonly Outline[];
  place: string;
}

/** What lies on the table: a layer or a cloth. */
export interface TableMaterial {
  kind: 'layer' | 'cloth';
  id: string;
  name: string;
  /** Width of the roll that is bought, mm; 0 when it is not known. */
  rollWidth: number;
  grain: boolean;
  /** One face carries glue. */
  oneSided: boolean;
  /** Minor units; 0 when it is not known. */
  pricePerMetre: number;
  /** Has to be shrunk before it is cut. */
  preShrink: boolean;
  layer?: Material;
  fabric?: Fabric;
}

/** The roll that is bought comes after everything from the cupboard. */
export const BUY = 'buy';
/** Usual width of a cloth whose width nobody wrote down, mm. */
const USUAL_CLOTH = 1400;
/** Sheets of one stack that are laid out one by one. */
const MOST_SHEETS = 30;

/**
 * A layer as something that is cut from. Widths in mm.
 *
 * @example layerMaterial(lightWoven).kind // 'layer'
 */
export function layerMaterial(layer: Material): TableMaterial {
  const { id, name, rollWidth, grain, pricePerMetre, preShrink } = layer;
  return { kind: 'layer', id, name, rollWidth, grain, oneSided: oneSided(layer), pricePerMetre, preShrink, layer };
}

/**
 * A cloth as something that is cut from. Widths in mm.
 *
 * @example clothMaterial({ ...poplin, id: 'p', name: 'Poplin' }).kind // 'cloth'
 */
export function clothMaterial(
  cloth: Fabric & { id: string; name: string; rollWidth?: number; pricePerMetre?: number },
): TableMaterial {
  return {
    kind: 'cloth',
    id: cloth.id,
    name: cloth.name,
    rollWidth: cloth.rollWidth ?? USUAL_CLOTH,
    grain: true,
    oneSided: false,
    pricePerMetre: cloth.pricePerMetre ?? 0,
    preShrink: false,
    fabric: cloth,
  };
}

/**
 * How things are laid when nobody said otherwise: everything from the cupboard first.
 *
 * @example usualOptions(layerMaterial(lightWoven), []).method // 'cut-first'
 */
export function usualOptions(
  material: TableMaterial,
  stock: readonly StockEntry[],
  method: LayingMethod = 'cut-first',
): TableOptions {
  return {
    method,
    glueUp: true,
    gap: LAYING.gap,
    margin: material.grain ? LAYING.selvedge : 0,
    squaring: SQUARING,
    folded: false,
    shrink: true,
    rollWidth: null,
    stockIds: stock.map(({ id }) => id),
    seconds: 10,
    seed: 1,
  };
}

/** Something that is cut from, as it lies on the table. */
export interface TableSource {
  source: Source;
  /** Entry in the cupboard; undefined for the roll that is bought. */
  stock?: StockEntry;
  /** Width as it lies there, with the margins, mm. */
  fullWidth: number;
  margin: number;
}

/**
 * Everything that is cut from, in order; the roll that is bought last. Cloth that is wetted heavily first lies there as it is afterwards.
 *
 * @param treatment what shrinks the cloth
 * @example tableSources(usualOptions(layerMaterial(lightWoven), []), [], layerMaterial(lightWoven)).length // 1
 */
export function tableSources(
  options: TableOptions,
  stock: readonly StockEntry[],
  material: TableMaterial,
  treatment?: Treatment | null,
): TableSource[] {
  const found: TableSource[] = [];
  const { margin, squaring, folded } = options;
  const { length: along, cross } = options.shrink ? shrunkBefore(treatment) : NOT_SHRUNK;
  const across = (fullWidth: number) => (folded ? fullWidth / 2 - margin : fullWidth - 2 * margin);
  const shrunk = (all: Outline): Outline => all.map(([x, y]): Point => [x * (1 - cross), y * (1 - along)]);
  /** As it lies on the table, once it has shrunk. */
  const onTable = (entry: StockEntry) => ({
    width: entry.width * (1 - cross),
    length: entry.length * (1 - along),
    outline: entry.outline && shrunk(entry.outline),
    spots: entry.spots?.map(shrunk) ?? [],
  });
  for (const id of options.stockIds) {
    const entry = stock.find((each) => each.id === id);
    if (!entry) continue;
    const { width, length, outline, spots } = onTable(entry);
    if (entry.kind === 'leftover') {
      if (folded) continue;
      found.push({
        source: leftoverSource(entry.id, outline ?? rectangle(width, length), spots),
        stock: entry,
        fullWidth: width,
        margin: 0,
      });
    } else if (entry.kind === 'roll') {
      const usable = length - squaring;
      if (across(width) > 0 && usable > 0)
        found.push({ source: { id, width: across(width), length: usable }, stock: entry, fullWidth: width, margin });
    } else if (!folded) {
      for (let k = 0; k < Math.min(entry.count, MOST_SHEETS); k++)
        found.push({ source: { id: `${id}#${k}`, width, length }, stock: entry, fullWidth: width, margin: 0 });
    }
  }
  const width = (options.rollWidth ?? material.rollWidth) * (1 - cross);
  if (across(width) > 0) found.push({ source: { id: BUY, width: across(width) }, fullWidth: width, margin });
  return found;
}

/**
 * Share by which a material shrinks before anything is cut from it: a layer that is shrunk first, a cloth that is wetted whole.
 *
 * @example shrinksFirst(layerMaterial(lightWoven), usualOptions(layerMaterial(lightWoven), []), null) // 0.03
 */
export function shrinksFirst(
  material: TableMaterial,
  { shrink }: Pick<TableOptions, 'shrink'>,
  treatment: Treatment | null | undefined,
): number {
  if (material.kind === 'layer') return layerShrinkage(material);
  return shrink ? shrunkBefore(treatment).length : 0;
}

const NOT_SHRUNK = { length: 0, cross: 0 };

/**
 * Length that comes off a roll for what was laid on it, mm as it lies in the cupboard: with what squares the end, and with what it then
 * shrinks when it is wetted before it is cut.
 *
 * @param laid length that was laid out, mm; nothing is taken for nothing
 * @example lengthOffRoll(975, { ...usualOptions(layerMaterial(lightWoven), []), squaring: 0 }, { when: 'before', length: 0.025, cross: 0 }) // 1000
 */
export function lengthOffRoll(
  laid: number,
  { squaring, shrink }: Pick<TableOptions, 'squaring' | 'shrink'>,
  treatment?: Treatment | null,
): number {
  return laid > 0 ? laid / (1 - (shrink ? shrunkBefore(treatment).length : 0)) + squaring : 0;
}

function rectangle(width: number, length: number): Outline {
  return boxOutline({ minX: 0, minY: 0, maxX: width, maxY: length });
}

/**
 * Outline of what lies on the table, usable width only; a roll as far as it is used.
 *
 * @example sourceOutline(tableSources(usualOptions(layerMaterial(lightWoven), []), [], layerMaterial(lightWoven))[0], 500).length // 4
 */
export function sourceOutline({ source }: TableSource, used: number): Outline {
  return source.outline ?? rectangle(source.width, source.length ?? used);
}

export interface TableList extends CutList {
  /** Halves that lie at the fold. */
  atFold: Placement[];
  /** Pieces of which folded cloth gives a mirror image as well. */
  mirroredBy: string[];
}

/** Jobs of which the cloth on the table is a layer: an underlining. Neither face of it is special. */
function underlinings(parts: readonly KeptPart[], material: TableMaterial, trim: number): CutList {
  const under = clothAsMaterial({ ...material.fabric!, id: material.id, name: material.name, rollWidth: material.rollWidth });
  const listed = parts
    .filter(({ stack }) => stack?.layers.some(({ materialId }) => materialId === under.id))
    .map((part) => listedPart(part, (id) => (id === under.id ? under : undefined)));
  return layerItems(listed, under, { trim, method: 'cut-first', glueUp: true });
}

function joinedLists(a: CutList, b: CutList): CutList {
  return {
    items: [...a.items, ...b.items],
    faults: [...a.faults, ...b.faults],
    splits: [...a.splits, ...b.splits],
    tape: a.tape + b.tape,
  };
}

/**
 * What has to be cut from a material for these parts.
 *
 * @param treatment what a heavy wetting does to the cloth @param trim the person's usual trim, mm
 * @example tableList([], layerMaterial(lightWoven), usualOptions(layerMaterial(lightWoven), []), null, 6).items // []
 */
export function tableList(
  parts: readonly KeptPart[],
  material: TableMaterial,
  options: TableOptions,
  treatment: Treatment | null,
  trim: number,
): TableList {
  const none = { atFold: [], mirroredBy: [] };
  if (material.layer) {
    const { layer } = material;
    const listed = parts.map((part) => listedPart(part, (id) => (id === layer.id ? layer : undefined)));
    return { ...layerItems(listed, layer, { trim, method: options.method, glueUp: options.glueUp }), ...none };
  }
  const fabric = material.fabric!;
  const shrinkage = options.shrink ? shrinkageOf(fabric, treatment) : NOT_SHRUNK;
  const cut = clothItems(
    parts.filter(({ stack }) => !stack).map((part) => listedPart(part, () => undefined)),
    fabric,
    shrinkage,
  );
  const list = joinedLists(cut, underlinings(parts, material, trim));
  if (!options.folded) return { ...list, ...none };
  const { items, locked, mirroredBy } = foldedItems(list.items, options.gap);
  return { ...list, items, atFold: locked, mirroredBy };
}
