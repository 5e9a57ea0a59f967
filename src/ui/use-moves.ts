import { useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { call } from './api';
import { useClient } from './query';
import { Outbox, type OutboxState } from './saving/outbox';
import { useLeaving } from './saving/use-leaving';

interface Options<R, S, M> {
  /** Where what is kept is asked for; moves go to `PATH/moves`. */
  path: string;
  /** What is kept, as it came with the page. */
  start: R;
  standing: (record: R) => S;
  /** Where things stand after a move. */
  moved: (standing: S, move: M, at: number) => S;
  /** How often it is asked whether others made moves, ms; not at all without it. */
  every: number | undefined;
}

/**
 * Something that several tablets move: what is done here shows at once and is sent as a move, what is done elsewhere comes by itself. What
 * is shown is always what the server keeps, with the moves on it that it has not confirmed yet.
 */
export function useMoves<R extends { version: number }, S, M>({ path, start, standing, moved, every }: Options<R, S, M>) {
  const [record, setRecord] = useState(start);
  const [box, setBox] = useState<OutboxState<M>>({ waiting: [], away: false, refused: undefined });
  const newer = useCallback((found: R) => setRecord((was) => (found.version > was.version ? found : was)), []);
  const outbox = useRef<Outbox<M, R>>(undefined);
  outbox.current ??= new Outbox<M, R>({ path: `${path}/moves`, onState: setBox, onAnswer: newer });
  const own = outbox.current;
  useEffect(() => {
    own.open();
    return () => own.close();
  }, [own]);
  useLeaving(useCallback(() => own.stuck, [own]));

  const elsewhere = useQuery(
    {
      queryKey: [path],
      queryFn: ({ signal }) => call<R>('GET', path, undefined, signal),
      initialData: start,
      staleTime: every ?? Infinity,
      refetchInterval: every ?? false,
      retry: false,
    },
    useClient(),
  );
  useEffect(() => newer(elsewhere.data as R), [elsewhere.data, newer]);

  const now = useMemo(
    () => box.waiting.reduce((was, { move, at }) => moved(was, move, Date.parse(at)), standing(record)),
    [record, box.waiting, moved, standing],
  );
  return {
    now,
    make: useCallback((move: M) => own.add(move), [own]),
    trouble:
      box.refused ??
      (box.away ? 'Nembrel is not answering. What you do here is kept on this tablet and sent when it is back.' : undefined),
  };
}
