import { useFits, type Fitting } from './use-fits';

interface Props {
  /** Pieces of the cupboard. */
  pieces: readonly { id: string; name: string }[];
  /** These are all that there are: what is found stands under the name of each. */
  all?: boolean;
}

/** What open projects could cut from pieces of the cupboard, as they were kept last. */
export default function FitsOn({ pieces, all = false }: Props) {
  const { found, busy, error, look } = useFits(pieces.map(({ id }) => id));
  const asked = all ? 'What still fits on the leftovers?' : 'What still fits on it?';
  return (
    <section className="mt-4 space-y-2 border-t border-base-300 pt-3" aria-label={asked.slice(0, -1)}>
      <div className="flex flex-wrap items-center gap-3">
        <button type="button" className="btn" disabled={busy} onClick={look}>
          {busy ? 'Laying …' : asked}
        </button>
        <span className="quiet">Of what waits in open projects, each piece by itself.</span>
      </div>
      {error && (
        <p role="alert" className="font-semibold text-error">
          {error}
        </p>
      )}
      <div role="status" className="space-y-3">
        {found &&
          pieces.map(({ id, name }) => {
            const own = found.filter(({ stockId }) => stockId === id);
            if (own.length === 0) return null;
            return (
              <div key={id}>
                {all && <h3 className="font-bold">{name}</h3>}
                <Fittings of={own} />
              </div>
            );
          })}
        {found && !busy && !error && found.length === 0 && (
          <p>{all ? 'Nothing that waits fits on any of them.' : 'Nothing that waits fits on it.'}</p>
        )}
      </div>
    </section>
  );
}

function Fittings({ of: fittings }: { of: readonly Fitting[] }) {
  return (
    <ul className="space-y-1">
      {fittings.map(({ projectId, project, name, fits, of }, i) => (
        <li key={i}>
          <strong className="tabular-nums">
            {fits} of {of}
          </strong>{' '}
          {name},{' '}
          <a className="text-primary underline underline-offset-4" href={`/projects/${projectId}?stage=cut`}>
            {project}
          </a>
        </li>
      ))}
    </ul>
  );
}
