import { useEffect, useRef, useState } from 'react';
import type { DayOptions, DayRun, DayState, DayTask, Evening } from '../../core/schedule';
import { Beside, GivenUp } from '../../ui/beside';
import type { Days } from '../../workers/day.worker';

/** The evenings, planned beside the page. What stood before stays until the next plan is made; a plan that nobody waits for is given up. */
export function useEvenings(
  runs: readonly DayRun[],
  { done, late }: DayState,
  { people, irons, evening, aim }: DayOptions,
): { evenings: Evening<DayTask>[] | undefined; planning: boolean; trouble: string | undefined } {
  const [planned, setPlanned] = useState<{ of: string; evenings?: Evening<DayTask>[]; trouble?: string }>({ of: '' });
  const beside = useRef<Beside<Days> | undefined>(undefined);
  const asked = JSON.stringify([runs, { done, late }, { people, irons, evening, aim }]);
  useEffect(() => {
    const own = (beside.current ??= new Beside<Days>(
      () => new Worker(new URL('../../workers/day.worker.ts', import.meta.url), { type: 'module' }),
    ));
    let answered = false;
    own
      .ask((days) => days.plan(...(JSON.parse(asked) as Parameters<Days['plan']>)))
      .then((evenings) => setPlanned({ of: asked, evenings }))
      .catch((error: unknown) => {
        if (!(error instanceof GivenUp)) setPlanned((was) => ({ ...was, of: asked, trouble: (error as Error).message }));
      })
      .finally(() => (answered = true));
    return () => {
      // What it works at is no longer wanted; the next question starts another worker.
      if (!answered) own.close();
    };
  }, [asked]);
  useEffect(() => () => beside.current?.close(), []);
  return { evenings: planned.evenings, planning: planned.of !== asked, trouble: planned.trouble };
}
