import { USUAL_PACES, type Pace, type Paces } from '../learn';
import { lower } from '../letters';
import { MOVE_SECONDS } from '../press';
import type { Act, SetStep } from '../steps';
import type { Task } from './schedule';

/** A step as it stands on the bench, with the iron stops that it takes. */
export type TimedStep = Pick<
  SetStep,
  'id' | 'kind' | 'stage' | 'title' | 'seconds' | 'dries' | 'act' | 'lifts' | 'copies' | 'checks' | 'until' | 'dryMass'
> & {
  stops?: readonly unknown[] | undefined;
};

/** A run as it is planned: its steps from where it stands, and how much is cut and sewn by hand in it. */
export interface PlannedRun {
  id: string;
  name: string;
  steps: readonly TimedStep[];
  /** Edge of all its pieces, mm. */
  edge: number;
  /** How many steps of the run are done already: tasks are told apart by the step that they begin with, whenever they are asked for. */
  from?: number;
  /** How fast this person works; as usual where it is not known. */
  paces?: Paces | undefined;
}

/** A task of the working day: what is done, by what, for which run. */
export interface DayTask extends Task {
  run: string;
  title: string;
  /** Hands are needed for it; otherwise it dries or cools by itself. */
  hands: boolean;
  /** A wait that may as well go on over night: what is dry or cold then is just dry or cold. */
  overnight?: true;
  /** The run may be left behind it for another evening: nothing is wet, warm or in a hoop. */
  rests?: true;
  /** It is one machine load, whatever else is washed with it. */
  load?: 'wash';
}

/** What holds tasks up. */
export const BY_HAND = 'hands';
export const BY_IRON = 'iron';
/** An embroidery machine: it sews by itself, and the hands are free meanwhile. */
export const BY_MACHINE = 'machine';

/** Minutes of handling for what has no clock of its own, and how long it then dries by itself. */
const DOING: Record<string, { hands: number; waits?: number }> = {
  prewash: { hands: 5, waits: 150 },
  'prewash-layer': { hands: 5, waits: 150 },
  preshrink: { hands: 5, waits: 140 },
  flatten: { hands: 6 },
};
/** Steps of old runs that go into the machine with whatever else is washed. */
const WASHED_BEFORE = ['prewash', 'prewash-layer'];
const USUAL = 3;
/** Minutes for a metre that is cut, and that is basted or sewn on by hand. */
const CUTTING = 1;
const BASTING = 2.5;
/** Minutes to look at one thing. */
const LOOKING = 0.3;
/** Work is told in portions of about this many minutes, so that something else can come between. */
const PORTION = 15;

/**
 * The tasks of a run in their order: what the hands or the iron do one after the other is one task up to a quarter of an hour, what
 * cools or dries is one that needs nobody. Each waits for the one before.
 *
 * @example runTasks({ id: 'r', name: 'Collar', edge: 900, steps: [{ kind: 'wait', title: 'Cool', seconds: 300, stage: 'apply' }] }).map(({ hands }) => hands) // [false]
 */
export function runTasks({ id, name, steps, edge, from = 0, paces = USUAL_PACES }: PlannedRun): DayTask[] {
  const found: DayTask[] = [];
  /** Titles of the steps of the last task, in their order. */
  let titles: string[] = [];
  const add = (step: string, title: string, minutes: number, uses: string[], more: Pick<DayTask, 'overnight' | 'load'> = {}) => {
    const last = found.at(-1);
    const hands = uses.length > 0;
    if (last && hands && last.hands && !last.load && !more.load && last.minutes + minutes <= PORTION) {
      titles.push(title);
      last.minutes += minutes;
      // Laying and pressing alternate piece by piece: the iron stays on for both.
      last.uses = [...new Set([...last.uses, ...uses])];
      last.title = `${name}: ${titleOf(titles)}`;
      return;
    }
    titles = [title];
    const after = last ? [last.id] : [];
    found.push({
      ...{ id: `${id}/${step}`, run: id, title: `${name}: ${titleOf(titles)}`, minutes, uses, hands, after },
      ...more,
    });
  };
  for (const [i, step] of steps.entries()) {
    const pace = paceOf(step);
    const minutes = stepMinutes(step, steps, edge) * (pace ? paces[pace].factor : 1);
    const ironed =
      step.kind === 'press' || (step.kind === 'do' && (step.act ? IRON_ACTS.includes(step.act) : IRONED.test(step.title)));
    const uses = step.kind === 'wait' ? [] : ironed ? [BY_HAND, BY_IRON] : [BY_HAND];
    // Only what has to be caught while it is damp cannot wait for the morning.
    const overnight = step.kind === 'wait' && step.until !== 'damp' ? { overnight: true as const } : {};
    const load = step.kind === 'do' && WASHED(step) ? { load: 'wash' as const } : {};
    add(`${from + i}`, step.title, minutes, uses, { ...overnight, ...load });
    const waits = step.kind === 'do' ? (step.dries === undefined ? DOING[ownId(step.id)]?.waits : step.dries / 60) : undefined;
    if (waits) add(`${from + i}-dries`, `${step.title}: it dries`, waits * paces.drying.factor, [], { overnight: true, ...load });
  }
  return found;
}

