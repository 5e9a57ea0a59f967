import { cutPlan, type CutPlanOptions } from '../../core/nesting';
import { answer } from './answer';

/** Lays pieces in a thread, so that the server goes on answering others meanwhile. */
void answer(({ since, ...options }: CutPlanOptions & { since: number }) =>
  cutPlan(
    { ...options, onFault: (faults) => console.error('A layout that does not hold was dropped:', faults) },
    Date.now,
    since,
  ),
);
