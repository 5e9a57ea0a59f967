import { expose } from 'comlink';
import { driftMap, type DriftMap, type DriftOptions } from '../core/hoop';
import {
  cutApartLines,
  densityMap,
  islandsOf,
  motifFigures,
  trimOutlines,
  type DensityMap,
  type Island,
  type Motif,
} from '../core/motif';
import type { Outline, Point } from '../core/shape';

/** Where the stitching is dense, what hangs together, where a sheet is trimmed round it and cut apart between. */
export interface MotifMaps {
  density: DensityMap;
  islands: Island[];
  trims: Outline[];
  apart: Point[][];
}

/** How far the sheet is drawn past the outermost trim lines, mm. */
const SHEET_PAST = 12;

const motifs = {
  /** Maps of a motif. @param trim what is left of a sheet round the stitching, mm @throws when it sews nothing */
  maps(motif: Motif, trim: number): MotifMaps {
    const { bounds } = motifFigures(motif);
    if (!bounds) throw new Error('The motif sews nothing.');
    const islands = islandsOf(motif, bounds);
    const trims = trimOutlines(islands, trim);
    return { density: densityMap(motif, bounds), islands, trims, apart: cutApartLines(trims, SHEET_PAST) };
  },
  /** What an elastic ground does under it. */
  drift(options: DriftOptions): DriftMap {
    return driftMap(options);
  },
};
export type Motifs = typeof motifs;

expose(motifs);
