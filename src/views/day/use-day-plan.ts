import { useCallback } from 'react';
import { dayMoved, type DayMove, type DayPlan } from '../../core/schedule';
import type { KeptDayPlan } from '../../store/day-plan';
import { useMoves } from '../../ui/use-moves';

/** How often it is asked whether the plan was changed on another tablet, ms. */
const ASKED_EVERY = 2000;

const standing = ({ plan }: KeptDayPlan): DayPlan | null => plan;

/** The plan of the day as every tablet of the house sees it, and how it is changed; before the first change, what a day would begin with. */
export function useDayPlan(kept: KeptDayPlan, openRuns: readonly string[]) {
  const { now, make, trouble } = useMoves<KeptDayPlan, DayPlan | null, DayMove>({
    ...{ path: '/api/day', start: kept, standing, moved: dayMoved, every: ASKED_EVERY },
  });
  const begin: DayMove = { kind: 'begin', runIds: [...openRuns] };
  return {
    now: now ?? dayMoved(null, begin),
    trouble,
    make: useCallback(
      (move: DayMove) => {
        if (now === null) make({ kind: 'begin', runIds: [...openRuns] });
        make(move);
      },
      [make, now, openRuns],
    ),
  };
}
