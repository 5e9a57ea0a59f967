import type { RankedCause } from '../core/techniques';
import { useUnits } from './units-context';

interface Props {
  causes: readonly RankedCause[];
  /** Those that were found to be it, by id; and what is done when one is, or is not after all. */
  found?: readonly string[];
  onFound?: (id: string, on: boolean) => void;
}

/** Why something went wrong and what helps, likeliest first. */
export default function Causes({ causes, found = [], onFound }: Props) {
  const { said } = useUnits();
  return (
    <ol className="space-y-3">
      {causes.map(({ id, why, because, now, next, avoidedBy }) => (
        <li key={id}>
          <p className="font-semibold">
            {said(why)}
            {because && <span className="block border-l-4 border-accent pl-2 font-normal">This run: {because}.</span>}
          </p>
          <dl className="mt-1 grid grid-cols-[auto_1fr] gap-x-3 gap-y-0.5">
            <dt className="quiet">Now</dt>
            <dd>{said(now)}</dd>
            <dt className="quiet">Next time</dt>
            <dd>{said(next)}</dd>
            <dt className="quiet">Avoided by</dt>
            <dd>{said(avoidedBy)}</dd>
          </dl>
          {onFound && (
            <button
              type="button"
              className={`btn mt-1 ${found.includes(id) ? 'btn-primary' : 'btn-outline'}`}
              aria-pressed={found.includes(id)}
              aria-label={`It was this: ${why}`}
              onClick={() => onFound(id, !found.includes(id))}
            >
              It was this
            </button>
          )}
        </li>
      ))}
    </ol>
  );
}
