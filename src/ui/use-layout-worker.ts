import { useCallback, useEffect, useRef, useState } from 'react';
import type { TablePlan, TablePlanOptions } from '../core/cutplan';
import { GivenUp } from './beside';
import { LayoutRunner } from './layout-runner';

export interface LayoutWorker {
  /** Share of the work that is done, 0–1; undefined when nothing is looked for. */
  progress: number | undefined;
  error: string | undefined;
  start: (options: TablePlanOptions) => void;
  /** What there is is good enough. */
  stop: () => void;
}

/** Looks for layouts in a worker; every better one is handed on, the last with `ended`. */
export function useLayoutWorker(onPlan: (plan: TablePlan, ended: boolean) => void): LayoutWorker {
  const [progress, setProgress] = useState<number>();
  const [error, setError] = useState<string>();
  const runner = useRef<LayoutRunner | undefined>(undefined);
  const heard = useRef(onPlan);
  useEffect(() => {
    heard.current = onPlan;
  }, [onPlan]);
  useEffect(() => () => runner.current?.close(), []);

  const start = useCallback((options: TablePlanOptions) => {
    runner.current ??= new LayoutRunner();
    setError(undefined);
    setProgress(0);
    runner.current
      .lay(options, (plan) => {
        setProgress(plan.done);
        heard.current(plan, false);
      })
      .then((plan) => {
        setProgress(undefined);
        heard.current(plan, true);
      })
      .catch((problem: Error) => {
        if (problem instanceof GivenUp) return;
        setError(problem.message);
        setProgress(undefined);
      });
  }, []);
  const stop = useCallback(() => runner.current?.stop(), []);
  return { progress, error, start, stop };
}
