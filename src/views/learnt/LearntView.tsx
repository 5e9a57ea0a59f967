import { Suspense, useState } from 'react';
import type { AllLearnt, Learnt } from '../../server/learnt';
import { fetched } from '../../ui/fetched';
import { call } from '../../ui/api';
import { counted, keepUnits, readableDate } from '../../ui/text';
import { attempt, undoToast } from '../../ui/undo-toast';
import { figureOf, LEARNT_WORDS, learntWords } from './learnt-words';

/** Charts come when one is opened: their library is large. */
const LearntChart = fetched(() => import('./LearntChart'));

const KINDS = ['hang', 'glue', 'carry', 'shrink', 'uptake', 'pace'] as const;

/** What the house knows better than the model, from which readings, and a way to forget it. */
export default function LearntView({ start }: { start: AllLearnt }) {
  const [all, setAll] = useState(start);
  const send = async (subject: string, forgotten: boolean) =>
    setAll(await call<AllLearnt>('POST', '/api/learnt', { subject, forgotten }));
  const forget = async ({ subject, title }: Learnt) => {
    const done = await attempt('That could not be forgotten', () => send(subject, true));
    if (done) undoToast(`Forgotten: ${title}. New readings count from here on.`, () => send(subject, false));
  };
  return (
    <>
      <p className="quiet">
        <a className="font-semibold text-primary underline underline-offset-2" href="/logbook">
          Logbook
        </a>{' '}
        · learnt
      </p>
      <h1 className="text-2xl font-bold">What the house has learnt</h1>
      <p className="quiet max-w-3xl">
        Every figure begins as an estimate. What you measured, sewed and timed corrects it, the more readings the further. The
        dashed line is the estimate, the full one what is reckoned with now.
      </p>
      {all.learnt.length === 0 && (
        <p className="sheet mt-4 p-5">
          Nothing yet. Measure the overhang of a finished piece when you file it, tick what a motif did, and finish runs at the
          bench: it shows here from the first reading on.
        </p>
      )}
      <div className="mt-4 space-y-6">
        {KINDS.map((kind) => {
          const own = all.learnt.filter((each) => each.kind === kind);
          return (
            own.length > 0 && (
              <section key={kind} aria-label={LEARNT_WORDS[kind]}>
                <h2 className="chalk-heading">{LEARNT_WORDS[kind]}</h2>
                <ul className="space-y-3">
                  {own.map((each) => (
                    <LearntRow key={each.subject} learnt={each} onForget={() => void forget(each)} />
                  ))}
                </ul>
              </section>
            )
          );
        })}
      </div>
      {all.forgotten.length > 0 && (
        <p className="mt-5">
          {counted(all.forgotten.length, 'figure')} forgotten up to some day.{' '}
          <button
            type="button"
            className="btn"
            onClick={() =>
              void attempt('That could not be taken back', async () => {
                for (const subject of all.forgotten) await send(subject, false);
              })
            }
          >
            Let all readings count again
          </button>
        </p>
      )}
    </>
  );
}

function LearntRow({ learnt, onForget }: { learnt: Learnt; onForget: () => void }) {
  const [open, setOpen] = useState(false);
  const { kind, title, detail, readings, testOf } = learnt;
  const words = keepUnits(learntWords(learnt));
  return (
    <li className="sheet p-4">
      <div className="flex flex-wrap items-start justify-between gap-x-4 gap-y-2">
        <div className="min-w-0 flex-1">
          <h3 className="leading-snug font-bold">{title}</h3>
          <p className="quiet">{keepUnits(detail)}</p>
          <p className="text-lg">{words}</p>
        </div>
        <div className="flex flex-wrap gap-2">
          <button type="button" className="btn" aria-expanded={open} onClick={() => setOpen(!open)}>
            {open ? 'Close' : 'From which readings?'}
          </button>
          {testOf ? (
            <a className="btn" href={`/cupboard/cloths/${testOf}`} aria-label={`Its home tests: ${title}`}>
              Its home tests
            </a>
          ) : (
            <button type="button" className="btn" aria-label={`Forget it: ${title}, ${LEARNT_WORDS[kind]}`} onClick={onForget}>
              Forget it
            </button>
          )}
        </div>
      </div>
      {open && (
        <div className="mt-3 grid gap-4 border-t border-base-300 pt-3 lg:grid-cols-[1fr_20rem]">
          <Suspense fallback={<p className="quiet">The chart is coming …</p>}>
            <LearntChart learnt={learnt} label={`${title}: ${words} The list beside it has the readings.`} />
          </Suspense>
          <ol className="max-h-72 space-y-1 overflow-y-auto" tabIndex={0} aria-label="Readings">
            {readings.map(({ on, value, held }, i) => (
              <li key={i}>
                {readableDate(on)}: {figureOf(kind, value)}
                {held !== undefined && (held ? ', lay flat' : ', did not lie flat')}
              </li>
            ))}
          </ol>
        </div>
      )}
    </li>
  );
}
