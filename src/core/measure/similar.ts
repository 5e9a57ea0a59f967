import { clothBendingLength, clothThickness, type Fabric } from '../cloth';

/** A cloth that is compared with. */
export interface NamedFabric extends Fabric {
  id: string;
  name: string;
}

export interface SimilarCloth<T extends NamedFabric> {
  cloth: T;
  /** 0 for the same description; about 1 for a clear difference. */
  distance: number;
}

/** A weight of one and a half times counts like a clear difference. */
const WEIGHT_SCALE = 0.4;
const CONSTRUCTION = 3;
const WEAVE = 0.8;
const FIBRE = 0.9;
const SURFACE = 0.5;

/** Share of the mass that two cloths have in the same fibres, 0–1. */
function sharedFibres(a: Fabric, b: Fabric): number {
  const total = (fabric: Fabric) => fabric.fibres.reduce((sum, { percent }) => sum + percent, 0) || 1;
  let shared = 0;
  for (const { fibre, percent } of a.fibres) {
    const other = b.fibres.find((each) => each.fibre === fibre)?.percent ?? 0;
    shared += Math.min(percent / total(a), other / total(b));
  }
  return shared;
}

/**
 * How different two cloths are by description: construction, weave, fibres, weight, surface.
 *
 * @example clothDistance(poplin, poplin) // 0
 */
export function clothDistance(a: Fabric, b: Fabric): number {
  let distance = Math.abs(Math.log(a.arealDensity / b.arealDensity)) / WEIGHT_SCALE;
  if (a.construction !== b.construction) distance += CONSTRUCTION;
  if ((a.weave ?? 'other') !== (b.weave ?? 'other')) distance += WEAVE;
  distance += FIBRE * (1 - sharedFibres(a, b));
  const differing = [...new Set([...a.surface, ...b.surface])].filter((s) => a.surface.includes(s) !== b.surface.includes(s));
  return distance + SURFACE * differing.length;
}

/**
 * The cloths most like this one, nearest first; a cloth is not compared with itself.
 *
 * @example similarCloths(poplin, LIBRARY_CLOTHS, 3).length // 3
 */
export function similarCloths<T extends NamedFabric>(
  fabric: Fabric & { id?: string },
  cloths: readonly T[],
  count = 6,
): SimilarCloth<T>[] {
  return cloths
    .filter(({ id }) => id !== fabric.id)
    .map((cloth) => ({ cloth, distance: clothDistance(fabric, cloth) }))
    .sort((a, b) => a.distance - b.distance || (a.cloth.id < b.cloth.id ? -1 : 1))
    .slice(0, count);
}

export const COMPARED = ['arealDensity', 'thickness', 'stretchLength', 'stretchCross', 'bendingLength', 'ironDots'] as const;
export type Compared = (typeof COMPARED)[number];

/**
 * A figure of a cloth, measured or estimated.
 *
 * @example figureOf(poplin, 'arealDensity') // 115
 */
export function figureOf(fabric: Fabric, property: Compared): number {
  if (property === 'bendingLength') return clothBendingLength(fabric).value;
  if (property === 'thickness') return clothThickness(fabric).value;
  return fabric[property];
}

export interface UsualRange {
  middle: number;
  low: number;
  high: number;
}

/**
 * What cloths like this one read for a property: their mean and the range that holds four out of five, weighted by
 * how alike they are. The range is never taken narrower than a tenth of the mean.
 *
 * @example usualRange('arealDensity', similarCloths(poplin, LIBRARY_CLOTHS, 6)) !== undefined // true
 */
export function usualRange(property: Compared, similar: readonly SimilarCloth<NamedFabric>[]): UsualRange | undefined {
  if (similar.length === 0) return undefined;
  let sum = 0;
  let weights = 0;
  for (const { cloth, distance } of similar) {
    const weight = Math.exp(-distance);
    sum += weight * figureOf(cloth, property);
    weights += weight;
  }
  const middle = sum / weights;
  let squares = 0;
  for (const { cloth, distance } of similar) squares += Math.exp(-distance) * (figureOf(cloth, property) - middle) ** 2;
  const half = Math.max(1.2816 * Math.sqrt(squares / weights), 0.1 * middle);
  return { middle, low: Math.max(0, middle - half), high: middle + half };
}
