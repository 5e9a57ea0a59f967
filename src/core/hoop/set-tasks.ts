import { BY_HAND, BY_IRON, BY_MACHINE, type DayTask } from '../schedule';
import { MOVE_SECONDS } from '../press';
import type { Act, Step } from '../steps';

/** A set that is sewn one after the other at one machine. */
export interface SewnSet {
  id: string;
  name: string;
  /** What is done to one piece before its first stitch, in order. */
  steps: readonly Step[];
  /** Numbers of the copies that are still to be sewn, from 0, of which the first {@link MOST_PLANNED} are planned; and how many the set has. */
  left: readonly number[];
  count: number;
  /** Ids of steps that are done, by copy. */
  done: readonly { copy: number; ticks: readonly string[] }[];
  /** At the machine, minutes a piece, thread changes included. */
  sewing: number;
  /** How often the thread is changed on one piece, and what each takes the hands, minutes. */
  changes: { times: number; minutes: number };
  /** How often the iron is set down to fuse one sheet. */
  stops: number;
  /** Hoops of this size that the person has: the next piece can be hooped while one is sewn. */
  hoops: number;
}

/** A plan of a set reaches so many copies ahead: the others go the same way, and the order of hundreds of tasks takes long to find. */
export const MOST_PLANNED = 8;
/** Pieces of many colours are many tasks: of these fewer are planned ahead, and never less than two. */
const MOST_TASKS = 64;
/** Tasks of a piece besides sewing and thread changes. */
const HANDLED = 5;

const plannedAhead = (changes: number): number =>
  Math.min(MOST_PLANNED, Math.max(2, Math.floor(MOST_TASKS / (HANDLED + 2 * changes))));

/** Minutes for what has no clock of its own, and for taking a piece out of its hoop. */
const USUAL = 3;
const UNHOOP = 2;
/** What is done to a piece that is already in the hoop: it is hung on the machine, a sheet slid under it. */
const AT_MACHINE = ['mount', 'slide'];

/**
 * The tasks of a set: what has to dry is sprayed for all pieces and dries side by side; then piece by piece it is pressed, hooped, hung on
 * the machine and sewn. While the machine sews one, the hands make the next one ready; it can go into a hoop as soon as one is free. Between two
 * colours the machine stands until the hands have changed the thread.
 *
 * @example setTasks({ id: 's', name: 'Napkins', steps: [], left: [0, 1], count: 2, done: [], sewing: 10, changes: { times: 0, minutes: 0 }, stops: 4, hoops: 1 }).map(({ id }) => id) // ['s/0-sew', 's/0-out', 's/1-sew', 's/1-out']
 */
