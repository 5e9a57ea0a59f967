import type { TablePlan, TablePlanOptions } from '../core/cutplan';
import { onTrouble } from './worker-trouble';
import type { LayAnswer, LayRequest } from '../workers/cut-table.worker';

/** Looks for layouts in a worker, one question after the other. */
export class LayoutRunner {
  private worker: Worker | undefined;
  private run = 0;
  private settle: { done: (plan: TablePlan) => void; fail: (error: Error) => void; heard: (plan: TablePlan) => void } | undefined;

  /**
   * Asks for a layout; a question that is still open is given up.
   *
   * @param heard is told of every better layout on the way
   */
  lay(options: TablePlanOptions, heard: (plan: TablePlan) => void = () => {}): Promise<TablePlan> {
    this.worker ??= this.start();
    this.run += 1;
    this.settle?.fail(new GivenUp());
    return new Promise((done, fail) => {
      this.settle = { done, fail, heard };
      this.worker!.postMessage({ kind: 'lay', run: this.run, options } satisfies LayRequest);
    });
  }

  /** What there is is good enough: the open question is answered with it. */
  stop(): void {
    this.worker?.postMessage({ kind: 'stop' } satisfies LayRequest);
  }

  close(): void {
    this.worker?.terminate();
    this.worker = undefined;
    this.settle?.fail(new GivenUp());
    this.settle = undefined;
  }

  private start(): Worker {
    const worker = new Worker(new URL('../workers/cut-table.worker.ts', import.meta.url), { type: 'module' });
    onTrouble(worker, (error) => {
      this.settle?.fail(error);
      this.settle = undefined;
      worker.terminate();
      this.worker = undefined;
    });
    worker.onmessage = ({ data }: MessageEvent<LayAnswer>) => {
      if (data.run !== this.run || !this.settle) return;
      const { done, fail, heard } = this.settle;
      if ('message' in data) fail(new Error(data.message));
      else if (data.ended) done(data.plan);
      else {
        heard(data.plan);
        return;
      }
      this.settle = undefined;
    };
    return worker;
  }
}

/** A question that nobody waits for any more. */
export class GivenUp extends Error {
  constructor() {
    super('given up');
    this.name = 'GivenUp';
  }
}
