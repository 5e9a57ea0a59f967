import { useFits } from './use-fits';

/** What open projects could cut from a piece of the cupboard, as it was kept last. */
export default function FitsOn({ stockId }: { stockId: string }) {
  const { found, busy, error, look } = useFits(stockId);
  return (
    <section className="mt-4 space-y-2 border-t border-base-300 pt-3" aria-label="What still fits on it">
      <div className="flex flex-wrap items-center gap-3">
        <button type="button" className="btn" disabled={busy} onClick={look}>
          {busy ? 'Laying …' : 'What still fits on it?'}
        </button>
        <span className="quiet">Of what waits in open projects, each piece by itself.</span>
      </div>
      {error && (
        <p role="alert" className="font-semibold text-error">
          {error}
        </p>
      )}
      <div role="status">
        {found && (
          <ul className="space-y-1">
            {found.map(({ projectId, project, name, fits, of }, i) => (
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
            {!busy && !error && found.length === 0 && <li>Nothing that waits fits on it.</li>}
          </ul>
        )}
      </div>
    </section>
  );
}