export function setTasks({ id, name, steps, left: all, count, done, sewing, changes, stops, hoops }: SewnSet): DayTask[] {
  const tasks: DayTask[] = [];
  const left = all.slice(0, plannedAhead(changes.times));
  const add = (
    end: string,
    title: string,
    minutes: number,
    uses: string[],
    after: (string | undefined)[],
    more: Partial<DayTask> = {},
  ) => {
    const of = { run: id, title: `${name}: ${title}`, minutes, uses, hands: uses.includes(BY_HAND) };
    tasks.push({ id: `${id}/${end}`, ...of, after: after.filter((each) => each !== undefined), ...more });
    return `${id}/${end}`;
  };
  const isDone = (copy: number, step: Step) => {
    const ticks = done.find((each) => each.copy === copy)?.ticks ?? [];
    return step.checks ? step.checks.every((_, i) => ticks.includes(`${step.id}-${i}`)) : ticks.includes(step.id);
  };
  const dries = steps.findLastIndex(({ kind }) => kind === 'wait');
  /** What dries is done ahead for all that still need it. */
  let ready: string | undefined;
  for (const [i, step] of steps.slice(0, dries + 1).entries()) {
    const need = left.filter((copy) => !isDone(copy, step)).length;
    if (need === 0) continue;
    const wait = step.kind === 'wait';
    const title = need === count ? step.title : `${step.title} (${need} of ${count})`;
    const overnight = wait && step.until !== 'damp' ? { overnight: true as const } : {};
    ready = add(`all-${i}`, title, minutesOf(step, stops) * (wait ? 1 : need), wait ? [] : usesOf(step), [ready], overnight);
  }
  const single = steps.slice(dries + 1);
  const isHooping = ({ act, id: own }: Step) => act === 'hoop' && !AT_MACHINE.includes(own);
  const hooped = single.findIndex(isHooping);
  const before = hooped === -1 ? single.filter(({ id: own }) => !AT_MACHINE.includes(own)) : single.slice(0, hooped);
  const inHoop = hooped === -1 ? [] : single.slice(hooped).filter(({ id: own }) => !AT_MACHINE.includes(own));
  const hung = single.filter(({ id: own }) => AT_MACHINE.includes(own));
  /** The task with which each copy leaves its hoop, and that in which it is sewn. */
  const out: string[] = [];
  let sewn: string | undefined;
  for (const copy of left) {
    const words = count > 1 ? `piece ${copy + 1} of ${count}, ` : '';
    const portion = (end: string, of: readonly Step[], title: string, uses: string[], after: (string | undefined)[]) => {
      const open = of.filter((step) => !isDone(copy, step));
      if (open.length === 0) return after.at(-1);
      const minutes = open.reduce((sum, step) => sum + minutesOf(step, stops), 0);
      const all = [...new Set([...uses, ...open.flatMap(usesOf)])];
      return add(`${copy}-${end}`, `${words}${title}`, minutes, all, after);
    };
    const pressed = portion('ready', before, doneIn(before), [], [ready]);
    const free = out[out.length - hoops];
    const held = portion('hoop', inHoop, 'hoop it', [], [free, pressed]);
    const onMachine = portion('hang', hung, 'hang it on the machine', [BY_MACHINE], [sewn, held]);
    const portions = changes.times + 1;
    const between = Math.min(changes.minutes, sewing / portions);
    const each = (sewing - changes.times * between) / portions;
    let after: (string | undefined)[] = [sewn, onMachine];
    for (let colour = 1; colour < portions; colour++) {
      const done = add(`${copy}-colour-${colour}`, `${words}sew colour ${colour} of ${portions}`, each, [BY_MACHINE], after);
      after = [
        add(
          `${copy}-thread-${colour}`,
          `${words}change the thread to colour ${colour + 1}`,
          between,
          [BY_MACHINE, BY_HAND],
          [done],
        ),
      ];
    }
    const last = portions > 1 ? `sew colour ${portions} of ${portions}` : 'sew it';
    sewn = add(`${copy}-sew`, `${words}${last}`, each, [BY_MACHINE], after);
    out.push(add(`${copy}-out`, `${words}take it out of the hoop`, UNHOOP, [BY_HAND], [sewn], { rests: true }));
  }
  return tasks;
}

/** What the hands do before a piece is hooped, in a few words. */
const DOINGS: Partial<Record<Act, string>> = {
  ...{ spray: 'spray it', press: 'press it', 'smooth-on': 'smooth its sheet on', 'press-flat': 'fold for the hoop' },
};

function doneIn(steps: readonly Step[]): string {
  const doings = steps.flatMap(({ act }) => (act && DOINGS[act]) ?? []);
  return [...new Set(doings)].join(', ') || 'make it ready';
}

function minutesOf({ kind, seconds, lifts = 1 }: Step, stops: number): number {
  if (seconds === undefined) return USUAL;
  return (kind === 'press' ? stops * lifts * (seconds + MOVE_SECONDS) : seconds) / 60;
}

function usesOf({ kind, act }: Step): string[] {
  if (kind === 'wait') return [];
  return kind === 'press' || act === 'press' || act === 'press-flat' ? [BY_HAND, BY_IRON] : [BY_HAND];
}
