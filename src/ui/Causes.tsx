import type { RankedCause } from '../core/techniques';
import { useUnits } from './units-context';

/** Why something went wrong and what helps, likeliest first. */
export default function Causes({ causes }: { causes: readonly RankedCause[] }) {
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
        </li>
      ))}
    </ol>
  );
}
