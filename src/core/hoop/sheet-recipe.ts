import type { ChosenLayer, Material } from '../layers';
import { difference, intersection, regionArea, type Outline } from '../shape';
import type { Hoop } from './hoop';

/** A sheet for one hooping, and what the whole set takes. */
export interface SheetNeed {
  materialId: string;
  name: string;
  /** Size to cut, mm. */
  width: number;
  height: number;
  /** How it comes to lie under the motif, in words. */
  how: string;
  /** Held in the ring, slid under the hoop on the machine, or laid on the cloth. */
  lies: 'in-ring' | 'under' | 'on-top';
  angle: number;
  /** How many are cut, and off how much of the roll, mm; 0 where it is no roll. */
  count: number;
  rollLength: number;
}

/** Layers under and over one motif, at most. */
export const MOST_SHEETS = 6;

/** A hooped sheet reaches past the ring, and one slid under past the field, by this on every side, mm. */
const PAST_RING = 20;
const PAST_FIELD = 15;

const JOINS: Partial<Record<Material['form'], string>> = {
  fusible: 'fused to the wrong side',
  'fusible-both': 'fused to the wrong side',
  sticky: 'stuck to the wrong side',
  'spray-glued': 'misted with glue and smoothed on',
};

/**
 * Size of a sheet that is hooped: past the ring on every side, mm.
 *
 * @example hoopedSheet(hoop) // { width: 186, height: 190 }
 */
export function hoopedSheet({ outerWidth, outerHeight }: Hoop): { width: number; height: number } {
  return { width: outerWidth + 2 * PAST_RING, height: outerHeight + 2 * PAST_RING };
}

/**
 * Sheets to cut for a motif: which size, how they are joined, how much of the roll for the whole set.
 *
 * @param floats the sheet is hooped alone and the cloth lies on it @param count how often the motif is sewn
 * @example sheetRecipe(hoop, [{ material: layer('medium-tear-away-42-g'), extent: 'field', angle: 0 }], false, 1)[0].how // 'slid under the hoop once it is on the machine'
 */
export function sheetRecipe(hoop: Hoop, layers: readonly ChosenLayer[], floats: boolean, count: number): SheetNeed[] {
  const sheets = layers.filter(({ material }) => material.form !== 'liquid');
  const slid = (material: Material) => !floats && material.family === 'tear-away' && material.form === 'loose';
  return sheets.map(({ material, angle }): SheetNeed => {
    const topping = material.family === 'topping';
    const small = topping || slid(material);
    const { width, height } = small
      ? { width: hoop.fieldWidth + 2 * PAST_FIELD, height: hoop.fieldHeight + 2 * PAST_FIELD }
      : hoopedSheet(hoop);
    const [w, h] = turnedBox(width, height, angle);
    return {
      materialId: material.id,
      name: material.name,
      width,
      height,
      angle,
      count,
      rollLength: material.rollWidth > 0 ? rollLength(material.rollWidth, w, h, count) : 0,
      lies: topping ? 'on-top' : slid(material) ? 'under' : 'in-ring',
      how: topping
        ? 'laid on top'
        : floats
          ? 'hooped alone, the cloth laid on it'
          : slid(material)
            ? 'slid under the hoop once it is on the machine'
            : `${JOINS[material.form] ?? 'laid under the cloth'}, hooped with it`,
    };
  });
}

/**
 * Size of the sheets of a stack in a hoop, by layer, mm; none without a hoop.
 *
 * @param floats the sheet is hooped alone and the cloth lies on it
 * @example sheetSizes(undefined, [], false).size // 0
 */
export function sheetSizes(
  hoop: Hoop | undefined,
  layers: readonly ChosenLayer[],
  floats: boolean,
): Map<string, { width: number; height: number }> {
  const needs = hoop ? sheetRecipe(hoop, layers, floats, 1) : [];
  return new Map(needs.map(({ materialId, width, height }) => [materialId, { width, height }]));
}

/**
 * Sides of the upright box round a turned rectangle.
 *
 * @param angle degrees
 * @example turnedBox(100, 50, 90) // [50, 100]
 */
export function turnedBox(width: number, height: number, angle: number): [number, number] {
  if (angle % 90 === 0) return angle % 180 === 0 ? [width, height] : [height, width];
  const t = (angle * Math.PI) / 180;
  const [co, si] = [Math.abs(Math.cos(t)), Math.abs(Math.sin(t))];
  return [width * co + height * si, width * si + height * co];
}

/** Length of a roll for so many rectangles, laid in whichever direction takes less, mm. */
function rollLength(rollWidth: number, width: number, height: number, count: number): number {
  const laid = (across: number, along: number) => {
    const perRow = Math.floor(rollWidth / across);
    return perRow === 0 ? Infinity : Math.ceil(count / perRow) * along;
  };
  const least = Math.min(laid(width, height), laid(height, width));
  return Number.isFinite(least) ? least : 0;
}

/** How finely places on a kept piece are tried, as steps a side. */
const TRIES = 8;

/** A kept piece of a material: a sheet, a leftover of any outline. */
export interface KeptSheet {
  id: string;
  width: number;
  length: number;
  kind: string;
  /** How many such sheets there are; one when it is not said. */
  count?: number | null;
  outline?: Outline | null;
  /** Holes and stains in it. */
  spots?: readonly Outline[];
}

