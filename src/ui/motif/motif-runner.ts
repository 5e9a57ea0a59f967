import type { DriftMap, DriftOptions } from '../../core/hoop';
import type { Motif } from '../../core/motif';
import { onTrouble } from '../worker-trouble';
import type { MotifAnswer, MotifMaps, MotifRequest } from '../../workers/motif.worker';

let worker: Worker | undefined;
let count = 0;
const waiting = new Map<number, { done: (answer: MotifAnswer) => void; fail: (error: Error) => void }>();

function ask(request: MotifRequest): Promise<MotifAnswer> {
  if (!worker) {
    worker = new Worker(new URL('../../workers/motif.worker.ts', import.meta.url), { type: 'module' });
    onTrouble(worker, (error) => {
      worker?.terminate();
      worker = undefined;
      for (const { fail } of waiting.values()) fail(error);
      waiting.clear();
    });
    worker.onmessage = ({ data }: MessageEvent<MotifAnswer>) => {
      const asked = waiting.get(data.id);
      waiting.delete(data.id);
      if ('message' in data) asked?.fail(new Error(data.message));
      else asked?.done(data);
    };
  }
  return new Promise((done, fail) => {
    waiting.set(request.id, { done, fail });
    worker!.postMessage(request);
  });
}

/** Density and islands of a motif, worked out beside the page. @param cell mm @param trim what is left of a sheet round the stitching, mm */
export async function mapsOf(motif: Motif, trim: number): Promise<MotifMaps> {
  return ((await ask({ id: ++count, kind: 'maps', motif, trim })) as { maps: MotifMaps }).maps;
}

/** What an elastic ground does under a motif, worked out beside the page. */
export async function driftOn(options: DriftOptions): Promise<DriftMap> {
  return ((await ask({ id: ++count, kind: 'drift', options })) as { drift: DriftMap }).drift;
}
