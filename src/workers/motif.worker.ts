/// <reference lib="webworker" />
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

/** What the page asks of a motif: its maps, or what an elastic ground does under it. */
export type MotifRequest =
  { id: number; kind: 'maps'; motif: Motif; trim: number } | { id: number; kind: 'drift'; options: DriftOptions };

/** Where the stitching is dense, what hangs together, where a sheet is trimmed round it and cut apart between. */
export interface MotifMaps {
  density: DensityMap;
  islands: Island[];
  trims: Outline[];
  apart: Point[][];
}

/** How far the sheet is drawn past the outermost trim lines, mm. */
const SHEET_PAST = 12;

export type MotifAnswer = { id: number } & ({ maps: MotifMaps } | { drift: DriftMap } | { message: string });

addEventListener('message', ({ data }: MessageEvent<MotifRequest>) => {
  try {
    if (data.kind === 'drift') postMessage({ id: data.id, drift: driftMap(data.options) } satisfies MotifAnswer);
    else {
      const { bounds } = motifFigures(data.motif);
      if (!bounds) throw new Error('The motif sews nothing.');
      const islands = islandsOf(data.motif, bounds);
      const trims = trimOutlines(islands, data.trim);
      const apart = cutApartLines(trims, SHEET_PAST);
      const maps = { density: densityMap(data.motif, bounds), islands, trims, apart };
      postMessage({ id: data.id, maps } satisfies MotifAnswer);
    }
  } catch (error) {
    postMessage({ id: data.id, message: (error as Error).message } satisfies MotifAnswer);
  }
});