/**
 * Minutes that a step takes as it is reckoned for anybody: stops by the clock, waits as they say, the rest by kind and length.
 *
 * @param steps of the same run, of which it has its share @param edge of all pieces, mm
 * @example stepMinutes({ id: 'cool', kind: 'wait', stage: 'apply', title: 'Cool', seconds: 300 }, [], 0) // 5
 */
export function stepMinutes(step: TimedStep, steps: readonly TimedStep[], edge: number): number {
  const { kind, seconds = 0, lifts = 1, copies = 1, stops, checks } = step;
  if (kind === 'wait') return seconds / 60;
  if (kind === 'press') return ((stops?.length ?? 1) * lifts * copies * (seconds + MOVE_SECONDS)) / 60;
  if (kind === 'check') return Math.max(1, (checks?.length ?? 1) * LOOKING);
  return (seconds === 0 ? DOING[ownId(step.id)]?.hands : undefined) ?? handMinutes(step, steps, edge / 1000);
}

/**
 * By whose pace a step goes; none for what runs by a clock of its own. A wait that was reckoned from drying holds that pace already.
 *
 * @example paceOf({ id: 'cut', kind: 'do', stage: 'cut', title: 'Cut' }) // 'cutting'
 */
export function paceOf(step: TimedStep): Pace | undefined {
  if (step.kind === 'wait') return undefined;
  if (step.kind === 'press') return 'pressing';
  if (step.kind === 'check') return 'handling';
  if (CUT(step)) return 'cutting';
  return SEWN(step) ? 'sewing' : 'handling';
}

/** What is done with the iron though it has no stops. */
const IRON_ACTS: readonly Act[] = ['press', 'press-flat'];
/** The same by its title, where it was planned before steps said what is done. */
const IRONED = /(^|: )(press|iron) /i;
/** By what is done; by their ids where they were planned before steps said that. */
const CUT = ({ id, stage, act }: TimedStep) => stage === 'cut' || act === 'cut' || (!act && id.endsWith('-cut'));
const SEWN = ({ id, act }: TimedStep) => (act ? act === 'baste' : /-sew(#|$)/.test(id));
const WASHED = ({ id, act }: TimedStep) => (act ? act === 'wash' : WASHED_BEFORE.includes(ownId(id)));

/** A step's name without the job of the batch that it is for. */
function ownId(id: string): string {
  return id.replace(/^(all-\d+-|\d+-)/, '');
}

/**
 * Minutes of a step that has no clock: as it says itself; cutting and basting by the metre, each step its share of the edge; others
 * as usual.
 */
function handMinutes(step: TimedStep, steps: readonly TimedStep[], metres: number): number {
  const { seconds, copies = 1 } = step;
  if (seconds !== undefined) return (seconds / 60) * copies;
  if (CUT(step))
    return Math.max(USUAL, (metres * CUTTING) / steps.filter((each) => CUT(each) && each.stage === step.stage).length);
  if (!SEWN(step)) return USUAL * copies;
  const all = steps.filter(SEWN).reduce((sum, each) => sum + (each.copies ?? 1), 0);
  return Math.max(USUAL, (metres * BASTING) / all) * copies;
}

const OF_COPIES = /^pieces? (\d+)(?: to (\d+))? of (\d+): /i;

/** What several steps in a row come to: copies by their numbers, other steps by the first and the last. */
function titleOf(titles: readonly string[]): string {
  const copies = titles.map((title) => OF_COPIES.exec(title));
  const [first, last] = [copies[0], copies.at(-1)];
  if (titles.length > 1 && copies.every(Boolean)) {
    const [from, to, of] = [first![1]!, last![2] ?? last![1]!, first![3]!];
    return from === to ? `piece ${from} of ${of}` : `pieces ${from} to ${to} of ${of}`;
  }
  if (titles.length < 3) return titles.map(lower).join(', then ');
  return `${lower(titles[0]!)}, then ${titles.length - 2 === 1 ? 'one more' : `${titles.length - 2} more`}, up to “${lower(titles.at(-1)!)}”`;
}
