import { useCallback, useState } from 'react';

/** Steps that can be taken back at most. */
const MOST = 200;

export interface History<T> {
  now: T;
  /** Sets a new state as a step of its own; with `same`, steps of the same name in a row become one. */
  set: (next: T, same?: string) => void;
  undo: () => void;
  redo: () => void;
  canUndo: boolean;
  canRedo: boolean;
}

/** A state whose changes can be taken back and done again. */
export function useHistory<T>(start: T): History<T> {
  const [state, setState] = useState<{ past: T[]; now: T; future: T[]; last?: string | undefined }>({
    past: [],
    now: start,
    future: [],
  });
  const set = useCallback(
    (next: T, same?: string) =>
      setState(({ past, now, last }) => ({
        past: same !== undefined && same === last ? past : [...past.slice(-MOST), now],
        now: next,
        future: [],
        last: same,
      })),
    [],
  );
  const undo = useCallback(
    () =>
      setState((was) =>
        was.past.length === 0 ? was : { past: was.past.slice(0, -1), now: was.past.at(-1)!, future: [was.now, ...was.future] },
      ),
    [],
  );
  const redo = useCallback(
    () =>
      setState((was) =>
        was.future.length === 0 ? was : { past: [...was.past, was.now], now: was.future[0]!, future: was.future.slice(1) },
      ),
    [],
  );
  return { now: state.now, set, undo, redo, canUndo: state.past.length > 0, canRedo: state.future.length > 0 };
}
