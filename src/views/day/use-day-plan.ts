import { useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { DayPlan, KeptDayPlan } from '../../store/day-plan';
import { call, type ApiError } from '../../ui/api';
import { client } from '../../ui/query';

export type DayChange = (was: DayPlan) => DayPlan;

/** How often it is asked whether the plan was changed on another tablet, ms. */
const ASKED_EVERY = 2000;

/**
 * The plan of the day. A change shows at once and is kept, one after the other; what another tablet changed meanwhile is no conflict: the
 * change is made to that. While the server is away changes wait, and go with the next one; a change that is refused is taken back.
 */
export function useDayPlan(kept: KeptDayPlan, start: () => DayPlan) {
  const [now, setNow] = useState(() => kept.plan ?? start());
  const [trouble, setTrouble] = useState<string>();
  const server = useRef({ plan: now, version: kept.version });
  const waiting = useRef<DayChange[]>([]);
  const queue = useRef(Promise.resolve());

  const keep = useCallback(async () => {
    while (waiting.current.length > 0) {
      const taken = [...waiting.current];
      const plan = taken.reduce((was, change) => change(was), server.current.plan);
      try {
        const saved = await call<KeptDayPlan>('PUT', '/api/day', { plan, version: server.current.version });
        server.current = { plan: saved.plan!, version: saved.version };
        waiting.current = waiting.current.slice(taken.length);
        setTrouble(undefined);
      } catch (error) {
        const { status, current, message } = error as ApiError;
        if (status === 0 || status >= 500) return setTrouble(`${message} The next change is kept with this one.`);
        if (status !== 409) {
          // What is refused for itself would only take the next changes down with it.
          waiting.current = waiting.current.slice(taken.length);
          setTrouble(message);
          continue;
        }
        const { plan: theirs, version } = current as KeptDayPlan;
        server.current = { plan: theirs ?? server.current.plan, version };
      }
    }
    setNow(server.current.plan);
  }, []);
  const set = useCallback(
    (change: DayChange) => {
      setNow(change);
      waiting.current.push(change);
      queue.current = queue.current.then(keep);
    },
    [keep],
  );

  const elsewhere = useQuery(
    {
      queryKey: ['day-plan'],
      queryFn: ({ signal }) => call<KeptDayPlan>('GET', '/api/day', undefined, signal),
      initialData: kept,
      staleTime: ASKED_EVERY,
      refetchInterval: ASKED_EVERY,
      retry: false,
    },
    client,
  );
  useEffect(() => {
    const { plan, version } = elsewhere.data;
    if (!plan || version <= server.current.version || waiting.current.length > 0) return;
    server.current = { plan, version };
    setNow(plan);
  }, [elsewhere.data]);

  return { now, set, trouble };
}
