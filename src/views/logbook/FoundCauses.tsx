import { causeOf } from '../../core/techniques';
import { useUnits } from '../../ui/units-context';

/** What was found to be the cause where something went wrong, and what is done otherwise next time. */
export default function FoundCauses({ causes }: { causes: readonly string[] }) {
  const { said } = useUnits();
  const known = causes.flatMap((found) => causeOf(found) ?? []);
  if (known.length === 0) return null;
  return (
    <ul className="text-[0.95rem]">
      {known.map(({ id, why, next }) => (
        <li key={id}>
          {said(why)} <span className="quiet">Next time: {said(next)}</span>
        </li>
      ))}
    </ul>
  );
}