/** Where the sheets of a set are cut from. */
export interface SheetSource<T> {
  /** Kept pieces, smallest first, with how many sheets each gives. */
  from: { piece: T; sheets: number }[];
  /** Sheets that no kept piece gives. */
  left: number;
  /** The roll that is there which gives them; none where all rolls are too narrow or there is none. */
  roll: T | undefined;
  /** How much of a roll they take, mm, and how much of that has to be bought; 0 where it comes in sheets. */
  rollLength: number;
  short: number;
}

/** What was promised already, whoever asked: kept pieces by their ids, and lengths off rolls, mm. */
export interface Promised {
  given: Set<string>;
  off: Map<string, number>;
}

/**
 * Where the sheets of a set are cut from: kept pieces first, each given away once however many layers and sets ask for it, the rest off the
 * shortest roll that holds it. A sheet that lies turned takes the box round it.
 *
 * @param keptOf pieces and rolls of a material that are there
 * @param soldWidthOf width of its roll as it is sold, mm; 0 where it comes in sheets
 * @param promised to others before; what is promised here is added to it
 * @example sheetSources([{ materialId: 'a', width: 100, height: 100, angle: 45, count: 2 }], () => [{ id: 'k', kind: 'sheet', width: 142, length: 142 }], () => 500)[0].left // 1
 */
export function sheetSources<T extends KeptSheet>(
  needs: readonly Pick<SheetNeed, 'materialId' | 'width' | 'height' | 'angle' | 'count'>[],
  keptOf: (materialId: string) => readonly T[],
  soldWidthOf: (materialId: string) => number,
  promised: Promised = { given: new Set(), off: new Map() },
): SheetSource<T>[] {
  const { given, off } = promised;
  return needs.map(({ materialId, width, height, angle, count }) => {
    const [w, h] = turnedBox(width, height, angle);
    const from: SheetSource<T>['from'] = [];
    let left = count;
    const kept = keptOf(materialId);
    const pieces = kept
      .filter(({ kind, id }) => kind !== 'roll' && !given.has(id))
      .sort((a, b) => a.width * a.length - b.width * b.length);
    for (const piece of pieces) {
      if (left === 0) break;
      const sheets = Math.min(left, sheetsOf(piece, w, h));
      if (sheets === 0) continue;
      given.add(piece.id);
      from.push({ piece, sheets });
      left -= sheets;
    }
    const rolls = kept.filter(({ kind }) => kind === 'roll');
    const { roll, rollLength: length, short } = offRoll(rolls, soldWidthOf(materialId), w, h, left, off);
    if (roll) off.set(roll.id, (off.get(roll.id) ?? 0) + length - short);
    return { from, left, roll, rollLength: length, short };
  });
}

/** Sheets off a roll that is there, each roll by its own width: the shortest that holds them, else what the longest has; else a new one. */
function offRoll<T extends KeptSheet>(
  rolls: readonly T[],
  soldWidth: number,
  w: number,
  h: number,
  count: number,
  off: ReadonlyMap<string, number>,
): Pick<SheetSource<T>, 'roll' | 'rollLength' | 'short'> {
  if (count === 0) return { roll: undefined, rollLength: 0, short: 0 };
  const there = rolls
    .map((roll) => ({ roll, has: roll.length - (off.get(roll.id) ?? 0), takes: rollLength(roll.width, w, h, count) }))
    .filter(({ has, takes }) => has > 0 && takes > 0)
    .sort((a, b) => a.has - b.has);
  const best = there.find(({ has, takes }) => has >= takes) ?? there.at(-1);
  if (best) return { roll: best.roll, rollLength: best.takes, short: Math.max(0, best.takes - best.has) };
  const takes = soldWidth > 0 ? rollLength(soldWidth, w, h, count) : 0;
  return { roll: undefined, rollLength: takes, short: takes };
}

/** Sheets that a kept piece gives: in rows, whichever way round gives more; of one with an outline or spots of its own one, where it has room. */
function sheetsOf(piece: KeptSheet, width: number, height: number): number {
  if (piece.outline || (piece.spots?.length ?? 0) > 0)
    return hasRoom(piece, width, height) || hasRoom(piece, height, width) ? 1 : 0;
  const rows = (across: number, along: number) => Math.floor(piece.width / across) * Math.floor(piece.length / along);
  return Math.max(rows(width, height), rows(height, width)) * (piece.count ?? 1);
}

function hasRoom(piece: KeptSheet, width: number, height: number): boolean {
  const [slackX, slackY] = [piece.width - width, piece.length - height];
  if (slackX < 0 || slackY < 0) return false;
  const { outline, spots = [] } = piece;
  for (let i = 0; i <= TRIES; i++)
    for (let j = 0; j <= TRIES; j++) {
      const [x, y] = [(slackX * i) / TRIES, (slackY * j) / TRIES];
      const sheet: Outline = [
        [x, y],
        [x + width, y],
        [x + width, y + height],
        [x, y + height],
      ];
      const beside = outline ? regionArea(difference(sheet, [outline])) : 0;
      if (beside + regionArea(intersection([sheet], [...spots])) < 1) return true;
    }
  return false;
}
