import { TECHNIQUES } from './list';
import type { LayerAt, WorkJob } from './job';
import type { Technique } from './technique';

/** A layer of a job and what is done with it. */
export interface Worked {
  technique: Technique;
  at: LayerAt;
}

/**
 * The technique of each layer of a job, in the order of its layers.
 *
 * @example techniquesOf(workJob).map(({ technique }) => technique.words) // ['fused all over']
 */
export function techniquesOf(job: WorkJob): Worked[] {
  return job.layers.map((layer, index) => {
    const at: LayerAt = { job, layer, index };
    return { technique: TECHNIQUES.find(({ serves }) => serves(at))!, at };
  });
}
