import { CalendarDays, Printer, RotateCcw } from 'lucide-react';
import { useMemo } from 'react';
import { MOST_PLANNED } from '../../core/hoop';
import { PACE_WORDS, PACES, type Paces } from '../../core/learn';
import { stillPlanned, type DayPlan, type DayRun, type DayTask, type DayWishes } from '../../core/schedule';
import { useAsked } from '../../ui/query';
import { SelectField } from '../../ui/form/form-fields';
import { counted, keepUnits } from '../../ui/text';
import type { BenchBoard } from '../../server/bench-board';
import type { OpenSet } from '../../server/hooping-sets';
import type { KeptDayPlan } from '../../store/day-plan';
import { useDayPlan } from './use-day-plan';
import { useEvenings } from './use-evenings';
import EveningPlan from './EveningPlan';

type Count = '1' | '2' | '3';

const EVENINGS: [string, string][] = [
  ['0', 'in one go'],
  ['60', 'evenings of an hour'],
  ['90', 'evenings of an hour and a half'],
  ['120', 'evenings of two hours'],
  ['180', 'evenings of three hours'],
];
const AIMS: [NonNullable<DayPlan['aim']>, string][] = [
  ['shortest', 'in the shortest time'],
  ['fewer-changes', 'with fewer changes'],
  ['board-free', 'with the board free soon'],
];
const COUNTS: [Count, string][] = [
  ['1', 'one'],
  ['2', 'two'],
  ['3', 'three'],
];

/** Minutes after midnight of `19:05`; six in the evening when it cannot be read. */
function minutesOf(from: string): number {
  const match = /^(\d{1,2}):(\d{2})$/.exec(from);
  return match ? Number(match[1]) * 60 + Number(match[2]) : 18 * 60;
}

/** One touch makes a task so much later, minutes. */
const LATE_BY = 5;

/** Before the first answer. */
const NONE: DayRun[] = [];

/** Which list of the plan a thing stands in. */
type PlannedField = 'jobIds' | 'runIds' | 'hoopingIds';

interface Props {
  board: BenchBoard;
  /** Motifs in the hoop that are not all sewn. */
  sets: OpenSet[];
  kept: KeptDayPlan;
  /** How fast this person works, by the runs that were finished. */
  paces: Paces;
}

/** What is known of the person's own pace, in a sentence. */
function ownWords(paces: Paces): string {
  const known = PACES.filter((pace) => paces[pace].times > 0);
  if (known.length === 0) return 'Runs that you finish at the bench correct these times.';
  return `By your own runs: ${known.map((pace) => `${PACE_WORDS[pace]} ${Math.round(100 * paces[pace].factor)} % (${counted(paces[pace].times, 'time')})`).join(', ')} of that.`;
}

