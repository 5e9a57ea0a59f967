import { useEffect, useState } from 'react';
import type { Choice, RuledOutStack } from '../../core/choose';
import { call } from '../../ui/api';

/** Time after the last letter before the server is asked, ms. */
const SEARCH_AFTER = 250;

/**
 * Refused layers that are searched: of a large cupboard an answer only holds some, and the server looks through the others.
 *
 * @param ask the question as it was asked @param choice its answer
 */
export function useRefused(ask: object, choice: Choice) {
  const [find, setFind] = useState('');
  const [found, setFound] = useState<{ of: Choice; find: string; ruledOut: RuledOutStack[] }>();
  const total = choice.ruledOutGroups.reduce((sum, { count }) => sum + count, 0);
  const partial = choice.ruledOut.length < total;
  const words = find.trim();
  const question = JSON.stringify(ask);
  useEffect(() => {
    if (!partial || words === '') return undefined;
    const abort = new AbortController();
    const timer = setTimeout(() => {
      call<Choice>('POST', '/api/choose', { ...(JSON.parse(question) as object), limit: 1, find: words }, abort.signal)
        .then((answer) => setFound({ of: choice, find: words, ruledOut: answer.ruledOut }))
        // The list stays as it is; the answers above it tell when the server is away.
        .catch(() => undefined);
    }, SEARCH_AFTER);
    return () => {
      clearTimeout(timer);
      abort.abort();
    };
  }, [partial, words, question, choice]);
  const here = partial && words !== '' && found?.of === choice && found.find === words ? found.ruledOut : choice.ruledOut;
  return { find, setFind, shown: { ruledOut: here, ruledOutGroups: choice.ruledOutGroups } };
}
