import { useCallback, useEffect, useRef, useState } from 'react';
import { ApiError, call } from './api';
import type { Conflict } from './StaleDialog';

interface Versioned {
  id: string;
  version: number;
}

/** Time after the last change before it is saved, ms. */
const SAVE_AFTER = 500;

/**
 * A record that is saved by itself soon after each change. Saves follow one another, each with the version that the one
 * before it came back with, so that a quick hand never meets its own save as somebody else's.
 *
 * @param base collection of the record, such as `/api/tables` @param create where it is first kept
 * @param body what is sent, as it stands now
 */
export function useKept<T extends Versioned>(base: string, create: string, start: T | null, body: object) {
  const [record, setRecord] = useState(start);
  const [saving, setSaving] = useState(false);
  const [conflict, setConflict] = useState<Conflict<T>>();
  const [error, setError] = useState<string>();
  /** Changes that were made, and how many of them are saved. */
  const [changes, setChanges] = useState(0);
  const [saved, setSaved] = useState(0);

  /** What the next save in the queue sends: as things stand when its turn comes. */
  const latest = useRef({ record, body, changes });
  const upTo = useRef(0);
  useEffect(() => {
    latest.current = { ...latest.current, body, changes };
  }, [body, changes]);
  const keep = useCallback((kept: T) => {
    latest.current.record = kept;
    setRecord(kept);
  }, []);

  const queue = useRef<Promise<unknown>>(Promise.resolve());
  const save = useCallback(
    (version?: number, onlyChanges = false): Promise<T | undefined> => {
      const turn = queue.current.then(async () => {
        const { record: was, body: now, changes: sent } = latest.current;
        // Saved meanwhile, by a button: another save would only make what the button goes on with stale.
        if (onlyChanges && sent === upTo.current && was) return was;
        setSaving(true);
        try {
          const kept = was
            ? await call<T>('PUT', `${base}/${was.id}`, { ...now, version: version ?? was.version })
            : await call<T>('POST', create, now);
          keep(kept);
          upTo.current = sent;
          setSaved(sent);
          setError(undefined);
          return kept;
        } catch (problem) {
          if (problem instanceof ApiError && problem.status === 409 && was)
            setConflict({ mine: { ...was, ...now }, theirs: problem.current as T });
          else setError((problem as Error).message);
          return undefined;
        } finally {
          setSaving(false);
        }
      });
      queue.current = turn;
      return turn;
    },
    [base, create, keep],
  );

  useEffect(() => {
    if (changes === 0) return undefined;
    const timer = setTimeout(() => void save(undefined, true), SAVE_AFTER);
    return () => clearTimeout(timer);
  }, [changes, save]);

  return {
    record,
    /** Takes the record as the server gave it. */
    keep,
    save,
    /** Says that something was changed. */
    change: useCallback(() => setChanges((was) => was + 1), []),
    unsaved: changes > saved,
    saving,
    error,
    setError,
    conflict,
    /** Settles a conflict: by the other's record, which is then what is kept, or by writing over it. */
    settle: (by: 'theirs' | 'mine' | 'later') => {
      setConflict(undefined);
      if (!conflict || by === 'later') return;
      if (by === 'mine') return void save(conflict.theirs.version);
      keep(conflict.theirs);
      upTo.current = changes;
      setSaved(changes);
    },
  };
}
