import { useState } from 'react';
import type { Choice } from '../../core/choose';
import { useAsked, useRested } from '../../ui/query';

/** Time after the last letter before the server is asked, ms. */
const SEARCH_AFTER = 250;

/**
 * Refused layers that are searched: of a large cupboard an answer only holds some, and the server looks through the others.
 *
 * @param ask the question as it was asked @param choice its answer
 */
export function useRefused(ask: object, choice: Choice) {
  const [find, setFind] = useState('');
  const total = choice.ruledOutGroups.reduce((sum, { count }) => sum + count, 0);
  const partial = choice.ruledOut.length < total;
  const words = useRested(find.trim(), SEARCH_AFTER);
  // The list stays as it is when nobody answers; the answers above it tell when the server is away.
  const { answer, current } = useAsked<Choice>(partial && words !== '' ? '/api/choose' : undefined, {
    ...ask,
    limit: 1,
    find: words,
  });
  const here = answer && current && partial && words !== '' ? answer.ruledOut : choice.ruledOut;
  return { find, setFind, shown: { ruledOut: here, ruledOutGroups: choice.ruledOutGroups } };
}
