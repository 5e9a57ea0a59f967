import { Trash2 } from 'lucide-react';
import { lazy, Suspense, useEffect, useState } from 'react';
import { useRemoval } from '../../ui/use-removal';
import PredictedMeasured from '../../ui/PredictedMeasured';
import { counted, keepUnits, readableDate, today } from '../../ui/text';
import Pager from '../../ui/Pager';
import { usePage, type Page } from '../../ui/use-page';
import type { ListedEntry } from '../../store/lists';
import type { LogEntry, MeasuredPair } from '../../store/log';

/** Charts come after the entries: their library is large. */
const PredictionChart = lazy(() => import('./PredictionChart'));

const OUTCOMES: Record<LogEntry['outcome'], { words: string; badge: string; mark: string }> = {
  good: { words: 'came out well', badge: 'badge-success', mark: '●' },
  fair: { words: 'passable', badge: 'badge-accent', mark: '◐' },
  poor: { words: 'went wrong', badge: 'badge-error', mark: '○' },
};

/** Everything that was filed, newest first, with what was expected against what was measured. */
export default function LogbookView({
  start,
  due,
  measured,
}: {
  /** Scraps whose wash is still to be looked at, earliest first. */
  due: { id: string; title: string; clothName: string; washDue: string; href: string }[];
  start: Page<ListedEntry>;
  measured: { pairs: MeasuredPair[]; total: number; inside: number };
}) {
  const [search, setSearch] = useState('');
  const [outcome, setOutcome] = useState<LogEntry['outcome'] | 'all'>('all');
  const list = usePage('/api/log', start, { search, outcome: outcome === 'all' ? '' : outcome });
  const shown = list.rows;
  const remove = useRemoval<ListedEntry>({
    address: ({ id }) => `/api/log/${id}`,
    gone: ({ title }) => `“${title}” is taken out of the logbook.`,
    failed: () => 'The entry could not be taken out',
    drop: ({ id }) => list.drop(id),
    // It goes back to its day.
    put: () => void list.refresh(),
  });
  // Drawn here only: what the server streams in later would need a script within the document.
  const [drawn, setDrawn] = useState(false);
  useEffect(() => setDrawn(true), []);
  if (start.total === 0 && shown.length === 0) {
    return (
      <>
        <h1 className="text-2xl font-bold">Logbook</h1>
        <div className="sheet mt-5 max-w-2xl p-6">
          <h2 className="chalk-heading">Nothing filed yet</h2>
          <p className="mt-1">
            When a piece is done at the bench, file how it came out. An overhang reading of the finished piece shows how good the
            prediction was.
          </p>
          <a className="btn btn-primary mt-4" href="/projects">
            To the projects
          </a>
        </div>
      </>
    );
  }
  return (
    <>
      <div className="flex flex-wrap items-end justify-between gap-4">
        <h1 className="text-2xl font-bold">Logbook</h1>
        <div className="flex flex-wrap items-end gap-3">
          <label className="font-semibold">
            Outcome
            <select className="select w-48" value={outcome} onChange={(e) => setOutcome(e.target.value as typeof outcome)}>
              <option value="all">every outcome</option>
              {Object.entries(OUTCOMES).map(([key, { words }]) => (
                <option key={key} value={key}>
                  {words}
                </option>
              ))}
            </select>
          </label>
          <label className="font-semibold">
            Search
            <input
              type="search"
              className="input w-64"
              value={search}
              placeholder="cloth, layer, note …"
              onChange={(e) => setSearch(e.target.value)}
            />
          </label>
        </div>
      </div>
      {due.length > 0 && (
        <section className="mt-4 rounded-box border-2 border-accent p-3" aria-label="After the wash">
          <h2 className="chalk-heading">After the wash</h2>
          <ul>
            {due.map(({ id, title, clothName, washDue, href }) => (
              <li key={id} className="flex min-h-[44px] flex-wrap items-center justify-between gap-x-3">
                <span>
                  <strong>{washDue <= today() ? `due since ${readableDate(washDue)}` : readableDate(washDue)}:</strong>{' '}
                  {keepUnits(title)} on {clothName}
                </span>
                <a className="btn" href={href}>
                  Look at the scrap
                </a>
              </li>
            ))}
          </ul>
        </section>
      )}
      <div className="mt-4 grid items-start gap-5 lg:grid-cols-[1fr_24rem]">
        <ol className="space-y-2">
          {shown.map((entry) => {
            const { project } = entry;
            const words = OUTCOMES[entry.outcome];
            return (
              <li key={entry.id} className="sheet grid gap-x-4 gap-y-1 p-3 md:grid-cols-[1fr_13rem_44px]">
                <div className="min-w-0">
                  <p className="flex flex-wrap items-center gap-x-3">
                    <span className="font-bold">{entry.title}</span>
                    <span className={`badge ${words.badge}`}>
                      <span aria-hidden="true">{words.mark}</span> {words.words}
                    </span>
                    <span className="quiet text-[0.92rem]">
                      {readableDate(entry.doneOn)}
                      {entry.kind === 'scrap' ? ', scrap test' : ''}
                    </span>
                  </p>
                  <p>
                    {keepUnits(entry.stackTitle)} on {entry.clothName}
                    {project && (
                      <>
                        {', in '}
                        <a
                          className="font-semibold text-primary underline underline-offset-2"
                          href={`/projects/${project.id}?job=${entry.jobId}&stage=file`}
                        >
                          {project.name}
                        </a>
                      </>
                    )}
                  </p>
                  {entry.checks.failed.length > 0 && (
                    <p className="text-[0.95rem]">Not ticked: {entry.checks.failed.join('; ')}</p>
                  )}
                  {entry.note && <p className="quiet text-[0.95rem]">{entry.note}</p>}
                </div>
                {entry.predictedBendingLength !== null ? (
                  <PredictedMeasured
                    predicted={entry.predictedBendingLength}
                    low={entry.predictedLow!}
                    high={entry.predictedHigh!}
                    measured={entry.measuredBendingLength}
                  />
                ) : (
                  <span />
                )}
                <button
                  type="button"
                  className="btn btn-ghost btn-icon"
                  aria-label={`Take ${entry.title} of ${readableDate(entry.doneOn)} out`}
                  onClick={() => remove(entry)}
                >
                  <Trash2 size={18} aria-hidden="true" />
                </button>
              </li>
            );
          })}
          {shown.length === 0 && <li className="py-4">Nothing filed has all of those words.</li>}
          <li>
            <Pager
              page={list.page}
              pages={list.pages}
              words={counted(list.total, 'entry', 'entries')}
              busy={list.busy}
              onGo={list.go}
            />
          </li>
        </ol>
        {measured.total > 0 && (
          <aside className="sheet min-w-0 p-4" aria-label="Expected against measured">
            <h2 className="chalk-heading">How good the predictions were</h2>
            <p className="mt-1 text-[0.95rem]">
              {measured.inside} of {counted(measured.total, 'reading')} fell inside the expected range; four out of five should.
            </p>
            {drawn ? (
              <Suspense fallback={<div className="h-72" />}>
                <PredictionChart pairs={measured.pairs} />
              </Suspense>
            ) : (
              <div className="h-72" />
            )}
            <p className="quiet text-[0.92rem]">
              Bending length in mm. On the line, the reading was as expected; above it the piece came out stiffer.
            </p>
          </aside>
        )}
      </div>
    </>
  );
}
