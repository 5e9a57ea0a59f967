/// <reference lib="webworker" />
import { driftMap, type DriftMap, type DriftOptions } from '../core/hoop';
import { densityMap, islandsOf, motifFigures, trimOutlines, type DensityMap, type Island, type Motif } from '../core/motif';
import type { Outline } from '../core/shape';

/** What the page asks of a motif: its maps, or what an elastic ground does under it. */
export type MotifRequest =
  { id: number; kind: 'maps'; motif: Motif; cell: number; trim: number } | { id: number; kind: 'drift'; options: DriftOptions };

/** Where the stitching is dense, what hangs together, and where a sheet is trimmed round it. */
export interface MotifMaps {
  density: DensityMap;
  islands: Island[];
  trims: Outline[];
}

export type MotifAnswer = { id: number } & ({ maps: MotifMaps } | { drift: DriftMap } | { message: string });

addEventListener('message', ({ data }: MessageEvent<MotifRequest>) => {
  try {
    if (data.kind === 'drift') postMessage({ id: data.id, drift: driftMap(data.options) } satisfies MotifAnswer);
    else {
      const { bounds } = motifFigures(data.motif);
      if (!bounds) throw new Error('The motif sews nothing.');
      const islands = islandsOf(data.motif, bounds);
      const maps = { density: densityMap(data.motif, bounds, data.cell), islands, trims: trimOutlines(islands, data.trim) };
      postMessage({ id: data.id, maps } satisfies MotifAnswer);
    }
  } catch (error) {
    postMessage({ id: data.id, message: (error as Error).message } satisfies MotifAnswer);
  }
});
