import { useCallback, useEffect, useRef, useState } from 'react';
import { Saver, type SavingState, type Versioned, type SettledBy } from './saving/saver';
import { useLeaving } from './saving/use-leaving';

/**
 * A record that is saved by itself soon after each change; see {@link Saver}.
 *
 * @param base collection of the record, such as `/api/tables` @param create where it is first kept
 * @param body what is sent, as it stands now @param hold why it waits: more is on its way, or what is
 * on the screen cannot be kept as it is
 */
export function useKept<T extends Versioned>(
  base: string,
  create: string,
  start: T | null,
  body: object,
  hold?: 'working' | 'unsound',
) {
  const [state, setState] = useState<SavingState<T>>();
  /** What is sent: as things stand on the screen when its turn comes. */
  const latest = useRef(body);
  const saver = useRef<Saver<T>>(undefined);
  saver.current ??= new Saver<T>(start, {
    base,
    create,
    toBody: () => latest.current,
    onState: setState,
  });
  useEffect(() => {
    latest.current = body;
  }, [body]);
  const own = saver.current;
  useEffect(() => () => own.close(), [own]);

  // A change is told before what it changed is drawn: what is sent is read after that.
  const [changes, setChanges] = useState(0);
  const [told, setTold] = useState(0);
  const held = changes > told;
  useEffect(() => {
    if (!held || hold) return;
    setTold(changes);
    own.change(latest.current as Partial<T>);
  }, [held, hold, changes, own]);
  useLeaving(
    useCallback(() => {
      if (held && hold === 'unsound') return true;
      if (held) own.change(latest.current as Partial<T>);
      return own.leave();
    }, [own, held, hold]),
  );

  const { record, saving, unsaved, away, error, conflict } = state ?? own.state;
  const [elsewhere, setError] = useState<string>();
  return {
    record,
    /** Takes the record as the server gave it. */
    keep: useCallback((kept: T) => own.take(kept), [own]),
    /** Saves at once. @returns the record as it is kept then, undefined when it could not be saved */
    save: useCallback((): Promise<T | undefined> => {
      setError(undefined);
      if (!own.state.record || own.state.unsaved) own.change(latest.current as Partial<T>);
      return own.save();
    }, [own]),
    /** Says that something was changed. */
    change: useCallback(() => setChanges((was) => was + 1), []),
    unsaved: unsaved || held,
    /** It waits until what is on the screen can be kept. */
    held: held && hold === 'unsound',
    saving,
    away,
    error: elsewhere ?? error?.message,
    setError,
    conflict,
    settle: useCallback((by: SettledBy) => own.settle(by), [own]),
  };
}
