import { useCallback, useRef, useState } from 'react';
import { Saver, type Conflict } from '../../ui/saving/saver';
import { useLeaving } from '../../ui/saving/use-leaving';
import type { Part } from '../../store/parts';
import { partBody } from './types';

/**
 * Saves the parts of a project, each in a queue of its own; what is changed shows at once.
 *
 * @param onPart is told of a part as it stands, changed or saved
 */
export function usePartSavers(onPart: (part: Part) => void) {
  const savers = useRef(new Map<string, Saver<Part>>());
  const [error, setError] = useState<string>();
  const [conflict, setConflict] = useState<Conflict<Part>>();
  const [away, setAway] = useState(false);
  const saverOf = useCallback(
    (part: Part): Saver<Part> => {
      const known = savers.current.get(part.id);
      if (known) return known;
      const saver = new Saver<Part>(part, {
        base: '/api/parts',
        toBody: partBody,
        onState: (state) => {
          setConflict(state.conflict);
          setError(state.error?.message);
          setAway([...savers.current.values()].some((each) => each.state.away));
          const { current } = saver;
          if (current) onPart(current);
        },
      });
      savers.current.set(part.id, saver);
      return saver;
    },
    [onPart],
  );
  useLeaving(useCallback(() => [...savers.current.values()].map((saver) => saver.leave()).some(Boolean), []));

  /** Saves a change. @returns whether it is kept now @throws {ApiError} for what is refused; then nothing of it stays */
  const save = async (part: Part, change: Partial<Part>): Promise<boolean> => {
    const saver = saverOf(part);
    const { version: _version, ...fields } = change;
    saver.change(fields);
    if (await saver.save()) return true;
    const { error } = saver.state;
    if (!error) return false;
    saver.drop();
    throw error;
  };

  return {
    save,
    /** Shows a change at once and saves it when the hand rests: for figures that are typed. */
    change: (part: Part, change: Partial<Part>) => saverOf(part).change(change),
    /** What was refused of such a change, in words. */
    error,
    /** Takes a part as the server gave it elsewhere. */
    take: (part: Part) => saverOf(part).take(part),
    conflict,
    away,
    settle: (by: 'theirs' | 'mine' | 'later') =>
      [...savers.current.values()].find(({ state }) => state.conflict !== undefined)?.settle(by),
  };
}
