import type { DriftMap, DriftOptions } from '../../core/hoop';
import type { Motif } from '../../core/motif';
import type { MotifMaps, Motifs } from '../../workers/motif.worker';
import { Beside } from '../beside';

const beside = new Beside<Motifs>(
  () => new Worker(new URL('../../workers/motif.worker.ts', import.meta.url), { type: 'module' }),
);

/** Density and islands of a motif, worked out beside the page. @param trim what is left of a sheet round the stitching, mm */
export function mapsOf(motif: Motif, trim: number): Promise<MotifMaps> {
  return beside.ask((motifs) => motifs.maps(motif, trim));
}

/** What an elastic ground does under a motif, worked out beside the page. */
export function driftOn(options: DriftOptions): Promise<DriftMap> {
  return beside.ask((motifs) => motifs.drift(options));
}
