import { InputError } from '../../core/input-error';
import { boxGap, densityMap, islandsOf, motifFigures, peakOf, type DensityMap, type MotifFigures } from '../../core/motif';
import type { ReadMotif } from './read-exchange';

/** What is told of a stitch file. */
export interface MappedMotif extends Omit<MotifFigures, 'bounds' | 'holes' | 'blocks'> {
  name: string;
  bounds: NonNullable<MotifFigures['bounds']>;
  /** How many islands of stitching there are, and how near the nearest two come, mm; null with fewer than two. */
  islands: number;
  narrowestGap: number | null;
  density: DensityMap;
  peak: { value: number; x: number; y: number };
  colours: { stitches: number; threadLength: number }[];
  samePlace: MotifFigures['holes'];
  incomplete?: true;
  warnings: string[];
}

/**
 * Counts, measures and maps what was read.
 *
 * @param cell side of a cell of the map, mm, 1–5
 * @throws {InputError} when nothing is sewn
 */
export function mappedMotif({ motif, incomplete, warnings }: ReadMotif, cell?: number): MappedMotif {
  const { bounds, holes, blocks, ...figures } = motifFigures(motif);
  if (!bounds) throw new InputError('file', 'sews nothing: it holds no stitches');
  const density = densityMap(motif, bounds, cell);
  const islands = islandsOf(motif, bounds, false);
  let narrowestGap: number | null = null;
  for (let i = 0; i < islands.length && islands.length <= 200; i++)
    for (let j = 0; j < i; j++) narrowestGap = Math.min(narrowestGap ?? Infinity, boxGap(islands[i]!.bounds, islands[j]!.bounds));
  return {
    name: motif.name,
    ...figures,
    bounds,
    islands: islands.length,
    narrowestGap,
    density,
    peak: peakOf(density),
    colours: blocks.map(({ stitches, threadLength }) => ({ stitches, threadLength })),
    samePlace: holes,
    ...(incomplete ? { incomplete } : {}),
    warnings,
  };
}
