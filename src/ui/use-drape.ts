import { useEffect, useRef, useState } from 'react';
import type { SheetCloth, Support } from '../core/drape';
import { proxy } from 'comlink';
import type { DrapeFrame, Drapes } from '../workers/drape.worker';
import { Beside } from './beside';

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
  const worker = useRef<Beside<Drapes> | undefined>(undefined);
  const sent = useRef<string[]>([]);

  useEffect(() => {
    if (!support) return undefined;
    const made = new Beside<Drapes>(
      () => new Worker(new URL('../workers/drape.worker.ts', import.meta.url), { type: 'module' }),
      (trouble) => setError(trouble.message),
    );
    worker.current = made;
    setFrames([]);
    setError(undefined);
    const show = (frame: DrapeFrame) =>
      setFrames((all) => {
        const next = [...all];
        next[frame.index] = frame;
        return next;
      });
    void made.ask((drapes) => drapes.start(support, [...cloths], proxy(show))).catch(() => {});
    sent.current = cloths.map((cloth) => JSON.stringify(cloth));
    return () => {
      worker.current = undefined;
      made.close();
    };
    // Cloth is sent by the effect below as it changes.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [support]);

  useEffect(() => {
    cloths.forEach((cloth, index) => {
      const text = JSON.stringify(cloth);
      if (sent.current[index] === text) return;
      sent.current[index] = text;
      void worker.current?.ask((drapes) => drapes.cloth(index, cloth)).catch(() => {});
    });
  }, [cloths]);

  return { frames, error };
}
