import { inThread } from './threads/in-thread';
import type { Computed } from './threads/compute.thread';

/** Longer than this nothing is computed for one request, s. */
const SECONDS = 20;

/**
 * Computes something beside the server, which goes on answering others meanwhile.
 *
 * @throws {InputError} as the computation itself @throws {RequestError} when it takes more time or memory than it may
 */
export function computed<K extends keyof Computed>(
  what: K,
  data: Parameters<Computed[K]>[0],
  signal: AbortSignal,
): Promise<Awaited<ReturnType<Computed[K]>>> {
  return inThread('compute', { what, data }, { signal, seconds: SECONDS });
}
