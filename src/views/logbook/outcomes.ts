import type { LogEntry } from '../../store/log';

/** How something came out, as it is asked. */
export const OUTCOMES: readonly (readonly [LogEntry['outcome'], string])[] = [
  ['good', 'It came out well'],
  ['fair', 'It is passable'],
  ['poor', 'It went wrong'],
];
