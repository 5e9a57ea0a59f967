import { InputError, requireNumber } from '../input-error';
import { seeded } from '../random';

/** Something that takes a while: by hands, by an iron, or by itself. */
export interface Task {
  id: string;
  minutes: number;
  /** Names of what it holds while it runs, one unit of each. */
  uses: readonly string[];
  /** Tasks that must have ended before. */
  after: readonly string[];
}

export interface Schedule {
  /** Minutes until the last task has ended. */
  makespan: number;
  /** In order of their starts. Minutes from 0. */
  starts: { id: string; start: number; end: number }[];
}

export interface ScheduleOptions {
  tasks: readonly Task[];
  /** How many of each there are. */
  capacity: Readonly<Record<string, number>>;
  seed?: number;
  /** What the plan is good for besides being short; short alone when it is not said. */
  aim?: Aim | undefined;
  /** Share of the usual work that is spent on looking for a shorter plan; all of it when it is not said, none for a first one. */
  effort?: number;
}

/** What a plan is measured by, minutes; the least is best. */
export type Aim =
  /** Every change from one thing to another that the same resource makes costs so many minutes. */
  | { kind: 'fewer-changes'; resource: string; of: (task: Task) => string; costs: number }
  /** This resource is to be done with early. */
  | { kind: 'free-soon'; resource: string };

const MOST_TASKS = 2000;
/**
 * Work that is spent on the search: holders of a resource that are looked at. Counted, not timed, so that a plan is the same on a busy machine;
 * a fifth of a second or so. Small plans are tried thousands of times; a plan of hundreds of tasks as often as there is work left for, once at least.
 */
const WORK = 12_000_000;
const MOST_TRIES = 4000;
/** Times closer than this are the same, minutes. */
const SAME = 1e-9;

/** A plan with tasks and resources as numbers. */
interface Numbered {
  minutes: Float64Array;
  uses: number[][];
  before: number[][];
  next: number[][];
  capacity: number[];
  /** Longest chain of tasks that begins with each, itself included, minutes. */
  tail: Float64Array;
  /** Work that was spent so far. */
  spent: { work: number };
}

/**
 * The shortest plan that is found for tasks that wait on each other and share what they use. A task runs without a break. Tasks are
 * put one by one at the earliest time that is free, in many orders: by the longest chain that follows, and by chance around it; each
 * plan is pushed to its end and back again, which closes gaps. The search stops as soon as no plan can be shorter.
 *
 * @throws {InputError} for cycles, unknown tasks, resources of which there are none, and figures that cannot be
 * @example schedule({ tasks: [{ id: 'soak', minutes: 30, uses: [], after: [] }, { id: 'press', minutes: 5, uses: ['iron'], after: ['soak'] }], capacity: { iron: 1 } }).makespan // 35
 */
export function schedule({ tasks, capacity, seed = 1, aim, effort = 1 }: ScheduleOptions): Schedule {
  const plan = numbered(tasks, capacity);
  const count = tasks.length;
  if (count === 0) return { makespan: 0, starts: [] };
  const least = aim ? -Infinity : lowerBound(plan);
  const random = seeded(seed);
  const cost = costBy(aim, tasks);
  const leading = aim?.kind === 'free-soon' ? leadingTo(aim.resource, tasks, plan) : [];
  // What closes gaps may change more often: of both plans the better by what is wanted is kept.
  const tried = (urgency: ArrayLike<number>) => {
    const placed = serial(plan, urgency);
    const closed = improved(plan, placed);
    return cost(closed) <= cost(placed) ? closed : placed;
  };
  let best = tried(plan.tail);
  // Nothing says when such a plan is as good as can be: it is looked for a third as long.
  const work = effort * (aim ? WORK / 3 : WORK);
  const tries = effort * (aim ? MOST_TRIES / 4 : MOST_TRIES);
  const urgency = new Float64Array(count);
  for (let i = 0; i < tries && plan.spent.work < work && best.end > least + SAME; i++) {
    // Around the tails, or around the best plan so far: what begins early there is tried early again.
    const spread = (0.05 + 0.6 * random()) * best.end;
    const near = i % 2 === 1;
    for (let k = 0; k < count; k++) urgency[k] = (near ? best.end - best.start[k]! : plan.tail[k]!) + spread * (random() - 0.5);
    // Things one after the other: what is begun is gone on with.
    if (aim?.kind === 'fewer-changes' && i % 3 === 0) oneByOne(urgency, tasks.map(aim.of), random, best.end);
    if (aim?.kind === 'free-soon' && i % 3 === 0) leading.forEach((k) => (urgency[k]! += 100 * best.end));
    const found = tried(urgency);
    if (cost(found) < cost(best) - SAME) best = found;
  }
  const starts = tasks
    .map(({ id }, k) => ({ id, start: best.start[k]!, end: best.start[k]! + plan.minutes[k]! }))
    .sort((a, b) => a.start - b.start || a.end - b.end);
  return { makespan: best.end, starts };
}

