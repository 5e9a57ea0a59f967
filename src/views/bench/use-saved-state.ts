import { useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { BenchRun, BenchState } from '../../store/bench-runs';
import { call, type ApiError } from '../../ui/api';
import { client } from '../../ui/query';

/** How often it is asked whether the run was moved on at another tablet, ms. */
const ASKED_EVERY = 1000;

/** Whether two states stand at the same place, however they got there. */
const samePlace = (a: BenchState, b: BenchState): boolean => a.step === b.step && a.stop === b.stop;

/**
 * Where a run stands. A move shows at once and is kept, one save after the other; what is moved on another tablet shows here within a
 * second.
 */
export function useSavedState(run: BenchRun) {
  const [state, setState] = useState(run.state);
  const [finished, setFinished] = useState(run.finishedAt !== null);
  const [trouble, setTrouble] = useState<string>();
  const version = useRef(run.version);
  const queue = useRef(Promise.resolve());
  const pending = useRef(0);
  const now = useRef(run.state);
  const take = useCallback((current: BenchRun) => {
    version.current = current.version;
    now.current = current.state;
    setState(current.state);
    setFinished(current.finishedAt !== null);
  }, []);

  const move = useCallback(
    (next: BenchState, done = false) => {
      now.current = next;
      setState(next);
      if (done) setFinished(true);
      pending.current += 1;
      queue.current = queue.current.then(async () => {
        try {
          const body = { state: next, finished: done, version: version.current };
          version.current = (await call<BenchRun>('PUT', `/api/bench/${run.id}`, body)).version;
          setTrouble(undefined);
        } catch (error) {
          const problem = error as ApiError;
          if (problem.status === 409) {
            const current = problem.current as BenchRun;
            // Two tablets whose countdown ends at the same second both move it on: that is no trouble.
            if (!samePlace(current.state, next))
              setTrouble('Somebody moved this bench on in another window. It now stands where they left it.');
            take(current);
          } else {
            setTrouble(`${problem.message} The bench goes on; the next move is saved again.`);
          }
        } finally {
          pending.current -= 1;
        }
      });
    },
    [run.id, take],
  );

  const elsewhere = useQuery(
    {
      queryKey: ['bench', run.id],
      queryFn: ({ signal }) => call<BenchRun>('GET', `/api/bench/${run.id}`, undefined, signal),
      initialData: run,
      staleTime: ASKED_EVERY,
      refetchInterval: finished ? false : ASKED_EVERY,
      retry: false,
    },
    client,
  );
  useEffect(() => {
    if (elsewhere.data && elsewhere.data.version > version.current && pending.current === 0) take(elsewhere.data);
  }, [elsewhere.data, take]);

  return { state, finished, trouble, move };
}
