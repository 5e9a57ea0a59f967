import { useState } from 'react';
import type { AtEnd } from '../../core/seams';
import type { Mending } from '../../server/mend-seam';
import type { JudgedSeam } from '../../server/seam-work';
import { useUnits } from '../../ui/units-context';

interface Props {
  judged: JudgedSeam;
  busy: boolean;
  onMend: (mending: Mending) => void;
}

const ENDS: readonly (readonly [AtEnd, string])[] = [
  ['both', 'half at each end'],
  ['start', 'where it begins'],
  ['end', 'where it ends'],
];

/** One side made as long as the other, or both marked in quarters so that what is longer spreads evenly. */
export default function MendSeam({ judged, busy, onMend }: Props) {
  const units = useUnits();
  const [at, setAt] = useState<AtEnd>('both');
  const { first, second, compared } = judged;
  const by = Math.abs(compared?.difference ?? 0);
  const sides = [
    { side: 'first', own: first, other: second },
    { side: 'second', own: second, other: first },
  ] as const;
  return (
    <div className="mt-3 space-y-3 border-t border-base-300 pt-3">
      {by >= LEAST && (
        <>
          <fieldset>
            <legend className="font-semibold">The edge is changed</legend>
            <div className="join mt-1 flex-wrap">
              {ENDS.map(([id, words]) => (
                <input
                  key={id}
                  type="radio"
                  name={`mend-${judged.seam.id}`}
                  className="btn join-item"
                  aria-label={words}
                  checked={at === id}
                  onChange={() => setAt(id)}
                />
              ))}
            </div>
          </fieldset>
          <div className="flex flex-wrap gap-2">
            {sides.map(({ side, own, other }) => (
              <button
                key={side}
                type="button"
                className="btn"
                disabled={busy}
                onClick={() => onMend({ how: 'length', side, at })}
              >
                {own.length < other.length ? 'Lengthen' : 'Shorten'} {own.name} by {units.length(by)}
              </button>
            ))}
          </div>
          <p className="quiet">
            The corner moves along the edge, and the edge beside it goes with it: look at the seam there as well. What lies on the
            fold stays.
          </p>
        </>
      )}
      <button type="button" className="btn" disabled={busy} onClick={() => onMend({ how: 'quarters' })}>
        Mark both in quarters
      </button>
      <p className="quiet">Pinned mark to mark, what is longer spreads evenly.</p>
    </div>
  );
}

/** Edges that differ by less are alike on paper, mm. */
const LEAST = 0.2;
