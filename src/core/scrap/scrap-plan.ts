import type { Fabric } from '../cloth';
import type { ChosenLayer } from '../layers';
import type { Schools } from '../schools';
import { pressSetting, type PressSetting } from '../steps';

export const GRIDS = ['one', 'seconds', 'full'] as const;
/** One setting, three times of pressing, or three times by up to three iron settings. */
export type Grid = (typeof GRIDS)[number];

/** One field of the scrap and the setting it is pressed with. */
export interface ScrapCell {
  /** Row letter and column number, as written on the scrap: A1, B3. */
  name: string;
  row: number;
  column: number;
  setting: PressSetting;
}

export interface ScrapPlan {
  grid: Grid;
  /** Size of the whole scrap, mm. */
  width: number;
  height: number;
  /** Size of a field, mm; long enough to overhang after it is cut apart. */
  cellWidth: number;
  cellHeight: number;
  rows: number;
  columns: number;
  cells: ScrapCell[];
}

/** A single scrap, mm. */
const SINGLE = 150;
/** A field of a grid: two strips of 25 mm wide, long enough for an overhang of 8 cm. */
const CELL = { width: 50, height: 120 };
/** Shorter, usual and longer pressing. */
const TIMES = [0.6, 1, 1.5];

/**
 * The scrap on which a pair of cloth and stack is tried. What is not pressed, or known already, needs one field; a
 * new pair is tried at three times of pressing and at the iron settings next to the leaflet's that the cloth bears.
 *
 * @param grid how many settings are tried; layers that are not pressed always get one field
 */
export function scrapPlan(fabric: Fabric, layers: readonly ChosenLayer[], schools: Schools, grid: Grid): ScrapPlan {
  const pressed = layers.find(({ material }) => material.leaflet.seconds > 0)?.material;
  if (!pressed || grid === 'one') {
    const setting: PressSetting = pressed
      ? pressSetting(pressed, fabric, schools)
      : { ironDots: 0, seconds: 0, steam: false, cover: 'none' };
    return {
      grid: 'one',
      width: SINGLE,
      height: SINGLE,
      cellWidth: SINGLE,
      cellHeight: SINGLE,
      rows: 1,
      columns: 1,
      cells: [{ name: 'A1', row: 0, column: 0, setting }],
    };
  }
  const base = pressSetting(pressed, fabric, schools);
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
    width: CELL.width * seconds.length,
    height: CELL.height * dots.length,
    cellWidth: CELL.width,
    cellHeight: CELL.height,
    rows: dots.length,
    columns: seconds.length,
    cells,
  };
}
