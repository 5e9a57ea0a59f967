import { Plus } from 'lucide-react';
import type { DayTask, Evening } from '../../core/schedule';
import { formatDuration } from '../../core/units';
import { counted, keepUnits } from '../../ui/text';
import { clock, sums } from './day-plan';
import Timeline from './Timeline';

interface Props {
  title: string;
  evening: Evening<DayTask>;
  runs: readonly { id: string; name: string }[];
  /** Minutes after midnight at which it begins. */
  from: number;
  onDone: (id: string) => void;
  onLate: (id: string) => void;
}

/** A time as it is planned by: whole minutes, at least one. */
function wholeMinutes(minutes: number): string {
  return formatDuration(60 * Math.max(1, Math.round(minutes)));
}

/** One evening: drawn along time, and as an order of work to tick. */
export default function EveningPlan({ title, evening, runs, from, onDone, onLate }: Props) {
  const { tasks, plan, long, overnight } = evening;
  const { hands, all } = sums(tasks);
  const own = runs.filter(({ id }) => tasks.some(({ run }) => run === id));
  return (
    <section className="sheet p-4" aria-label={title}>
      <h2 className="text-xl font-bold">
        {title}: {clock(from, 0)} to {clock(from, plan.makespan)}
      </h2>
      <p>
        {wholeMinutes(plan.makespan)}, hands on for {wholeMinutes(hands)}; one after the other it would take {wholeMinutes(all)}.
      </p>
      {long && (
        <p className="font-semibold text-error">
          Longer than an evening, and it cannot be left half done: begin earlier, or take fewer pieces.
        </p>
      )}
      <div className="mt-2">
        <Timeline tasks={tasks} plan={plan} from={from} runs={own} />
        <p className="quiet text-[0.92rem]">Blue: hands. Yellow: hands and iron. Hatched: dries, cools or is sewn by itself.</p>
      </div>
      <ol className="mt-3">
        {plan.starts.map(({ id, start }) => {
          const task = tasks.find((each) => each.id === id)!;
          return (
            <li key={id} className="flex items-center gap-3 border-t border-base-300 py-1">
              <label className="flex min-h-[48px] min-w-0 flex-1 cursor-pointer items-center gap-3">
                <input
                  type="checkbox"
                  className="checkbox checkbox-success"
                  checked={false}
                  onChange={() => onDone(id)}
                  aria-label={`${task.title}: done`}
                />
                <span className="w-14 shrink-0 font-bold tabular-nums">{clock(from, start)}</span>
                <span className={`min-w-0 leading-snug ${task.hands ? '' : 'quiet'}`}>{keepUnits(task.title)}</span>
              </label>
              <span className="quiet shrink-0">{wholeMinutes(task.minutes)}</span>
              <button
                type="button"
                className="btn btn-ghost no-print min-h-[44px]"
                aria-label={`${task.title}: five minutes more`}
                onClick={() => onLate(id)}
              >
                <Plus size={16} aria-hidden="true" /> 5 min
              </button>
            </li>
          );
        })}
      </ol>
      {overnight.length > 0 && (
        <div className="mt-2 border-t border-base-300 pt-2">
          <p className="font-semibold">Over night, by itself</p>
          <ul>
            {overnight.map(({ id, title: what }) => (
              <li key={id} className="flex items-center gap-3 py-1">
                <span className="flex-1">{keepUnits(what)}</span>
                <button type="button" className="btn no-print" onClick={() => onDone(id)}>
                  Done
                </button>
              </li>
            ))}
          </ul>
        </div>
      )}
      <p className="sr-only">{counted(plan.starts.length, 'task')} are left.</p>
    </section>
  );
}
