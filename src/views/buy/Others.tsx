import { shortOf } from '../../core/liquid';
import type { OtherNeeds } from '../../server/other-needs';
import { useUnits } from '../../ui/units-context';

/** Rounded as a bottle is read. */
const bottle = (ml: number): string => `${ml < 100 ? Math.ceil(ml / 5) * 5 : Math.ceil(ml / 10) * 10} ml`;

/** What is needed besides cloth and layers: notions that are not there yet, liquids, glue. */
export default function Others({ others: { notions, liquids, glue, thread } }: { others: OtherNeeds }) {
  const units = useUnits();
  if (notions.length === 0 && liquids.length === 0 && glue === 0 && thread === 0) return null;
  return (
    <section className="sheet p-4" aria-label="Besides">
      <h2 className="chalk-heading">Besides</h2>
      <ul className="mt-1 space-y-1">
        {notions.map(({ name, count, project }) => (
          <li key={`${project} ${name}`}>
            <strong>
              {count} × {name}
            </strong>{' '}
            <span className="quiet">for {project}</span>
          </li>
        ))}
        {liquids.map(({ name, millilitres, bottle: own }) => {
          const short = shortOf(own, millilitres);
          return (
            <li key={name}>
              <strong>{bottle(millilitres)}</strong> of {name}
              {short !== undefined && (
                <span className="quiet">
                  {short > 0 ? `; ${bottle(own.left!)} are left: buy ${bottle(short)}` : `; the bottle holds enough`}
                </span>
              )}
            </li>
          );
        })}
        {glue > 0 && (
          <li>
            <strong>{Math.max(5, Math.ceil(glue / 5) * 5)} g</strong> of temporary spray glue
          </li>
        )}
        {thread > 0 && (
          <li>
            <strong>{units.length(Math.ceil(thread / 1000) * 1000)}</strong> of thread for basting and catching
          </li>
        )}
      </ul>
      {liquids.length > 0 && (
        <p className="quiet mt-1 text-[0.95rem]">
          Liquids a third more or less; what is left in a bottle is told on{' '}
          <a className="text-primary underline" href="/wet">
            Sprays, starch and soaking
          </a>
          .
        </p>
      )}
    </section>
  );
}
