import { useCallback, useEffect, useRef, useState } from 'react';
import { Saver, type SaverOptions, type SavingState, type Versioned, type SettledBy } from './saving/saver';
import { useLeaving } from './saving/use-leaving';

/** A record that is changed in place: what is changed shows at once and is saved by itself; see {@link Saver}. */
export function useSaver<T extends Versioned>(start: T, { base, toBody }: Pick<SaverOptions<T>, 'base' | 'toBody'>) {
  const [state, setState] = useState<SavingState<T>>();
  const saver = useRef<Saver<T>>(undefined);
  saver.current ??= new Saver<T>(start, { base, ...(toBody ? { toBody } : {}), onState: setState });
  const own = saver.current;
  useEffect(() => () => own.close(), [own]);
  useLeaving(useCallback(() => own.leave(), [own]));
  const { conflict, error, away, saving, unsaved } = state ?? own.state;
  return {
    /** With everything that was changed, saved or not. */
    record: own.current ?? start,
    change: useCallback((fields: Partial<T>) => own.change(fields), [own]),
    /** Saves at once. @returns the record as it is kept then, undefined when it could not be saved */
    save: useCallback(() => own.save(), [own]),
    /** Gives up what could not be saved. */
    drop: useCallback(() => own.drop(), [own]),
    ...{ conflict, error, away, saving, unsaved },
    settle: useCallback((by: SettledBy) => own.settle(by), [own]),
  };
}
