import { formatDuration } from '../../core/units';
import { useAsked } from '../../ui/query';
import { keepUnits } from '../../ui/text';
import type { DayTask } from '../../core/schedule';
import type { ByPlan } from '../../server/plan-now';

/** Where a task is worked: its run, or the plan where it is still to be started. */
const placeOf = ({ run }: DayTask, open: readonly string[]) => (open.includes(run) ? `/bench/${run}` : '/day');

/** What the plan of the day says: what now, what next, what runs alongside. Nothing where no day is planned. */
export default function PlanNow() {
  const { answer } = useAsked<ByPlan>('/api/day/now');
  if (!answer?.now) return null;
  const { now, next, alongside, open } = answer;
  const rows: [string, DayTask][] = [
    ['Now', now],
    ...(next ? [['Then', next] as [string, DayTask]] : []),
    ...alongside.map((task): [string, DayTask] => ['Alongside', task]),
  ];
  return (
    <section className="mt-4 rounded-box border-2 border-accent p-3" aria-label="By the plan of the day">
      <h2 className="chalk-heading">By the plan of the day</h2>
      <dl className="mt-1 grid grid-cols-[auto_1fr] gap-x-4">
        {rows.map(([word, task]) => (
          <div key={word + task.id} className="contents">
            <dt className="quiet flex min-h-[44px] items-center">{word}</dt>
            <dd className="flex items-center gap-3">
              <a
                className={`min-h-[44px] content-center underline-offset-2 hover:underline ${word === 'Now' ? 'font-bold' : ''}`}
                href={placeOf(task, open)}
              >
                {keepUnits(task.title)}
              </a>
              <span className="quiet shrink-0">{formatDuration(60 * Math.max(1, Math.round(task.minutes)))}</span>
            </dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

/** What hands can do while a run waits: the next thing of another run of the day. */
export function Meanwhile({ run }: { run: string }) {
  const { answer } = useAsked<ByPlan>(`/api/day/now?without=${encodeURIComponent(run)}`);
  if (!answer?.now) return null;
  return (
    <p className="mt-4 text-xl">
      Meanwhile, by the plan of the day:{' '}
      <a className="font-bold underline underline-offset-4" href={placeOf(answer.now, answer.open)}>
        {keepUnits(answer.now.title)}
      </a>
    </p>
  );
}
