import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { InputError } from '../../core/input-error';
import { projectRoot } from '../../store/project-root';
import { RequestError } from '../errors';
import type { ThreadAnswer } from './answer';

/** Threads at work at once; further ones wait for their turn. */
const MOST_THREADS = 4;

let working = 0;
const waiting: (() => void)[] = [];

async function turn(): Promise<void> {
  if (working >= MOST_THREADS) await new Promise<void>((resolve) => waiting.push(resolve));
  else working++;
}

function done(): void {
  const next = waiting.shift();
  if (next) next();
  else working--;
}

export interface ThreadLimits {
  /** Ends the thread when the client goes away. */
  signal: AbortSignal;
  /** Ends it after so many seconds. */
  seconds: number;
  /** Memory it may use, MB. */
  megabytes?: number;
}

/**
 * Runs one of the bundled threads (`dist/threads/NAME.mjs`) on some data and gives its answer.
 *
 * @throws {InputError} when the thread finds fault with the data
 * @throws {RequestError} when it needs more time or memory than it may have
 */
export async function inThread<T>(name: string, data: unknown, { signal, seconds, megabytes = 1024 }: ThreadLimits): Promise<T> {
  await turn();
  try {
    signal.throwIfAborted();
    return await new Promise<T>((resolve, reject) => {
      const worker = new Worker(join(projectRoot(), 'dist/threads', `${name}.mjs`), {
        workerData: data,
        resourceLimits: { maxOldGenerationSizeMb: megabytes },
      });
      const end = (error: Error) => {
        void worker.terminate();
        reject(error);
      };
      const stop = () => end(signal.reason as Error);
      const clock = setTimeout(() => end(tooMuch()), 1000 * seconds);
      signal.addEventListener('abort', stop, { once: true });
      worker.once('message', (answer: ThreadAnswer<T>) => {
        if ('result' in answer) resolve(answer.result);
        else reject(new InputError(answer.error.field, answer.error.message));
      });
      worker.once('error', (error: NodeJS.ErrnoException) =>
        reject(error.code === 'ERR_WORKER_OUT_OF_MEMORY' ? tooMuch() : error),
      );
      worker.once('exit', (code) => {
        clearTimeout(clock);
        signal.removeEventListener('abort', stop);
        reject(new Error(`thread ${name} ended with ${code} before it answered`));
      });
    });
  } finally {
    done();
  }
}

function tooMuch(): RequestError {
  return new RequestError(413, 'This is more work than can be done in one go. Send fewer or simpler outlines.');
}
