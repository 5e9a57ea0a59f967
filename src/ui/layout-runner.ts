import { proxy } from 'comlink';
import type { TablePlan, TablePlanOptions } from '../core/cutplan';
import type { Layouts } from '../workers/cut-table.worker';
import { Beside, GivenUp } from './beside';

/** Looks for layouts in a worker, one question after the other. */
export class LayoutRunner {
  private readonly beside = new Beside<Layouts>(
    () => new Worker(new URL('../workers/cut-table.worker.ts', import.meta.url), { type: 'module' }),
  );
  private asked = 0;
  private giveUp: () => void = () => {};

  /**
   * Asks for a layout; a question that is still open is given up.
   *
   * @param heard is told of every better layout on the way
   */
  lay(options: TablePlanOptions, heard: (plan: TablePlan) => void = () => {}): Promise<TablePlan> {
    this.giveUp();
    const own = ++this.asked;
    return new Promise((done, fail) => {
      this.giveUp = () => fail(new GivenUp());
      // Reports come on a port of their own: one of them may be overtaken by the answer, and is worse than it.
      let open = true;
      const better = (plan: TablePlan) => {
        if (open && own === this.asked) heard(plan);
      };
      this.beside
        .ask((layouts) => layouts.lay(options, proxy(better)))
        .finally(() => (open = false))
        .then((plan) => (plan && own === this.asked ? done(plan) : fail(new GivenUp())), fail);
    });
  }

  /** What there is is good enough: the open question is answered with it. */
  stop(): void {
    void this.beside.ask((layouts) => layouts.stop()).catch(() => {});
  }

  close(): void {
    this.beside.close();
    this.giveUp();
  }
}
