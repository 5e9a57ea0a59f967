/// <reference lib="webworker" />
import { tablePlans, type TablePlan, type TablePlanOptions } from '../core/cutplan';
import { latest } from '../core/nesting';

/** What the page asks: a layout, or an end to the one that is looked for. */
export type LayRequest = { kind: 'lay'; run: number; options: TablePlanOptions } | { kind: 'stop' };

/** A layout on the way, or what was wrong with the question. */
export type LayAnswer = { run: number; plan: TablePlan; ended: boolean } | { run: number; message: string };

/** Time after which the page hears of the best layout so far, and after which it may be heard, ms. */
const REPORT = 120;

let current = 0;
let stopped = false;

addEventListener('message', ({ data }: MessageEvent<LayRequest>) => {
  if (data.kind === 'stop') stopped = true;
  else void lay(data.run, data.options);
});

async function lay(run: number, options: TablePlanOptions): Promise<void> {
  current = run;
  stopped = false;
  let plan: TablePlan | undefined;
  const end = performance.now() + 1000 * latest(options.seconds);
  let next = performance.now() + REPORT;
  try {
    for (const found of tablePlans({ ...options, enough: () => stopped || performance.now() > end })) {
      plan = found;
      if (performance.now() < next) continue;
      postMessage({ run, plan, ended: false } satisfies LayAnswer);
      // Lets a request to stop come in.
      await new Promise((resolve) => setTimeout(resolve));
      if (current !== run) return;
      next = performance.now() + REPORT;
    }
    if (plan) postMessage({ run, plan: { ...plan, done: 1 }, ended: true } satisfies LayAnswer);
  } catch (error) {
    postMessage({ run, message: (error as Error).message } satisfies LayAnswer);
  }
}
