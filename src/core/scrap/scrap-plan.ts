import type { Fabric } from '../cloth';
import { InputError, within } from '../input-error';
import { isFusible, type ChosenLayer, type Join } from '../layers';
import type { Schools } from '../schools';
import { pressSetting, type PressSetting } from '../steps';

/** Grids of settings: one of them, three times of pressing, or three times by up to three iron settings. */
export const SETTING_GRIDS = ['one', 'seconds', 'full'] as const;
export type SettingGrid = (typeof SETTING_GRIDS)[number];
/** Besides, doses of a liquid by rounds, and stacks side by side. */
export const GRIDS = [...SETTING_GRIDS, 'spray', 'candidates'] as const;
export type Grid = (typeof GRIDS)[number];

/** How much of a liquid a piece of a scrap gets: a way of using it, so many times over. */
export interface SprayDose {
  join: Join;
  rounds: number;
}

/** One piece of the scrap and the setting it is pressed with. */
export interface ScrapCell {
  /** Row letter and column number, as written on the piece: A1, B3. */
  name: string;
  row: number;
  column: number;
  setting: PressSetting;
  /** Of a spray scrap: how much it gets. */
  dose?: SprayDose;
  /** Of stacks side by side: the one that it gets, from 0. */
  candidate?: number;
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
export function scrapPlan(fabric: Fabric, layers: readonly ChosenLayer[], schools: Schools, grid: SettingGrid): ScrapPlan {
  const { pressed, base } = pressedLayer(fabric, layers, schools);
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

/** The layer of a stack whose setting counts, and that setting. @throws {InputError} when it needs more heat than the cloth bears */
function pressedLayer(fabric: Fabric, layers: readonly ChosenLayer[], schools: Schools) {
  const pressed = (
    layers.find(({ material }) => isFusible(material.form)) ?? layers.find(({ material }) => material.leaflet.seconds > 0)
  )?.material;
  if (!pressed) return { pressed, base: { ironDots: 0, seconds: 0, steam: false, cover: 'none' } satisfies PressSetting };
  const { ironDots, seconds, steam, cover } = pressed.leaflet;
  if (ironDots > fabric.ironDots)
    throw new InputError(
      'stack',
      `cannot be tried: ${pressed.name} needs more heat than this cloth bears; choose the layers anew`,
    );
  return {
    pressed,
    base: isFusible(pressed.form) ? pressSetting(pressed, fabric, schools) : { ironDots, seconds, steam, cover },
  };
}

export const FEWEST_CANDIDATES = 2;
export const MOST_CANDIDATES = 4;
/** A piece of cloth that is hung beside another, mm. */
const HUNG = { width: 120, height: 200 };

/**
 * The scrap on which stacks are compared: pieces of one cloth side by side along the grain, each with a stack of its own and its setting.
 *
 * @throws {InputError} for fewer than two stacks or more than four, and for one that needs more heat than the cloth bears
 * @example candidatesPlan(poplin, [{ layers: stack, schools: DEFAULT_SCHOOLS }, { layers: stack, schools: DEFAULT_SCHOOLS }]).columns // 2
 */
export function candidatesPlan(
  fabric: Fabric,
  stacks: readonly { layers: readonly ChosenLayer[]; schools: Schools }[],
): ScrapPlan {
  if (stacks.length < FEWEST_CANDIDATES || stacks.length > MOST_CANDIDATES)
    throw new InputError('stacks', `must be ${FEWEST_CANDIDATES} to ${MOST_CANDIDATES}, saw ${stacks.length}`);
  const cells = stacks.map(({ layers, schools }, candidate): ScrapCell => ({
    ...{ name: `A${candidate + 1}`, row: 0, column: candidate, candidate },
    setting: within(`stacks[${candidate}]`, () => pressedLayer(fabric, layers, schools)).base,
  }));
  return {
    grid: 'candidates',
    materialId: null,
    width: HUNG.width * cells.length,
    height: HUNG.height,
    cellWidth: HUNG.width,
    cellHeight: HUNG.height,
    rows: 1,
    columns: cells.length,
    cells,
  };
}
