import type { Fabric } from '../../core/cloth';
import { drying, liquidPlan, pickUpOf, shortOf, type Air, type Bottle, type Method } from '../../core/liquid';

/** Something that is made wet: the pieces of a job, or a length of cloth. */
export interface WetThing {
  id: string;
  name: string;
  /** Where it belongs, in words. */
  of: string;
  liquid: string;
  /** Id of the layer that it is; undefined where it is not said. */
  liquidId?: string | undefined;
  method: Method;
  /** mm². */
  area: number;
  /** Share of its mass that it takes up, where its technique says so; as its method usually does otherwise. */
  pickUp?: number;
  count: number;
  cloth: Pick<Fabric, 'arealDensity' | 'tone' | 'fibres' | 'water' | 'uptake'>;
  /** How many times longer than computed this cloth takes to dry, where it was timed; as the house’s cloths do otherwise. */
  pace?: number | undefined;
}

/** One thing in its turn: what it takes, and how long it hangs. */
export interface WetLine {
  thing: WetThing;
  millilitres: number;
  pulls: number;
  minutesToDamp: number;
  minutesToDry: number;
}

/** All that is done with one liquid. */
export interface WetPlan {
  liquid: string;
  bottle: Bottle;
  method: Method;
  /** Light colours before dark. */
  lines: WetLine[];
  millilitres: number;
  pulls: number;
  concentrate: number;
  water: number;
  /** Bags or basins, when it is wet through. */
  bags: number;
}

/**
 * What the bottles lack for all that is planned, ml of what is bought, by the name of the liquid: one bottle serves light and full. Only
 * those of which somebody said what is left.
 */
export function lacking(plans: readonly WetPlan[]): { liquid: string; needed: number; left: number; short: number }[] {
  return [...new Set(plans.map(({ liquid }) => liquid))].flatMap((liquid) => {
    const own = plans.filter((plan) => plan.liquid === liquid);
    const { bottle } = own[0]!;
    const sum = own.reduce((ml, { millilitres }) => ml + millilitres, 0);
    const short = shortOf(bottle, sum);
    return short === undefined ? [] : [{ liquid, needed: sum * (bottle.strength ?? 1), left: bottle.left!, short }];
  });
}

/** Dry cloth that goes into one bag or basin, g: more of it keeps dry patches. */
const BAG = 250;

/** What some things take of their liquids, in their order; what is of one liquid and one method stands together. */
export function wetPlans(
  things: readonly WetThing[],
  bottleOf: (liquidId: string | undefined) => Bottle,
  { mlPerPull, air, sides }: { mlPerPull: number; air: Air; sides: 1 | 2 },
): WetPlan[] {
  const groups = new Map<string, WetThing[]>();
  for (const thing of things) {
    const key = `${thing.liquid} ${thing.method}`;
    groups.set(key, [...(groups.get(key) ?? []), thing]);
  }
  return [...groups.values()].map((group) => {
    const { liquid, liquidId, method } = group[0]!;
    const bottle = bottleOf(liquidId);
    const { order, perPiece, ...sum } = liquidPlan(
      group.map(({ id, area, pickUp, cloth: { arealDensity, tone, ...cloth } }) => ({
        id,
        area,
        arealDensity,
        tone,
        pickUp: pickUp ?? pickUpOf(cloth, method),
      })),
      { method, mlPerPull: bottle.mlPerPull ?? mlPerPull, strength: bottle.strength ?? 1 },
    );
    const lines = order.map((id): WetLine => {
      const thing = group.find((each) => each.id === id)!;
      const { arealDensity } = thing.cloth;
      const { minutesToDamp, minutesToDry } = drying({
        ...{ ...air, sides, arealDensity, pace: thing.pace ?? air.pace },
        water: arealDensity * pickUpOf(thing.cloth, method),
      });
      const { millilitres, pulls } = perPiece.find((each) => each.id === id)!;
      return { thing, millilitres, pulls: pulls!, minutesToDamp, minutesToDry };
    });
    const mass = group.reduce((grams, { area, cloth }) => grams + (area / 1e6) * cloth.arealDensity, 0);
    return {
      ...{
        liquid,
        bottle,
        method,
        lines,
        millilitres: sum.millilitres,
        pulls: sum.pulls!,
        concentrate: sum.concentrate!,
        water: sum.water!,
      },
      bags: method === 'soak' ? Math.max(1, Math.ceil(mass / BAG - 1e-9)) : 0,
    };
  });
}

/** Millilitres as a measuring jug shows them. */
export function volume(millilitres: number): string {
  if (millilitres < 10) return `${millilitres.toFixed(1)} ml`;
  if (millilitres < 1000) return `${Math.round(millilitres / (millilitres < 100 ? 1 : 5)) * (millilitres < 100 ? 1 : 5)} ml`;
  return `${(millilitres / 1000).toFixed(2)} l`;
}

/** Minutes as they are waited for. */
export function waiting(minutes: number): string {
  if (minutes < 1) return 'at once';
  if (minutes < 90) return `${Math.round(minutes)} min`;
  const half = Math.round(minutes / 30) / 2;
  return half >= 24 ? 'over a day' : `${half} h`;
}

/** What a bottle gives in one pull, ml, weighed before and after some pulls; undefined for what cannot be. */
export function pullOf(before: number, after: number, pulls: number): number | undefined {
  const perPull = (before - after) / pulls;
  return perPull > 0.02 && perPull < 20 ? perPull : undefined;
}

/** A number as it is typed, with or without its unit: `412`, `412.5 g`, `30 %`. */
export function numberIn(typed: string, unit: string): number | undefined {
  const bare = typed.trim().toLowerCase().endsWith(unit) ? typed.trim().slice(0, -unit.length) : typed;
  return /^\s*\d+(?:[.,]\d+)?\s*$/.test(bare) ? Number(bare.replace(',', '.')) : undefined;
}
