import { join } from 'node:path';
import { Worker, type TransferListItem } from 'node:worker_threads';
import { InputError } from '../../core/input-error';
import { projectRoot } from '../../store/project-root';
import { NotFoundError } from '../../store/errors';
import { RequestError } from '../errors';
import type { ThreadAnswer } from './answer';

/** What a thread does; each has its own bundle (`dist/threads/NAME.mjs`). */
export type ThreadName =
  | 'cut-plan'
  | 'read-motif'
  | 'read-outlines'
  | 'read-table'
  | 'bundle'
  | 'check-backup'
  | 'compute'
  | 'day'
  | 'photo'
  | 'backup-changes'
  | 'backup-drill';

/** Threads at work at once. Layouts have places of their own: whoever waits for one does not wait for somebody's file. */
const PLACES = { layouts: 4, files: 2, computing: 2, day: 1 };
type Queue = keyof typeof PLACES;
const QUEUES = new Map<ThreadName, Queue>([
  ['cut-plan', 'layouts'],
  ['compute', 'computing'],
  ['day', 'day'],
]);
const queueOf = (name: ThreadName): Queue => QUEUES.get(name) ?? 'files';

const working: Record<Queue, number> = { layouts: 0, files: 0, computing: 0, day: 0 };
const waiting: Record<Queue, (() => void)[]> = { layouts: [], files: [], computing: [], day: [] };

async function turn(queue: Queue): Promise<void> {
  if (working[queue] >= PLACES[queue]) await new Promise<void>((resolve) => waiting[queue].push(resolve));
  else working[queue]++;
}

function done(queue: Queue): void {
  const next = waiting[queue].shift();
  if (next) next();
  else working[queue]--;
}

export interface ThreadLimits {
  /** Ends the thread when the client goes away. */
  signal: AbortSignal;
  /** Ends it after so many seconds. */
  seconds: number;
  /** Memory it may use, MB. */
  megabytes?: number;
  /** What is handed over instead of copied. */
  transfer?: TransferListItem[];
}

/** Memory for what a thread has just made, MB: small, so that it is counted among what it may use soon. */
const YOUNG = 64;

/**
 * Runs one of the bundled threads on some data and gives its answer. The place of a thread is free again only when it has really
 * ended: one that was told to end and goes on a while still uses its memory.
 *
 * @throws {InputError} when the thread finds fault with the data
 * @throws {RequestError} when it needs more time or memory than it may have
 */
export async function inThread<T>(
  name: ThreadName,
  data: unknown,
  { signal, seconds, megabytes = 1024, transfer = [] }: ThreadLimits,
): Promise<T> {
  const queue = queueOf(name);
  await turn(queue);
  let worker: Worker;
  try {
    signal.throwIfAborted();
    worker = new Worker(join(projectRoot(), 'dist/threads', `${name}.mjs`), {
      workerData: data,
      transferList: transfer,
      resourceLimits: { maxOldGenerationSizeMb: megabytes, maxYoungGenerationSizeMb: YOUNG },
    });
  } catch (error) {
    done(queue);
    throw error;
  }
  worker.once('exit', () => done(queue));
  return new Promise<T>((resolve, reject) => {
    const end = (error: Error) => {
      void worker.terminate();
      reject(error);
    };
    const stop = () => end(signal.reason as Error);
    const clock = setTimeout(() => end(tooMuch()), 1000 * seconds);
    signal.addEventListener('abort', stop, { once: true });
    worker.once('message', (answer: ThreadAnswer<T>) => {
      if ('result' in answer) resolve(answer.result);
      else if ('missing' in answer) reject(new NotFoundError(answer.missing));
      else reject(new InputError(answer.error.field, answer.error.message));
    });
    worker.once('error', (error: NodeJS.ErrnoException) => reject(error.code === 'ERR_WORKER_OUT_OF_MEMORY' ? tooMuch() : error));
    worker.once('exit', (code) => {
      clearTimeout(clock);
      signal.removeEventListener('abort', stop);
      reject(new Error(`thread ${name} ended with ${code} before it answered`));
    });
  });
}

function tooMuch(): RequestError {
  return new RequestError(413, 'This is more work than can be done in one go. Send something smaller or simpler.');
}
