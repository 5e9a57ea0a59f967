import { useCallback, useEffect, useRef, useState } from 'react';
import { call } from './api';

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
  const [shown, setShown] = useState(start);
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<string>();
  const asked = new URLSearchParams(Object.entries(query).filter(([, value]) => value !== '')).toString();
  const before = useRef(asked);
  const abort = useRef<AbortController>(undefined);

  const fetchPage = useCallback(
    async (text: string, page: number) => {
      abort.current?.abort();
      const own = (abort.current = new AbortController());
      setBusy(true);
      try {
        const answer = await call<Page<T>>('GET', `${path}?${text ? `${text}&` : ''}page=${page}`, undefined, own.signal);
        if (own.signal.aborted) return;
        setShown(answer);
        setError(undefined);
        setBusy(false);
      } catch (problem) {
        if (own.signal.aborted) return;
        setError((problem as Error).message);
        setBusy(false);
      }
    },
    [path],
  );
  useEffect(() => {
    if (before.current === asked) return undefined;
    before.current = asked;
    const timer = setTimeout(() => void fetchPage(asked, 0), SEARCH_AFTER);
    return () => clearTimeout(timer);
  }, [asked, fetchPage]);
  useEffect(() => () => abort.current?.abort(), []);

  return {
    ...shown,
    busy,
    error,
    pages: Math.max(1, Math.ceil(shown.total / shown.size)),
    go: (page: number) => void fetchPage(asked, page),
    /** Asks for the same page again. */
    refresh: useCallback(() => fetchPage(asked, shown.page), [fetchPage, asked, shown.page]),
    /** Shows a row as it is now, a new one first. */
    put: (row: T) =>
      setShown((was) =>
        was.rows.some(({ id }) => id === row.id)
          ? { ...was, rows: was.rows.map((each) => (each.id === row.id ? row : each)) }
          : { ...was, rows: [row, ...was.rows], total: was.total + 1 },
      ),
    /** Leaves a row out. */
    drop: (id: string) =>
      setShown((was) => ({ ...was, rows: was.rows.filter((row) => row.id !== id), total: Math.max(0, was.total - 1) })),
  };
}
