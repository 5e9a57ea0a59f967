import { proxy } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { StandingAsked, StandingFrame, Standings } from '../workers/standing.worker';
import { Beside } from './beside';

/**
 * Lets flared sheets fall in a worker, one after the other, and hands out the newest frame of each. Nothing runs while nothing is asked.
 *
 * @param asked kept as long as the same sheets are meant
 */
export function useStanding(asked: readonly StandingAsked[] | undefined) {
  const [frames, setFrames] = useState<readonly (StandingFrame | undefined)[]>([]);
  const [running, setRunning] = useState<number>();
  const [error, setError] = useState<string>();
  const end = useRef(() => {});
  useEffect(() => {
    if (!asked) return undefined;
    const beside = new Beside<Standings>(
      () => new Worker(new URL('../workers/standing.worker.ts', import.meta.url), { type: 'module' }),
      (trouble) => setError(trouble.message),
    );
    let open = true;
    const close = () => {
      open = false;
      beside.close();
      setRunning(undefined);
    };
    end.current = close;
    setFrames([]);
    setError(undefined);
    const all = async () => {
      for (const [index, each] of asked.entries()) {
        if (!open) return;
        setRunning(index);
        const show = (frame: StandingFrame) =>
          open && setFrames((were) => asked.map((_, at) => (at === index ? frame : were[at])));
        await beside.ask((standing) => standing.stand(each, proxy(show)));
      }
      close();
    };
    // What was given up needs no word.
    all().catch((problem: unknown) => {
      if (!open) return;
      close();
      setError(problem instanceof Error ? problem.message : String(problem));
    });
    return close;
  }, [asked]);
  return { frames, running, error, stop: () => end.current() };
}
