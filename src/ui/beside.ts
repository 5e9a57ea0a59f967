import { wrap, type Remote } from 'comlink';

/** What is said when a computation beside the page broke off; what was there before stays. */
const WORKER_BROKE = 'The computation broke off. What was there before is kept; try again.';

/** A question that nobody waits for any more. */
export class GivenUp extends Error {
  constructor() {
    super('given up');
    this.name = 'GivenUp';
  }
}

/**
 * A worker beside the page, started when it is first asked. Whoever waits for it hears when it dies or when what it says cannot be
 * read; the next question starts another one.
 *
 * @typeParam T what the worker exposes
 */
export class Beside<T> {
  private open: { worker: Worker; api: Remote<T> } | undefined;
  private readonly waiting = new Set<(error: Error) => void>();

  constructor(
    private readonly make: () => Worker,
    private readonly onBroken: (error: Error) => void = () => {},
  ) {}

  /** Asks the worker; fails with its words, when it breaks off, and with {@link GivenUp} when it is closed. */
  ask<R>(question: (api: Remote<T>) => Promise<R>): Promise<R> {
    const { api } = (this.open ??= this.start());
    return new Promise((done, fail) => {
      this.waiting.add(fail);
      question(api)
        .then(done, fail)
        .finally(() => this.waiting.delete(fail));
    });
  }

  close(): void {
    this.end(new GivenUp());
  }

  private start() {
    const worker = this.make();
    const trouble = (event: Event) => {
      event.preventDefault();
      const error = new Error(WORKER_BROKE);
      this.end(error);
      this.onBroken(error);
    };
    worker.addEventListener('error', trouble);
    worker.addEventListener('messageerror', trouble);
    return { worker, api: wrap<T>(worker) };
  }

  private end(error: Error): void {
    this.open?.worker.terminate();
    this.open = undefined;
    for (const fail of this.waiting) fail(error);
    this.waiting.clear();
  }
}
