import { useCallback, useEffect, useRef, useState } from 'react';

const PREFIX = 'nembrel-draft:';
/** A draft that nobody came back to for so long is thrown away, ms. */
const KEPT_FOR = 14 * 24 * 3600 * 1000;

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

function store(): Storage | undefined {
  try {
    return globalThis.localStorage;
  } catch {
    // Switched off: what is typed stands on the page alone.
    return undefined;
  }
}

function read<T>(key: string): T | undefined {
  const text = store()?.getItem(PREFIX + key);
  if (!text) return undefined;
  try {
    const { at, draft } = JSON.parse(text) as { at: number; draft: T };
    if (Date.now() - at < KEPT_FOR) return draft;
  } catch {
    // An entry that cannot be read is of no use.
  }
  store()?.removeItem(PREFIX + key);
  return undefined;
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
    const draft = read<T>(key);
    if (!draft) return;
    setNow({ ...first, ...draft });
    setRestored(true);
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  const set = useCallback((change: Partial<T> | ((was: T) => T)) => {
    setNow((was) => {
      const next = typeof change === 'function' ? change(was) : { ...was, ...change };
      try {
        store()?.setItem(PREFIX + kept.current, JSON.stringify({ at: Date.now(), draft: next }));
      } catch {
        // A full store keeps nothing more; the form still holds it.
      }
      return next;
    });
  }, []);
  const forget = useCallback(() => {
    store()?.removeItem(PREFIX + kept.current);
    setRestored(false);
  }, []);
  const anew = () => {
    forget();
    setNow(first);
  };
  return { now, set, restored, forget, anew };
}
