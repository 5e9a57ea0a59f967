import { expose } from 'comlink';
import { tablePlans, type TablePlan, type TablePlanOptions } from '../core/cutplan';
import { latest } from '../core/nesting';

/** Time after which the page hears of the best layout so far, and after which it may be heard, ms. */
const REPORT = 120;

let current = 0;
let stopped = false;

const layouts = {
  /**
   * Looks for a layout; one that is still looked for is given up.
   *
   * @param heard is told of every better layout on the way
   * @returns the best; nothing when another one was asked for meanwhile
   */
  async lay(options: TablePlanOptions, heard: (plan: TablePlan) => void): Promise<TablePlan | undefined> {
    const own = ++current;
    stopped = false;
    let plan: TablePlan | undefined;
    const end = performance.now() + 1000 * latest(options.seconds);
    let next = performance.now() + REPORT;
    for (const found of tablePlans({ ...options, enough: () => stopped || performance.now() > end })) {
      plan = found;
      if (performance.now() < next) continue;
      heard(plan);
      // Lets a request to stop come in.
      await new Promise((resolve) => setTimeout(resolve));
      if (current !== own) return undefined;
      next = performance.now() + REPORT;
    }
    return plan && { ...plan, done: 1 };
  },
  /** What there is is good enough. */
  stop(): void {
    stopped = true;
  },
};
export type Layouts = typeof layouts;

expose(layouts);