/** The working day: which runs, in which order, what goes alongside, until when. */
export default function DayView({ board, sets, kept, paces }: Props) {
  const begun = useMemo(() => board.runs.filter(({ scrap }) => !scrap).map(({ id }) => id), [board]);
  const plan = useDayPlan(kept, begun);
  const { jobIds, runIds, hoopingIds, people, irons, evening, aim = 'shortest', from, done: ticked, late: lateness } = plan.now;
  const ready = useMemo(() => board.ready.flatMap(({ project, jobs }) => jobs.map((job) => ({ ...job, project }))), [board]);
  // What was chosen before may be begun, filed or deleted by now.
  const still = useMemo(
    () =>
      stillPlanned(
        { jobIds, runIds, hoopingIds },
        { runs: board.runs, readyIds: ready.map(({ id }) => id), hoopingIds: sets.map(({ id }) => id) },
      ),
    [jobIds, runIds, hoopingIds, board, ready, sets],
  );
  const { answer, error } = useAsked<{ runs: DayRun[] }>('/api/day', {
    ...still,
  });
  const runs = answer?.runs ?? NONE;
  const { planning, trouble, ...planned } = useEvenings(runs, { done: ticked, late: lateness }, { people, irons, evening, aim });
  const evenings = planned.evenings ?? [];
  const start = minutesOf(from);
  const toggle = (field: PlannedField, id: string) => {
    const none = { jobIds: [], runIds: [], hoopingIds: [] };
    if (!still[field].includes(id)) return plan.make({ kind: 'add', ...none, [field]: [id] });
    // A run may be planned through a job that was begun in it.
    const jobsOf = field === 'runIds' ? (board.runs.find((run) => run.id === id)?.jobIds ?? []) : [];
    plan.make({ kind: 'leave-out', ...none, jobIds: jobsOf, [field]: [id] });
  };
  const set = (wishes: Partial<DayWishes>) => plan.make({ kind: 'wish', wishes });
  const saveCalendar = async () => {
    const { writeCalendar } = await import('../../formats/ics/calendar');
    const today = new Date();
    const entries = evenings.flatMap(({ tasks, plan: own }, i) =>
      own.starts.flatMap(({ id, start: at, end }) => {
        const task = tasks.find((each) => each.id === id) as DayTask;
        if (!task.hands) return [];
        const when = new Date(today.getFullYear(), today.getMonth(), today.getDate() + i, 0, Math.round(start + at));
        return [{ uid: `${id.replace(/[^\w-]/g, '-')}@nembrel`, title: task.title, start: when, minutes: end - at }];
      }),
    );
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([writeCalendar(entries)], { type: 'text/calendar' }));
    link.download = 'order-of-work.ics';
    link.click();
    URL.revokeObjectURL(link.href);
  };
  const choice = (field: PlannedField, id: string, name: string, more: string) => (
    <li key={id}>
      <label className="flex min-h-[48px] cursor-pointer items-center gap-3">
        <input
          type="checkbox"
          className="checkbox checkbox-primary"
          checked={still[field].includes(id)}
          onChange={() => toggle(field, id)}
        />
        <span className="leading-snug">
          <strong>{name}</strong>
          <span className="quiet block text-[0.92rem]">{more}</span>
        </span>
      </label>
    </li>
  );
  return (
    <>
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-2xl font-bold">The working day</h1>
        <p className="no-print flex flex-wrap gap-2">
          <button type="button" className="btn" disabled={evenings.length === 0} onClick={() => void saveCalendar()}>
            <CalendarDays size={18} aria-hidden="true" /> Calendar file
          </button>
          <button type="button" className="btn" disabled={evenings.length === 0} onClick={() => print()}>
            <Printer size={18} aria-hidden="true" /> Print the order of work
          </button>
        </p>
      </div>
      <div className="mt-3 grid items-start gap-5 lg:grid-cols-[19rem_1fr]">
        <section className="sheet no-print space-y-3 p-4" aria-label="What is worked">
          <div className="grid grid-cols-2 gap-3">
            <label className="font-semibold">
              From
              <input
                type="time"
                className="input mt-1 w-full"
                value={from}
                onChange={(event) => event.target.value && set({ from: event.target.value })}
              />
            </label>
            <SelectField
              label="People"
              value={`${people}` as Count}
              options={COUNTS}
              onChange={(count) => set({ people: Number(count) })}
            />
          </div>
          <SelectField
            label="Fit it into"
            value={`${evening}`}
            options={EVENINGS}
            onChange={(next) => set({ evening: Number(next) })}
          />
          <SelectField label="Worked" value={aim} options={AIMS} onChange={(next) => set({ aim: next })} />
          <SelectField
            label="Irons"
            value={`${irons}` as Count}
            options={COUNTS}
            onChange={(count) => set({ irons: Number(count) })}
          />
          {board.runs.some(({ scrap }) => !scrap) && (
            <>
              <h2 className="chalk-heading">Open at the bench</h2>
              <ul>
                {board.runs
                  .filter(({ scrap }) => !scrap)
                  .map(({ id, name, project, step, steps }) =>
                    choice('runIds', id, name, `${project}, from step ${step} of ${steps}`),
                  )}
              </ul>
            </>
          )}
          {sets.length > 0 && (
            <>
              <h2 className="chalk-heading">In the hoop</h2>
              <ul>
                {sets.map(({ id, name, left, count }) =>
                  choice(
                    'hoopingIds',
                    id,
                    name,
                    `${left} of ${counted(count, 'piece')} to sew${left > MOST_PLANNED ? `, the next ${MOST_PLANNED} are planned` : ''}`,
                  ),
                )}
              </ul>
            </>
          )}
          <h2 className="chalk-heading">Can be begun</h2>
          {ready.length === 0 && <p>A job comes here when its layers are chosen.</p>}
          <ul>
            {ready.map(({ id, name, project, count }) => choice('jobIds', id, name, `${project}, ${counted(count, 'piece')}`))}
          </ul>
        </section>
        <div className="relative space-y-5" aria-live="polite">
          {(error ?? plan.trouble ?? trouble) && (
            <p role="alert" className="font-semibold text-error">
              {error ?? plan.trouble ?? trouble}
            </p>
          )}
          <progress
            className={`progress progress-primary no-print absolute -top-2 h-1 ${planning && runs.length > 0 ? '' : 'invisible'}`}
            aria-label="Working out the order of work"
          />
          {evenings.length === 0 && planning ? null : evenings.length === 0 ? (
            <p className="sheet p-6">
              {ticked.length > 0 && runs.length > 0
                ? 'All of it is done.'
                : 'Tick what you want to get done; the order that takes least time is worked out at once.'}
            </p>
          ) : (
            evenings.map((each, i) => (
              <EveningPlan
                key={each.tasks[0]!.id}
                title={evenings.length > 1 ? `Evening ${i + 1} of ${evenings.length}` : 'The order of work'}
                evening={each}
                runs={runs.map(({ id, name }) => ({ id, name: keepUnits(name) }))}
                from={start}
                onDone={(id) => plan.make({ kind: 'done', id })}
                onLate={(id) => plan.make({ kind: 'late', id, minutes: LATE_BY })}
              />
            ))
          )}
          {(ticked.length > 0 || lateness.length > 0) && (
            <button type="button" className="btn no-print" onClick={() => plan.make({ kind: 'anew' })}>
              <RotateCcw size={18} aria-hidden="true" /> Plan it as if nothing were done or late
            </button>
          )}
          <p className="quiet text-[0.95rem]">
            Pressing is counted stop by stop, cutting at a minute a metre, what has no clock at three minutes; give or take a
            third. {ownWords(paces)} What only has to dry or cool goes on over night; nothing is left that must be caught damp.
            Every tablet of the house shows the same plan.
          </p>
        </div>
      </div>
    </>
  );
}
