import type { Cause, Evidence, Trouble } from './trouble';

/** A cause with what the run knows that speaks for it, in words; none where nothing does. */
export interface RankedCause extends Cause {
  because?: string;
}

/**
 * The causes of a trouble, those for which the run has evidence first, otherwise in their usual order.
 *
 * @param known what the run knows, by kind of evidence, in words
 * @example rankCauses(SEEN_TROUBLES[0], new Map([['not-cooled', 'lifted after 2 of 12 minutes']]))[0].id // 'moved-warm'
 */
export function rankCauses({ causes }: Trouble, known: ReadonlyMap<Evidence, string>): RankedCause[] {
  const told = causes.map((cause): RankedCause => {
    const because = cause.evidence && known.get(cause.evidence);
    return because === undefined ? { ...cause } : { ...cause, because };
  });
  return [...told.filter(({ because }) => because !== undefined), ...told.filter(({ because }) => because === undefined)];
}
