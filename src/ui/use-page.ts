import { useCallback, useRef, useState } from 'react';
import { useAsked, useClient, useRested } from './query';

/** One page of a list as the server cuts it. */
export interface Page<T> {
  rows: T[];
  total: number;
  page: number;
  size: number;
}

/** Time after the last letter of a search before it is asked, ms. */
const SEARCH_AFTER = 180;

/**
 * A list of which only one page is here: the server searches, sorts and cuts it.
 *
 * @param path of the list, such as `/api/layers` @param start its first page, which came with the document
 * @param query what is asked besides the page, by name; what is empty is left out
 */
export function usePage<T extends { id: string }>(path: string, start: Page<T>, query: Record<string, string>) {
  const text = new URLSearchParams(Object.entries(query).filter(([, value]) => value !== '')).toString();
  const asked = useRested(text, SEARCH_AFTER);
  const [at, setAt] = useState({ asked, page: 0 });
  // Another search begins at its first page.
  const page = at.asked === asked ? at.page : 0;
  const address = `${path}?${asked ? `${asked}&` : ''}page=${page}`;
  const { answer, busy, error, again } = useAsked<Page<T>>(address, undefined, { start });
  const shown = answer ?? start;
  // A row that was taken out stays out, though an answer that was on its way when it went still has it.
  const [gone, setGone] = useState<ReadonlySet<string>>(new Set());
  // What is told late (a row that came back) is told to the page that is shown then.
  const shownAt = useRef(address);
  shownAt.current = address;
  const client = useClient();
  const change = useCallback(
    (to: (was: Page<T>) => Page<T>) => {
      const queryKey = [shownAt.current, undefined];
      client.setQueryData<Page<T>>(queryKey, (was) => (was ? to(was) : was));
      // An answer that is on its way may not know of it yet.
      if (client.isFetching({ queryKey }) > 0)
        void client.cancelQueries({ queryKey }).then(() => client.refetchQueries({ queryKey }));
    },
    [client],
  );
  return {
    ...shown,
    rows: gone.size > 0 ? shown.rows.filter(({ id }) => !gone.has(id)) : shown.rows,
    total: Math.max(0, shown.total - shown.rows.filter(({ id }) => gone.has(id)).length),
    busy,
    error,
    pages: Math.max(1, Math.ceil(shown.total / shown.size)),
    go: useCallback((to: number) => setAt({ asked, page: to }), [asked]),
    /** Asks for the same page again, with what was taken out, if it is back. */
    refresh: useCallback(async () => {
      await again();
      setGone(new Set());
    }, [again]),
    /** Shows a row as it is now, a new one first. */
    put: useCallback(
      (row: T) => {
        setGone((was) => new Set([...was].filter((id) => id !== row.id)));
        change((was) =>
          was.rows.some(({ id }) => id === row.id)
            ? { ...was, rows: was.rows.map((each) => (each.id === row.id ? row : each)) }
            : { ...was, rows: [row, ...was.rows], total: was.total + 1 },
        );
      },
      [change],
    ),
    /** Shows the rows in another order. */
    order: useCallback(
      (ids: readonly string[]) =>
        change((was) => ({ ...was, rows: [...was.rows].sort((a, b) => ids.indexOf(a.id) - ids.indexOf(b.id)) })),
      [change],
    ),
    /** Leaves a row out. */
    drop: useCallback((id: string) => setGone((was) => new Set([...was, id])), []),
  };
}
