import type { Fabric } from '../cloth';
import { InputError } from '../input-error';
import { isFusible, type ChosenLayer } from '../layers';
import type { Schools } from '../schools';
import { pressSetting, type PressSetting } from '../steps';

export const GRIDS = ['one', 'seconds', 'full'] as const;
/** One setting, three times of pressing, or three times by up to three iron settings. */
export type Grid = (typeof GRIDS)[number];

/** One piece of the scrap and the setting it is pressed with. */
export interface ScrapCell {
  /** Row letter and column number, as written on the piece: A1, B3. */
  name: string;
  row: number;
  column: number;
  setting: PressSetting;
}

export interface ScrapPlan {
  grid: Grid;
  /** Layer that the settings are for; null when nothing is pressed. */
  materialId: string | null;
  /** Size of cloth that all pieces together take, mm. */
  width: number;
  height: number;
  /** Size of a piece, mm; long enough to overhang. They are cut apart first: an iron covers several. */
  cellWidth: number;
  cellHeight: number;
  rows: number;
  columns: number;
  cells: ScrapCell[];
}

/** A single scrap, mm. */
const SINGLE = 150;
/** A piece of a grid: twice the width of an overhang strip, long enough for an overhang of 10 cm. */
const CELL = { width: 50, height: 120 };
/** Shorter, usual and longer pressing. */
const TIMES = [0.6, 1, 1.5];

/**
 * The scrap on which a pair of cloth and stack is tried. What is not pressed, or known already, needs one piece; a
 * new pair is tried at three times of pressing and at the iron settings next to the leaflet's that the cloth bears.
 * The settings are those of the layer that is fused, or of a liquid that is pressed dry when nothing is.
 *
 * @param grid how many settings are tried; layers that are not pressed always get one piece
 * @throws {InputError} when the layer needs more heat than the cloth bears
 * @example scrapPlan(poplin, stack, DEFAULT_SCHOOLS, 'seconds').cells.length // 3
 */
export function scrapPlan(fabric: Fabric, layers: readonly ChosenLayer[], schools: Schools, grid: Grid): ScrapPlan {
  const pressed = (
    layers.find(({ material }) => isFusible(material.form)) ?? layers.find(({ material }) => material.leaflet.seconds > 0)
  )?.material;
  if (pressed && pressed.leaflet.ironDots > fabric.ironDots)
    throw new InputError(
      'stack',
      `cannot be tried: ${pressed.name} needs more heat than this cloth bears; choose the layers anew`,
    );
  const base: PressSetting = !pressed
    ? { ironDots: 0, seconds: 0, steam: false, cover: 'none' }
    : isFusible(pressed.form)
      ? pressSetting(pressed, fabric, schools)
      : {
          ironDots: pressed.leaflet.ironDots,
          seconds: pressed.leaflet.seconds,
          steam: pressed.leaflet.steam,
          cover: pressed.leaflet.cover,
        };
  const materialId = pressed?.id ?? null;
  if (!pressed || grid === 'one') {
    return {
      grid: 'one',
      materialId,
      width: SINGLE,
      height: SINGLE,
      cellWidth: SINGLE,
      cellHeight: SINGLE,
      rows: 1,
      columns: 1,
      cells: [{ name: 'A1', row: 0, column: 0, setting: base }],
    };
  }
  const dots =
    grid === 'full'
      ? [base.ironDots - 1, base.ironDots, base.ironDots + 1].filter((each) => each >= 1 && each <= fabric.ironDots)
      : [base.ironDots];
  const seconds = TIMES.map((share) => Math.max(2, Math.round(base.seconds * share)));
  const cells = dots.flatMap((ironDots, row) =>
    seconds.map((time, column) => ({
      name: `${'ABC'[row]}${column + 1}`,
      row,
      column,
      setting: { ...base, ironDots, seconds: time },
    })),
  );
  return {
    grid,
    materialId,
    width: CELL.width * seconds.length,
    height: CELL.height * dots.length,
    cellWidth: CELL.width,
    cellHeight: CELL.height,
    rows: dots.length,
    columns: seconds.length,
    cells,
  };
}
