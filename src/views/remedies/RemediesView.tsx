import { useEffect, useState } from 'react';
import { SEEN_TROUBLES } from '../../core/techniques';
import Causes from '../../ui/Causes';
import { counted } from '../../ui/text';
import type { LengthSystem } from '../../core/units';
import { UnitsProvider } from '../../ui/units-context';
import { troublesFor } from './find-troubles';

/** What can go wrong, found by what one sees; causes, what to do now, what to do otherwise. */
export default function RemediesView({ start, units }: { start: string; units: LengthSystem }) {
  const [words, setWords] = useState(start);
  const found = troublesFor(words);
  useEffect(() => {
    history.replaceState(null, '', words.trim() ? `/remedies?see=${encodeURIComponent(words.trim())}` : '/remedies');
  }, [words]);
  return (
    <UnitsProvider value={units}>
      <h1 className="text-2xl font-bold">Remedies</h1>
      <p className="quiet">
        What do you see? The leaflets of your materials and your machine’s manual go before what is said here.
      </p>
      <label className="mt-3 block max-w-xl">
        <span className="sr-only">What you see</span>
        <input
          type="search"
          className="input w-full"
          placeholder="bubbles, peeling, puckers, stiff …"
          value={words}
          onChange={(event) => setWords(event.target.value)}
        />
      </label>
      <p className="quiet mt-2" role="status">
        {found.length === SEEN_TROUBLES.length ? '' : `${counted(found.length, 'trouble')} with these words`}
      </p>
      {found.length === 0 ? (
        <p className="mt-3">
          Nothing is known by these words. Say what it looks like: bubbles, lifts, ridge, dent, rolls …{' '}
          <button type="button" className="btn" onClick={() => setWords('')}>
            Show all
          </button>
        </p>
      ) : (
        <div className="mt-3 grid items-start gap-3 lg:grid-cols-2">
          {found.map(({ id, seen, causes }) => (
            <details key={id} id={id} className="sheet" open={found.length <= 3}>
              <summary className="min-h-[44px] cursor-pointer px-4 py-2.5 text-lg font-semibold">{seen}</summary>
              <div className="px-4 pb-4">
                <Causes causes={causes} />
              </div>
            </details>
          ))}
        </div>
      )}
    </UnitsProvider>
  );
}
