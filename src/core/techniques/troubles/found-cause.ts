import { SEEN_TROUBLES } from './all';
import type { Cause, Trouble } from './trouble';

/**
 * A cause as a run and the logbook keep it: that of one trouble.
 *
 * @example causeId(SEEN_TROUBLES[0], SEEN_TROUBLES[0].causes[1]) // 'lifts/moved-warm'
 */
export function causeId({ id }: Pick<Trouble, 'id'>, cause: Pick<Cause, 'id'>): string {
  return `${id}/${cause.id}`;
}

/**
 * What was found to be the cause of a trouble.
 *
 * @param found as {@link causeId} gives it @returns undefined where it is none that is known here
 * @example causeOf('lifts/moved-warm').why // 'It was moved or lifted while it was warm.'
 */
export function causeOf(found: string): Cause | undefined {
  const [trouble, cause] = found.split('/');
  return SEEN_TROUBLES.find(({ id }) => id === trouble)?.causes.find(({ id }) => id === cause);
}

/**
 * Whether what went wrong says something of cloth and layers: it does unless all that was found lies with how it was done that time.
 *
 * @example speaksOfStack(['lifts/moved-warm']) // false
 */
export function speaksOfStack(found: readonly string[]): boolean {
  const causes = found.flatMap((each) => causeOf(each) ?? []);
  return causes.length === 0 || causes.some(({ blames }) => blames === 'stack');
}