/** How good a plan is, minutes; less is better. */
function costBy(aim: Aim | undefined, tasks: readonly Task[]): (placed: Placed) => number {
  if (!aim) return ({ end }) => end;
  const using = tasks.flatMap(({ uses }, k) => (uses.includes(aim.resource) ? [k] : []));
  if (aim.kind === 'free-soon')
    return ({ start, end }) => Math.max(0, ...using.map((k) => start[k]! + tasks[k]!.minutes)) + end / 1000;
  const things = tasks.map(aim.of);
  return ({ start, end }) => {
    const inOrder = [...using].sort((a, b) => start[a]! - start[b]!);
    const changes = inOrder.filter((k, i) => i > 0 && things[k] !== things[inOrder[i - 1]!]).length;
    return end + aim.costs * changes;
  };
}

/** Tasks that use a resource, and all that these wait on. */
function leadingTo(resource: string, tasks: readonly Task[], { before }: Numbered): number[] {
  const found = new Set<number>();
  const open = tasks.flatMap(({ uses }, k) => (uses.includes(resource) ? [k] : []));
  while (open.length > 0) {
    const k = open.pop()!;
    if (found.has(k)) continue;
    found.add(k);
    open.push(...before[k]!);
  }
  return [...found];
}

/** Makes everything of one thing more urgent than everything of another, the things in an order by chance. */
function oneByOne(urgency: Float64Array, things: readonly string[], random: () => number, length: number): void {
  const rank = new Map<string, number>();
  for (const thing of things) if (!rank.has(thing)) rank.set(thing, random());
  things.forEach((thing, k) => (urgency[k]! += 100 * length * rank.get(thing)!));
}

function numbered(tasks: readonly Task[], capacity: Readonly<Record<string, number>>): Numbered {
  if (tasks.length > MOST_TASKS) throw new InputError('tasks', `must hold at most ${MOST_TASKS}, saw ${tasks.length}`);
  const names = Object.keys(capacity);
  for (const name of names) requireNumber(`capacity.${name}`, capacity[name]!, '', { min: 0, max: 1000 });
  const index = new Map<string, number>();
  tasks.forEach(({ id, minutes }, i) => {
    if (index.has(id))
      throw new InputError(`tasks[${i}].id`, `must be told apart from the others, saw ${JSON.stringify(id)} twice`);
    requireNumber(`tasks[${i}].minutes`, minutes, 'minutes', { min: 0, max: 100_000 });
    index.set(id, i);
  });
  const uses = tasks.map((task, i) =>
    [...new Set(task.uses)].map((name, k) => {
      const at = names.indexOf(name);
      if (at < 0 || !(capacity[name]! >= 1))
        throw new InputError(
          `tasks[${i}].uses[${k}]`,
          `must be something of which there is at least one, saw ${JSON.stringify(name)}`,
        );
      return at;
    }),
  );
  const before = tasks.map((task, i) =>
    [...new Set(task.after)].map((id, k) => {
      const at = index.get(id);
      if (at === undefined)
        throw new InputError(`tasks[${i}].after[${k}]`, `must name a task of the plan, saw ${JSON.stringify(id)}`);
      return at;
    }),
  );
  const next = tasks.map((): number[] => []);
  before.forEach((all, k) => all.forEach((b) => next[b]!.push(k)));
  const minutes = Float64Array.from(tasks, (task) => task.minutes);
  const capacities = names.map((name) => Math.floor(capacity[name]!));
  return { minutes, uses, before, next, capacity: capacities, tail: tails(tasks, minutes, before, next), spent: { work: 0 } };
}

