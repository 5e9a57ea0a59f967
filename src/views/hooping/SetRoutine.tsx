import { CalendarDays, ShoppingBasket } from 'lucide-react';
import { useState } from 'react';
import { MOST_PLANNED } from '../../core/hoop';
import type { DayRun, DayTask, Evening } from '../../core/schedule';
import { formatDuration } from '../../core/units';
import { call, type ApiError } from '../../ui/api';
import { useAsked } from '../../ui/query';
import { counted, keepUnits } from '../../ui/text';
import { sums } from '../day/day-plan';
import { useEvenings } from '../day/use-evenings';

/** Things that are told before the rest is only counted. */
const TOLD = 8;
const NONE: DayRun[] = [];
const ALONE = { people: 1, irons: 1, evening: 0 } as const;
const NOTHING_DONE = { done: [], late: [] };

const wholeMinutes = (minutes: number) => formatDuration(60 * Math.max(1, Math.round(minutes)));

/** How a set is worked: what is done for all, what goes on while the machine sews, and how long it takes. */
export default function SetRoutine({ hoopingId, version, left }: { hoopingId: string; version: number; left: number }) {
  const { answer, error } = useAsked<{ runs: DayRun[] }>(`/api/day?as=${version}`, {
    ...{ jobIds: [], runIds: [], hoopingIds: [hoopingId] },
  });
  const runs = answer?.runs ?? NONE;
  const { evenings, planning } = useEvenings(runs, NOTHING_DONE, ALONE);
  const [trouble, setTrouble] = useState<string>();
  const [evening] = runs.length > 0 ? (evenings ?? []) : [];
  const plan = async () => {
    try {
      const move = { kind: 'add', jobIds: [], runIds: [], hoopingIds: [hoopingId] };
      const moves = [{ id: crypto.randomUUID(), at: new Date().toISOString(), move }];
      await call('POST', '/api/day/moves', { moves });
      location.assign('/day');
    } catch (problem) {
      setTrouble((problem as ApiError).message);
    }
  };
  return (
    <section className="sheet p-4" aria-labelledby="routine">
      <h2 id="routine" className="chalk-heading">
        {left > MOST_PLANNED ? `The next ${MOST_PLANNED} of ${left}` : 'The whole set'}
      </h2>
      {(error ?? trouble) && (
        <p role="alert" className="font-semibold text-error">
          {error ?? trouble}
        </p>
      )}
      {evening ? (
        <Order evening={evening} name={runs[0]!.name} />
      ) : (
        <p className="mt-1">{planning || !answer ? 'Working out the order …' : 'All of it is sewn.'}</p>
      )}
      <p className="mt-3 flex flex-wrap gap-2">
        <button type="button" className="btn" onClick={() => void plan()}>
          <CalendarDays size={18} aria-hidden="true" /> Put it into the working day
        </button>
        <a className="btn" href={`/buy?hooping=${hoopingId}`}>
          <ShoppingBasket size={18} aria-hidden="true" /> What it takes
        </a>
      </p>
    </section>
  );
}

function Order({ evening: { tasks, plan }, name }: { evening: Evening<DayTask>; name: string }) {
  const { hands, all } = sums(tasks);
  const [first] = plan.starts;
  const titleOf = (id: string) => tasks.find((task) => task.id === id)!;
  return (
    <>
      <p className="mt-1">
        About <strong>{wholeMinutes(plan.makespan)}</strong>, hands on for {wholeMinutes(hands)}; one after the other it would
        take {wholeMinutes(all)}.
      </p>
      <ol className="mt-2">
        {plan.starts.slice(0, TOLD).map(({ id, start }) => {
          const { title, hands: byHand, minutes } = titleOf(id);
          return (
            <li key={id} className="flex gap-3 border-t border-base-300 py-1">
              <span className="quiet w-16 shrink-0 tabular-nums">
                {start === first!.start ? 'now' : `+${Math.round(start)} min`}
              </span>
              <span className={`flex-1 leading-snug ${byHand ? '' : 'quiet'}`}>{keepUnits(title.slice(name.length + 2))}</span>
              <span className="quiet shrink-0">{wholeMinutes(minutes)}</span>
            </li>
          );
        })}
      </ol>
      {plan.starts.length > TOLD && (
        <p className="quiet mt-1">and {counted(plan.starts.length - TOLD, 'more thing')}, in the same way.</p>
      )}
      <p className="quiet mt-1 text-[0.95rem]">
        Grey goes on by itself, with you in sight of the machine. Minutes at the machine follow those that you wrote down.
      </p>
    </>
  );
}
