import { parentPort, workerData } from 'node:worker_threads';
import { InputError } from '../../core/input-error';
import { NotFoundError } from '../../store/errors';

/** What a thread of the server answers: the result, or what was wrong with the question. */
export type ThreadAnswer<T> = { result: T } | { error: { field: string; message: string } } | { missing: string };

/** Does the work of a thread on the data that it was started with, and sends the answer. */
export async function answer<D, T>(work: (data: D) => T | Promise<T>): Promise<void> {
  let message: ThreadAnswer<T>;
  try {
    message = { result: await work(workerData as D) };
  } catch (error) {
    if (error instanceof NotFoundError) message = { missing: error.thing };
    else if (!(error instanceof InputError)) throw error;
    else message = { error: { field: error.field, message: error.message.slice(error.field.length + 2) } };
  }
  parentPort!.postMessage(message);
}
