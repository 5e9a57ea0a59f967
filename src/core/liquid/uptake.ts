import type { Fabric, Tone } from '../cloth';
import { fibreShare } from '../cloth';
import { InputError, requireNumber } from '../input-error';
import { isSoaked, type Material } from '../layers';

/** How wet cloth is made: a mist for pressing, damp for starch that is pressed dry, or wet through. */
export const METHODS = ['mist', 'damp', 'soak'] as const;
export type Method = (typeof METHODS)[number];

/** Water taken up as a share of the dry cloth's own mass: the middle of what is usual for cotton and linen. */
const PICK_UP: Record<Method, number> = { mist: 0.2, damp: 0.5, soak: 1 };

/** How much more or less than cotton a fibre takes up when it is wet through; misted, all of it stays on the face. */
const DRINKS: [fibre: Parameters<typeof fibreShare>[1], times: number][] = [
  ['viscose', 1.3],
  ['wool', 0.45],
  ['silk', 0.8],
  ['polyester', 0.3],
  ['nylon', 0.35],
  ['acrylic', 0.3],
  ['acetate', 0.4],
  ['elastane', 0.2],
  ['polyurethane', 0.05],
];

/**
 * Share of its own mass that a cloth takes up: by what was weighed, else by its fibres. Damp it takes the same part of what it takes wet through;
 * a mist stays on the face, whatever the cloth.
 *
 * @param fabric fibres, and what it took up wet through where that was weighed, %
 * @example pickUpOf({ fibres: [{ fibre: 'viscose', percent: 100 }] }, 'soak') // 1.3
 */
export function pickUpOf({ fibres, uptake }: Pick<Fabric, 'fibres' | 'uptake'>, method: Method): number {
  if (method === 'mist') return PICK_UP.mist;
  if (uptake !== undefined) return (uptake / 100) * (PICK_UP[method] / PICK_UP.soak);
  let times = 1;
  for (const [fibre, drinks] of DRINKS) times += fibreShare({ fibres } as Fabric, fibre) * (drinks - 1);
  return PICK_UP[method] * times;
}

/**
 * How wet cloth is made with a liquid: as its dose says; without one soaked where it is meant to be, damp with
 * starch and stiffener, a mist of anything lighter.
 *
 * @example methodOf(layer('light-pressing-spray')) // 'mist'
 */
export function methodOf(liquid: Pick<Material, 'form' | 'family' | 'arealDensity' | 'stiffening' | 'use'>): Method {
  if (isSoaked(liquid)) return 'soak';
  if (liquid.use) return liquid.use.join === 'damp' ? 'damp' : 'mist';
  return liquid.family === 'starch' || liquid.family === 'edge-stiffener' ? 'damp' : 'mist';
}

/** A piece or a length that is treated. */
export interface WetPiece {
  id: string;
  /** mm². */
  area: number;
  /** g/m². */
  arealDensity: number;
  tone: Tone;
  /** Share of its mass that it takes up, where that is not the usual of the method. */
  pickUp?: number | undefined;
}

export interface LiquidOptions {
  method: Method;
  /** What one pull of the person's own bottle gives, ml. */
  mlPerPull?: number | undefined;
  /** Share of concentrate in what is sprayed or soaked in, 0–1. */
  strength?: number | undefined;
}

export interface LiquidPlan {
  /** In all; 1 ml weighs 1 g. */
  millilitres: number;
  pulls?: number;
  concentrate?: number;
  water?: number;
  /** Ids, light colours before dark, so that what runs out serves the next. */
  order: string[];
  perPiece: { id: string; millilitres: number; pulls?: number }[];
}

const TONE_ORDER: Record<Tone, number> = { light: 0, mid: 1, dark: 2 };

/**
 * How much liquid some pieces take, and in which order they are treated: mass of water = area × areal density × pick-up.
 *
 * @throws {InputError} naming the field that cannot be
 * @example liquidPlan([{ id: 'a', area: 1e6, arealDensity: 140, tone: 'light' }], { method: 'soak' }).millilitres // 140
 */
export function liquidPlan(pieces: readonly WetPiece[], { method, mlPerPull, strength }: LiquidOptions): LiquidPlan {
  if (!METHODS.includes(method))
    throw new InputError('method', `must be one of ${METHODS.join(', ')}, saw ${JSON.stringify(method)}`);
  if (mlPerPull !== undefined) requireNumber('mlPerPull', mlPerPull, 'ml', { above: 0, max: 100 });
  if (strength !== undefined) requireNumber('strength', strength, '', { min: 0, max: 1 });
  const seen = new Set<string>();
  const perPiece = pieces.map(({ id, area, arealDensity, pickUp }, i) => {
    if (seen.has(id))
      throw new InputError(`pieces[${i}].id`, `must be told apart from the others, saw ${JSON.stringify(id)} twice`);
    seen.add(id);
    requireNumber(`pieces[${i}].area`, area, 'mm²', { min: 0, max: 1e9 });
    requireNumber(`pieces[${i}].arealDensity`, arealDensity, 'g/m²', { above: 0, max: 5000 });
    const millilitres = (area / 1e6) * arealDensity * (pickUp ?? PICK_UP[method]);
    return { id, millilitres, ...(mlPerPull === undefined ? {} : { pulls: pullsOf(millilitres, mlPerPull) }) };
  });
  const millilitres = perPiece.reduce((sum, each) => sum + each.millilitres, 0);
  const order = [...pieces].sort((a, b) => TONE_ORDER[a.tone] - TONE_ORDER[b.tone]).map(({ id }) => id);
  return {
    millilitres,
    ...(mlPerPull === undefined ? {} : { pulls: pullsOf(millilitres, mlPerPull) }),
    ...(strength === undefined ? {} : { concentrate: millilitres * strength, water: millilitres * (1 - strength) }),
    order,
    perPiece,
  };
}

/** Whole pulls, rounded up; what is a whole number but for rounding stays it. */
function pullsOf(millilitres: number, mlPerPull: number): number {
  return Math.ceil(millilitres / mlPerPull - 1e-9);
}
