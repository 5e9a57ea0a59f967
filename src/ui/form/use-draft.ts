import { useCallback, useEffect, useRef, useState } from 'react';
import { dropDraft, readDraft, writeDraft } from './draft-store';

/** What is typed in a form and not saved yet, kept in the browser: an error, a reload or a stopped server loses nothing of it. */
export interface Draft<T> {
  now: T;
  set: (change: Partial<T> | ((was: T) => T)) => void;
  /** It was typed before, on a page that is gone. */
  restored: boolean;
  /** It is saved, or was given up: nothing of it is kept. */
  forget: () => void;
  /** Begins again with what is saved. */
  anew: () => void;
}

/**
 * A form's draft, kept under a key while it is typed.
 *
 * @param key names the record and its version: what was typed over an older version is not put over a newer one
 */
export function useDraft<T extends object>(key: string, start: () => T): Draft<T> {
  const [first] = useState(start);
  const [now, setNow] = useState(first);
  const [restored, setRestored] = useState(false);
  const kept = useRef(key);
  // The server draws the form as it is saved; what was typed before comes when the page is alive.
  useEffect(() => {
    kept.current = key;
    const draft = readDraft<T>(key);
    if (!draft) return;
    setNow({ ...first, ...draft });
    setRestored(true);
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  const set = useCallback((change: Partial<T> | ((was: T) => T)) => {
    setNow((was) => {
      const next = typeof change === 'function' ? change(was) : { ...was, ...change };
      writeDraft(kept.current, next);
      return next;
    });
  }, []);
  const forget = useCallback(() => {
    dropDraft(kept.current);
    setRestored(false);
  }, []);
  const anew = () => {
    forget();
    setNow(first);
  };
  return { now, set, restored, forget, anew };
}
