import { Lightbulb } from 'lucide-react';
import { Suspense, useEffect, useState } from 'react';
import { fetched } from '../../ui/fetched';
import { useRemoval } from '../../ui/use-removal';
import { counted, keepUnits, readableDate, today } from '../../ui/text';
import type { DueWash } from '../../server/washes-due';
import type { LengthSystem } from '../../core/units';
import Pager from '../../ui/Pager';
import { UnitsProvider } from '../../ui/units-context';
import LogRow, { OUTCOME_WORDS } from './LogRow';
import { usePage, type Page } from '../../ui/use-page';
import type { ListedEntry } from '../../store/lists';
import type { LogEntry, MeasuredPair } from '../../store/log';

/** Charts come after the entries: their library is large. */
const PredictionChart = fetched(() => import('./PredictionChart'));
/** The form comes when it is opened. */
const EditEntry = fetched(() => import('./EditEntry'));

/** Everything that was filed, newest first, with what was expected against what was measured. */
export default function LogbookView({
  start,
  due,
  measured,
  units,
  projects,
  startProject,
  startSearch,
}: {
  /** Scraps whose wash is still to be looked at, earliest first. */
  due: DueWash[];
  start: Page<ListedEntry>;
  units: LengthSystem;
  /** Projects by which it can be searched. */
  projects: { id: string; name: string }[];
  /** The project that is looked at to begin with; empty for all. */
  startProject: string;
  /** What is looked for to begin with. */
  startSearch: string;
  measured: { pairs: MeasuredPair[]; total: number; inside: number };
}) {
  const [search, setSearch] = useState(startSearch);
  const [outcome, setOutcome] = useState<LogEntry['outcome'] | 'all'>('all');
  const [project, setProject] = useState(startProject);
  const [editing, setEditing] = useState<ListedEntry>();
  const list = usePage('/api/log', start, { search, outcome: outcome === 'all' ? '' : outcome, project });
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
  if (start.total === 0 && shown.length === 0 && startSearch === '') {
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
    <UnitsProvider value={units}>
      {editing && (
        <Suspense>
          <EditEntry entry={editing} onSaved={list.put} onClose={() => setEditing(undefined)} />
        </Suspense>
      )}
      <div className="flex flex-wrap items-end justify-between gap-4">
        <div className="flex flex-wrap items-center gap-4">
          <h1 className="text-2xl font-bold">Logbook</h1>
          <a className="btn" href="/logbook/learnt">
            <Lightbulb size={18} aria-hidden="true" /> What it has taught
          </a>
        </div>
        <div className="flex flex-wrap items-end gap-3">
          <label className="font-semibold">
            Outcome
            <select className="select w-48" value={outcome} onChange={(e) => setOutcome(e.target.value as typeof outcome)}>
              <option value="all">every outcome</option>
              {Object.entries(OUTCOME_WORDS).map(([key, { words }]) => (
                <option key={key} value={key}>
                  {words}
                </option>
              ))}
            </select>
          </label>
          {projects.length > 0 && (
            <label className="font-semibold">
              Project
              <select className="select w-56" value={project} onChange={(e) => setProject(e.target.value)}>
                <option value="">every project</option>
                {projects.map(({ id, name }) => (
                  <option key={id} value={id}>
                    {name}
                  </option>
                ))}
              </select>
            </label>
          )}
          <label className="font-semibold">
            Search
            <input
              type="search"
              className="input w-64"
              value={search}
              placeholder="cloth, layer, project …"
              onChange={(e) => setSearch(e.target.value)}
            />
          </label>
        </div>
      </div>
      {due.length > 0 && (
        <section className="mt-4 rounded-box border-2 border-accent p-3" aria-label="After the wash">
          <h2 className="chalk-heading">After the wash</h2>
          <ul className="space-y-1">
            {due.map(({ id, title, clothName, washDue, href, kind }) => (
              <li key={id} className="flex min-h-[44px] flex-wrap items-center justify-between gap-x-3">
                <span>
                  <strong>{washDue <= today() ? `due since ${readableDate(washDue)}` : readableDate(washDue)}:</strong>{' '}
                  {keepUnits(title)}
                  {kind === 'scrap' && ` on ${clothName}`}
                </span>
                <a className="btn" href={href}>
                  {kind === 'scrap' ? 'Look at the scrap' : 'Look at the motif'}
                </a>
              </li>
            ))}
          </ul>
        </section>
      )}
      <div className="mt-4 grid items-start gap-5 lg:grid-cols-[1fr_24rem]">
        <ol className="space-y-2">
          {shown.map((entry) => (
            <LogRow key={entry.id} entry={entry} onEdit={() => setEditing(entry)} onRemove={() => remove(entry)} />
          ))}
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
    </UnitsProvider>
  );
}
