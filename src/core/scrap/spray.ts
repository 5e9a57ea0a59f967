import type { Fabric } from '../cloth';
import { InputError, requireNumber } from '../input-error';
import { solidsOf, usesOf, type Join, type Material } from '../layers';
import type { PressSetting } from '../steps';
import type { ScrapCell, ScrapPlan, SprayDose } from './scrap-plan';

export const MOST_ROUNDS = 3;

/** A piece of a spray scrap is a pair of strips, one along the grain to hang and one on the bias to pull, mm. */
export const STRIP = { width: 50, height: 200 } as const;

/**
 * How much dry matter a dose leaves, against one mist of the same bottle.
 *
 * @example effortOf({ join: 'damp', rounds: 2 }) // 4
 */
export function effortOf({ join, rounds }: SprayDose): number {
  return solidsOf(join) * rounds;
}

/**
 * The scrap on which doses of a liquid are tried by rounds: a row for each way in which the bottle can be used, lightest first, a column
 * for each round. Every piece is a pair of strips; an iron setting is the leaflet's.
 *
 * @param liquid as it stands in the cupboard, not yet used in one way
 * @param rounds the most that are tried, 1 to 3
 * @throws {InputError} for a cloth that does not take it, or needs less heat
 * @example sprayPlan(poplin, starch, 2).cells.length // 6
 */
export function sprayPlan(fabric: Pick<Fabric, 'water' | 'ironDots'>, liquid: Material, rounds: number): ScrapPlan {
  requireNumber('rounds', rounds, '', { min: 1, max: MOST_ROUNDS });
  if (liquid.form !== 'liquid') throw new InputError('grid', `must be another one: ${liquid.name} is not sprayed`);
  if (fabric.water === 'resists') throw new InputError('grid', 'must be another one: this cloth does not drink');
  if (liquid.leaflet.ironDots > fabric.ironDots)
    throw new InputError(
      'stack',
      `cannot be tried: ${liquid.name} needs more heat than this cloth bears; choose the layers anew`,
    );
  const { ironDots, seconds, steam, cover } = liquid.leaflet;
  const setting: PressSetting = { ironDots, seconds, steam, cover };
  const doses = usesOf(liquid).map(({ use }): Join => use?.join ?? 'liquid');
  const cells = doses.flatMap((join, row) =>
    Array.from({ length: rounds }, (_, column): ScrapCell => ({
      ...{ name: `${'ABC'[row]}${column + 1}`, row, column, setting },
      dose: { join, rounds: column + 1 },
    })),
  );
  return {
    grid: 'spray',
    materialId: liquid.id,
    width: 2 * STRIP.width * rounds,
    height: STRIP.height * doses.length,
    cellWidth: 2 * STRIP.width,
    cellHeight: STRIP.height,
    rows: doses.length,
    columns: rounds,
    cells,
  };
}

/**
 * A dose in words: `sprayed damp, two rounds`.
 *
 * @example doseWords({ join: 'damp', rounds: 2 }) // 'sprayed damp, two rounds'
 */
export function doseWords({ join, rounds }: SprayDose): string {
  const way = { liquid: 'sprayed', damp: 'sprayed damp', full: 'wet through' }[join as 'liquid'] ?? 'put on';
  return rounds === 1 ? way : `${way}, ${['', '', 'two', 'three'][rounds]} rounds`;
}

/** What a dose has to reach: bias that gives half of what it gave, or this much on 100 mm; an edge that rolls no more than this, mm. */
const GIVES = 3;
const ROLLS = 3;

/** What tells whether a dose holds. Lengths mm: how far 100 mm of bias can be pulled further, and how much of an edge rolls up. */
export interface Held {
  biasBefore?: number | null | undefined;
  biasAfter?: number | null | undefined;
  curlBefore?: number | null | undefined;
  curlAfter?: number | null | undefined;
}

/**
 * By how much a cloth gives or rolls more than it may for cutting and sewing exactly, mm; 0 when the dose holds, undefined when neither
 * was measured.
 *
 * @example givesTooMuch({ biasBefore: 12, biasAfter: 9 }) // 3
 */
export function givesTooMuch({ biasBefore, biasAfter, curlBefore, curlAfter }: Held): number | undefined {
  const over: number[] = [];
  if (typeof biasAfter === 'number') over.push(biasAfter - Math.max(GIVES, (biasBefore ?? 0) / 2));
  if (typeof curlAfter === 'number') over.push(curlAfter - Math.max(ROLLS, (curlBefore ?? 0) / 4));
  return over.length === 0 ? undefined : Math.max(0, ...over);
}
