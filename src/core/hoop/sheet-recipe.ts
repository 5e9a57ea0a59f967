import type { ChosenLayer, Material } from '../layers';
import { difference, regionArea, type Outline } from '../shape';
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

/** Sides of the upright box round a turned rectangle. @param angle degrees */
function turnedBox(width: number, height: number, angle: number): [number, number] {
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
interface Kept {
  id: string;
  width: number;
  length: number;
  kind: string;
  /** How many such sheets there are; one when it is not said. */
  count?: number | null;
  outline?: Outline | null;
}

/** Where the sheets of a set are cut from. */
export interface SheetSource<T> {
  /** Kept pieces, smallest first, with how many sheets each gives. */
  from: { piece: T; sheets: number }[];
  /** Sheets that no kept piece gives, and how much of the roll they take, mm; 0 where it is no roll. */
  left: number;
  rollLength: number;
}

/**
 * Where the sheets of a set are cut from: kept pieces first, each given away once however many layers ask for it, the rest off the roll.
 * A sheet that lies turned takes the box round it.
 *
 * @param keptOf pieces of a material that are kept
 * @param rollWidthOf width of its roll, mm; 0 where there is none
 * @example sheetSources([{ materialId: 'a', width: 100, height: 100, angle: 45, count: 2 }], () => [{ id: 'k', kind: 'sheet', width: 142, length: 142 }], () => 500)[0].left // 1
 */
export function sheetSources<T extends Kept>(
  needs: readonly Pick<SheetNeed, 'materialId' | 'width' | 'height' | 'angle' | 'count'>[],
  keptOf: (materialId: string) => readonly T[],
  rollWidthOf: (materialId: string) => number,
): SheetSource<T>[] {
  const given = new Set<string>();
  return needs.map(({ materialId, width, height, angle, count }) => {
    const [w, h] = turnedBox(width, height, angle);
    const from: SheetSource<T>['from'] = [];
    let left = count;
    const pieces = keptOf(materialId)
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
    const rollWidth = rollWidthOf(materialId);
    return { from, left, rollLength: left > 0 && rollWidth > 0 ? rollLength(rollWidth, w, h, left) : 0 };
  });
}

/** Sheets that a kept piece gives: in rows, whichever way round gives more; of one with an outline of its own one, where it has room. */
function sheetsOf(piece: Kept, width: number, height: number): number {
  if (piece.outline) return hasRoom(piece, width, height) || hasRoom(piece, height, width) ? 1 : 0;
  const rows = (across: number, along: number) => Math.floor(piece.width / across) * Math.floor(piece.length / along);
  return Math.max(rows(width, height), rows(height, width)) * (piece.count ?? 1);
}

function hasRoom(piece: { width: number; length: number; outline?: Outline | null }, width: number, height: number): boolean {
  const [slackX, slackY] = [piece.width - width, piece.length - height];
  if (slackX < 0 || slackY < 0) return false;
  const { outline } = piece;
  if (!outline) return true;
  for (let i = 0; i <= TRIES; i++)
    for (let j = 0; j <= TRIES; j++) {
      const [x, y] = [(slackX * i) / TRIES, (slackY * j) / TRIES];
      const sheet: Outline = [
        [x, y],
        [x + width, y],
        [x + width, y + height],
        [x, y + height],
      ];
      if (regionArea(difference(sheet, [outline])) < 1) return true;
    }
  return false;
}