/** Longest chain from the beginning of each task to the end. @throws {InputError} where tasks wait on each other in a ring */
function tails(tasks: readonly Task[], minutes: Float64Array, before: number[][], next: number[][]): Float64Array {
  const open = next.map(({ length }) => length);
  const tail = Float64Array.from(minutes);
  const ready = open.flatMap((left, k) => (left === 0 ? [k] : []));
  let done = 0;
  while (ready.length > 0) {
    const k = ready.pop()!;
    done += 1;
    for (const b of before[k]!) {
      tail[b] = Math.max(tail[b]!, minutes[b]! + tail[k]!);
      if (--open[b]! === 0) ready.push(b);
    }
  }
  if (done < tasks.length) {
    const i = open.findIndex((left) => left > 0);
    throw new InputError(`tasks[${i}].after`, `leads in a ring: “${tasks[i]!.id}” would have to wait on itself`);
  }
  return tail;
}

/** No plan is shorter than its longest chain, or than all that one resource has to do. */
function lowerBound({ minutes, uses, capacity, tail }: Numbered): number {
  const busy = capacity.map(() => 0);
  uses.forEach((all, k) => all.forEach((r) => (busy[r]! += minutes[k]!)));
  return Math.max(...tail, ...busy.map((sum, r) => sum / capacity[r]!));
}

interface Placed {
  start: Float64Array;
  end: number;
}

/** Puts tasks one by one at the earliest time that is free for them, of those that may begin the most urgent first. */
function serial({ minutes, uses, before, next, capacity, spent }: Numbered, urgency: ArrayLike<number>): Placed {
  const count = minutes.length;
  const start = new Float64Array(count);
  const open = before.map(({ length }) => length);
  const ready = open.flatMap((left, k) => (left === 0 ? [k] : []));
  /** Tasks that hold each resource. */
  const held = capacity.map((): number[] => []);
  let end = 0;
  spent.work += count;
  while (ready.length > 0) {
    let at = 0;
    spent.work += ready.length;
    for (let i = 1; i < ready.length; i++) if (urgency[ready[i]!]! > urgency[ready[at]!]!) at = i;
    const k = ready[at]!;
    ready[at] = ready[ready.length - 1]!;
    ready.pop();
    let earliest = 0;
    for (const b of before[k]!) earliest = Math.max(earliest, start[b]! + minutes[b]!);
    start[k] = freeFrom(k, earliest);
    end = Math.max(end, start[k]! + minutes[k]!);
    for (const r of uses[k]!) held[r]!.push(k);
    for (const n of next[k]!) if (--open[n]! === 0) ready.push(n);
  }
  return { start, end };

  function freeFrom(k: number, earliest: number): number {
    let t = earliest;
    for (;;) {
      let later = t;
      for (const r of uses[k]!) later = Math.max(later, freeOf(r, t, t + minutes[k]!));
      if (later <= t) return t;
      t = later;
    }
  }

  /** The next time that is worth a try, or `from` where the resource is free all the way to `to`. */
  function freeOf(r: number, from: number, to: number): number {
    const most = capacity[r]!;
    const there = held[r]!.filter((k) => start[k]! < to - SAME && start[k]! + minutes[k]! > from + SAME);
    spent.work += held[r]!.length + there.length * there.length;
    if (there.length < most) return from;
    // The most that run at once begin with one of them.
    let first = Infinity;
    for (const k of there) {
      const at = Math.max(from, start[k]!);
      let running = 0;
      for (const other of there) if (start[other]! <= at + SAME && start[other]! + minutes[other]! > at + SAME) running += 1;
      if (running >= most)
        for (const other of there)
          if (start[other]! <= at + SAME && start[other]! + minutes[other]! > at + SAME)
            first = Math.min(first, start[other]! + minutes[other]!);
    }
    return first === Infinity ? from : first;
  }
}

/** Pushes a plan to its end and back to its beginning, which closes gaps: what ends last is put last, what begins first first. */
function improved(plan: Numbered, placed: Placed): Placed {
  let best = placed;
  for (let round = 0; round < 3; round++) {
    const back = serial(
      mirrored(plan),
      Float64Array.from(best.start, (start, k) => start + plan.minutes[k]!),
    );
    const order = Float64Array.from(back.start, (start, k) => start + plan.minutes[k]!);
    const again = serial(plan, order);
    if (!(again.end < best.end - SAME)) return best;
    best = again;
  }
  return best;
}

/** The same plan run backwards. */
function mirrored(plan: Numbered): Numbered {
  return { ...plan, before: plan.next, next: plan.before };
}
