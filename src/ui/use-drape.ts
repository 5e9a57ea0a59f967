import { useEffect, useRef, useState } from 'react';
import type { SheetCloth, Support } from '../core/drape';
import { onTrouble } from './worker-trouble';
import type { DrapeFrame, DrapeRequest } from '../workers/drape.worker';

/**
 * Lets sheets drape in a worker and hands out the newest frame of each. A change of cloth goes on from where the
 * sheet hangs; a change of support starts anew. Nothing runs while `support` is undefined.
 */
export function useDrape(
  cloths: readonly SheetCloth[],
  support: Support | undefined,
): { frames: (DrapeFrame | undefined)[]; error: string | undefined } {
  const [frames, setFrames] = useState<(DrapeFrame | undefined)[]>([]);
  const [error, setError] = useState<string>();
  const worker = useRef<Worker | undefined>(undefined);
  const sent = useRef<string[]>([]);

  useEffect(() => {
    if (!support) return undefined;
    const made = new Worker(new URL('../workers/drape.worker.ts', import.meta.url), { type: 'module' });
    worker.current = made;
    setFrames([]);
    setError(undefined);
    onTrouble(made, (trouble) => setError(trouble.message));
    made.onmessage = ({ data }: MessageEvent<DrapeFrame>) =>
      setFrames((all) => {
        const next = [...all];
        next[data.index] = data;
        return next;
      });
    made.postMessage({ kind: 'start', support, cloths: [...cloths] } satisfies DrapeRequest);
    sent.current = cloths.map((cloth) => JSON.stringify(cloth));
    return () => made.terminate();
    // Cloth is sent by the effect below as it changes.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [support]);

  useEffect(() => {
    cloths.forEach((cloth, index) => {
      const text = JSON.stringify(cloth);
      if (sent.current[index] === text) return;
      sent.current[index] = text;
      worker.current?.postMessage({ kind: 'cloth', index, cloth } satisfies DrapeRequest);
    });
  }, [cloths]);

  return { frames, error };
}
