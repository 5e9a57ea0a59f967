import type { DayTask, Schedule } from '../../core/schedule';
import { clock } from './day-plan';

interface Props {
  tasks: readonly DayTask[];
  plan: Schedule;
  /** Minutes after midnight at which it begins. */
  from: number;
  /** Names of the runs, in the order of their rows. */
  runs: readonly { id: string; name: string }[];
}

const ROW = 44;
const LEFT = 190;
const WIDTH = 900;

/** Steps between the marks of the time axis, minutes. */
const TICKS = [5, 10, 15, 30, 60, 120, 240];

/** The plan along time: a row for each run; what hands do is filled, what dries or cools by itself is hatched. */
export default function Timeline({ tasks, plan, from, runs }: Props) {
  const { makespan, starts } = plan;
  const scale = (WIDTH - LEFT - 20) / Math.max(1, makespan);
  const tick = TICKS.find((minutes) => makespan / minutes <= 9) ?? 480;
  const height = runs.length * ROW + 30;
  const busy = sumOverlap(
    tasks.filter(({ hands }) => hands),
    starts,
  );
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="w-full"
      role="img"
      aria-label={`${tasks.length} tasks of ${runs.length} runs from ${clock(from, 0)} to ${clock(from, makespan)}; hands are busy for ${Math.round(busy)} minutes`}
    >
      <defs>
        <pattern id="waits" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V7" stroke="var(--ink)" strokeOpacity="0.5" strokeWidth="1.4" />
        </pattern>
      </defs>
      {Array.from({ length: Math.floor(makespan / tick) + 1 }, (_, i) => (
        <g key={i}>
          <path d={`M${LEFT + i * tick * scale} 0V${height - 22}`} stroke="var(--ink)" strokeOpacity="0.18" />
          <text x={LEFT + i * tick * scale} y={height - 5} fontSize="14" textAnchor="middle" fill="var(--ink)">
            {clock(from, i * tick)}
          </text>
        </g>
      ))}
      {runs.map(({ id, name }, row) => (
        <g key={id}>
          <text x={LEFT - 10} y={row * ROW + 26} fontSize="15" fontWeight="600" textAnchor="end" fill="var(--ink)">
            {name.length > 22 ? `${name.slice(0, 21)}…` : name}
          </text>
          {starts.map(({ id: taskId, start, end }) => {
            const task = tasks.find((each) => each.id === taskId)!;
            if (task.run !== id) return null;
            const iron = task.uses.length > 1;
            return (
              <rect
                key={taskId}
                x={LEFT + start * scale}
                y={row * ROW + 8}
                width={Math.max(1.5, (end - start) * scale - 1)}
                height={ROW - 16}
                rx="3"
                fill={task.hands ? (iron ? 'var(--color-accent)' : 'var(--color-primary)') : 'url(#waits)'}
                stroke="var(--ink)"
                strokeWidth="0.8"
              >
                <title>{`${clock(from, start)} ${task.title}`}</title>
              </rect>
            );
          })}
        </g>
      ))}
    </svg>
  );
}

/** Minutes in which at least one of some tasks runs. */
function sumOverlap(tasks: readonly DayTask[], starts: Schedule['starts']): number {
  const own = starts.filter(({ id }) => tasks.some((task) => task.id === id)).sort((a, b) => a.start - b.start);
  let [sum, until] = [0, 0];
  for (const { start, end } of own) {
    sum += Math.max(0, end - Math.max(start, until));
    until = Math.max(until, end);
  }
  return sum;
}
