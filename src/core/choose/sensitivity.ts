import { clothBendingLength, clothThickness, overhangFromBendingLength, type Fabric } from '../cloth';
import type { Material } from '../layers';
import { titleOf } from './candidates';
import type { Asking } from './protocol';
import type { Part } from '../part';
import { standingOf, thinned, type Standing } from './standing';

export const MEASURABLE = [
  'overhang',
  'thickness',
  'arealDensity',
  'stretchLength',
  'stretchCross',
  'ironDots',
  'water',
] as const;
export type Measurable = (typeof MEASURABLE)[number];

/** What measuring one property of the cloth could do to the answer. */
export interface Sensitivity {
  property: Measurable;
  /** Chance that another stack would come first once it is known, 0–1. */
  chance: number;
  /** Best answer as the property is taken now, and the likeliest other one. */
  now: string;
  other: string | undefined;
  /** Value from which the other leads, in the property's unit, and on which side; only for numbers. */
  from?: number;
  side?: 'below' | 'above';
}

/** A value that the property might turn out to have, and how likely that is. */
interface Level {
  fabric: Partial<Fabric>;
  value?: number;
  chance: number;
}

/** Five points that stand for a normal spread: values of z and their shares. */
const SPREAD: [z: number, share: number][] = [
  [-1.64, 0.1],
  [-0.67, 0.2],
  [0, 0.4],
  [0.67, 0.2],
  [1.64, 0.1],
];

/** Scatter of a weight that was read off a label or guessed, as standard deviation of its logarithm. */
const WEIGHT_SIGMA = 0.08;
/** Scatter of a stretch that was not measured, %: a part of itself and a little. */
const STRETCH_SIGMA = { share: 0.35, fixed: 2 };
/** Chance that an untested cloth bears one iron setting less or more, or is marked by water. */
const IRON_CHANCE = 0.12;
const WATER_CHANCE = 0.15;

function levelsOf(property: Measurable, fabric: Fabric): Level[] {
  switch (property) {
    case 'overhang': {
      if (fabric.overhang !== undefined) return [];
      const { value, sigma } = clothBendingLength(fabric);
      return SPREAD.map(([z, chance]) => {
        const overhang = overhangFromBendingLength(value * Math.exp(z * sigma));
        return { fabric: { overhang }, value: overhang, chance };
      });
    }
    case 'thickness': {
      if (fabric.thickness !== undefined) return [];
      const { value, sigma } = clothThickness(fabric);
      return SPREAD.map(([z, chance]) => {
        const thickness = value * Math.exp(z * sigma);
        return { fabric: { thickness }, value: thickness, chance };
      });
    }
    case 'arealDensity':
      return SPREAD.map(([z, chance]) => {
        const arealDensity = fabric.arealDensity * Math.exp(z * WEIGHT_SIGMA);
        return { fabric: { arealDensity }, value: arealDensity, chance };
      });
    case 'stretchLength':
    case 'stretchCross': {
      const sigma = STRETCH_SIGMA.share * fabric[property] + STRETCH_SIGMA.fixed;
      return SPREAD.map(([z, chance]) => {
        const stretch = Math.max(0, fabric[property] + z * sigma);
        return { fabric: { [property]: stretch }, value: stretch, chance };
      });
    }
    case 'ironDots':
      return [
        { fabric: {}, value: fabric.ironDots, chance: 1 - 2 * IRON_CHANCE },
        ...[fabric.ironDots - 1, fabric.ironDots + 1]
          .filter((dots) => dots >= 0 && dots <= 3)
          .map((ironDots) => ({ fabric: { ironDots }, value: ironDots, chance: IRON_CHANCE })),
      ];
    case 'water':
      return fabric.water === 'safe'
        ? [
            { fabric: {}, chance: 1 - WATER_CHANCE },
            { fabric: { water: 'spots' }, chance: WATER_CHANCE },
          ]
        : [];
  }
}

/** A stack without its weight: what decides whether another kind of answer leads. */
function kindOf({ ranked }: Standing): string | undefined {
  return ranked[0]?.stack.layers.map(({ material: { family, form } }) => `${family}/${form}`).join('+');
}

/** A change of weight within one kind counts as half a change of the answer. */
const SAME_KIND = 0.5;

/**
 * Which property of the cloth would, once measured, most likely change the answer. Each property is moved through
 * five values that stand for its scatter, and the question is answered anew.
 *
 * @param measured properties that are known already
 * @returns properties that can change the answer, the most telling first
 * @example sensitivity(poplin, collar, library, {}).every(({ chance }) => chance >= 0 && chance <= 1) // true
 */
export function sensitivity(
  fabric: Fabric,
  part: Part,
  library: readonly Material[],
  asking: Asking,
  measured: readonly string[] = [],
): Sensitivity[] {
  const now = standingOf(fabric, part, library, asking);
  const best = now.ranked[0]?.stack;
  if (!best) return [];
  const those = thinned(library, now);
  const found: Sensitivity[] = [];
  for (const property of MEASURABLE) {
    if (measured.includes(property)) continue;
    let chance = 0;
    const others = new Map<string, number>();
    const turning: { value: number; middle: number }[] = [];
    const levels = levelsOf(property, fabric);
    const middle = levels[Math.floor(levels.length / 2)]?.value ?? 0;
    for (const level of levels) {
      const answer = standingOf({ ...fabric, ...level.fabric }, part, those, asking);
      const first = answer.ranked[0]?.stack;
      if (!first || first.id === best.id) continue;
      const share = level.chance * (kindOf(answer) === kindOf(now) ? SAME_KIND : 1);
      chance += share;
      const title = titleOf(first.layers);
      others.set(title, (others.get(title) ?? 0) + share);
      if (level.value !== undefined) turning.push({ value: level.value, middle });
    }
    if (chance === 0) continue;
    const other = [...others].sort((a, b) => b[1] - a[1])[0]![0];
    turning.sort((a, b) => Math.abs(a.value - a.middle) - Math.abs(b.value - b.middle));
    const turn = turning[0];
    found.push({
      property,
      chance,
      now: titleOf(best.layers),
      other,
      ...(turn ? { from: turn.value, side: turn.value < turn.middle ? 'below' : 'above' } : {}),
    });
  }
  return found.sort((a, b) => b.chance - a.chance);
}
