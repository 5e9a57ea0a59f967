import { seamFit, type GivingSide, type SeamFit } from './compare-seam';
import { AT_END, ringBegins, type MeetingKind, type RunMark, type SeamRun } from './seam-run';

/** Where two edges are held together while they are walked along each other. */
export interface Meeting {
  /** Which marks meet; at the ends none. */
  first: MeetingKind | 'end';
  second: MeetingKind | 'end';
  /** Along each line from where the walk begins, mm. */
  firstAt: number;
  secondAt: number;
}

/** What lies between two places that meet. */
export interface Stretch {
  from: Meeting;
  to: Meeting;
  /** How long each side is there, mm. */
  first: number;
  second: number;
  /** First less second: what creeps there, mm. */
  difference: number;
  fit: SeamFit;
  gives: 'first' | 'second' | undefined;
}

export interface SeamWalk {
  /** Where the walk begins along each line as it is drawn, mm; other than at its beginning where a line is closed. */
  begins: { first: number; second: number };
  /** The second piece lies turned over, so that both lines run the same way. */
  turned: boolean;
  stretches: Stretch[];
  /** Marks that nothing lies opposite of. */
  lone: { side: 'first' | 'second'; kind: MeetingKind; at: number }[];
}

/** Marks farther apart than this, and than this share of the seam, are not meant for each other, mm. */
const APART = 40;
const APART_SHARE = 0.15;
/** A mark left alone weighs as much as one that is off by this, mm. */
const ALONE = 60;

/**
 * Walks two edges along each other, pinned mark to mark: how long each is between the marks, and so where one of them has to be eased in.
 *
 * Laid right sides together the second line runs backwards; where the marks meet better the other way round (the other half of a pair), it is
 * turned over. Marks are paired in their order, like with like; a notch, a fold and a quarter point meet anything.
 *
 * @param gives how far each side can be eased or stretched
 * @param turned whether the second lies turned over; by its marks when it is left out
 * @example walkSeam(seamRuns(spec, [0])[0], seamRuns(spec, [2])[0], { first: giving, second: giving }).stretches.length // 1
 */
export function walkSeam(
  first: SeamRun,
  second: SeamRun,
  gives: { first: GivingSide; second: GivingSide },
  turned?: boolean,
): SeamWalk {
  const ways = (turned === undefined ? [false, true] : [turned]).map((each) => laid(first, second, each));
  const [face, over] = ways;
  const best = over && over.cost < face!.cost - 1 ? over : face!;
  const end = (at: number, other: number): Meeting => ({ first: 'end', second: 'end', firstAt: at, secondAt: other });
  const marks = best.pairs.map(({ a, b }) => ({ first: a.kind, second: b.kind, firstAt: a.at, secondAt: b.at }));
  // Round a closed seam the first pair of marks is where it begins and ends.
  const pinned =
    first.closed && second.closed
      ? closedRound(marks, first.length, second.length)
      : [end(0, 0), ...marks, end(first.length, second.length)];
  const stretches = pinned.slice(1).map((to, i): Stretch => {
    const from = pinned[i]!;
    const [a, b] = [to.firstAt - from.firstAt, to.secondAt - from.secondAt];
    return { from, to, first: a, second: b, ...seamFit({ ...gives.first, length: a }, { ...gives.second, length: b }) };
  });
  return { begins: best.begins, turned: best.turned, stretches, lone: best.lone };
}

function closedRound(marks: Meeting[], first: number, second: number): Meeting[] {
  const [start] = marks;
  if (!start) {
    const end = (firstAt: number, secondAt: number): Meeting => ({ first: 'end', second: 'end', firstAt, secondAt });
    return [end(0, 0), end(first, second)];
  }
  return [...marks, { ...start, firstAt: start.firstAt + first, secondAt: start.secondAt + second }];
}

interface Laid {
  begins: { first: number; second: number };
  turned: boolean;
  pairs: { a: RunMark; b: RunMark }[];
  lone: SeamWalk['lone'];
  /** How far all marks are off, mm. */
  cost: number;
}

/** Both lines from where the walk begins, with their marks paired. */
function laid(first: SeamRun, second: SeamRun, turned: boolean): Laid {
  const back = turned ? second.marks : second.marks.map(({ kind, at }) => ({ kind, at: second.length - at })).reverse();
  const from = (start: { first: number; second: number }): Laid => {
    // Where only one is closed, its mark at the place where it begins meets the ends of the other.
    const ends = first.closed !== second.closed;
    const inner = (marks: RunMark[], length: number) =>
      ends ? marks.filter(({ at }) => at > AT_END && at < length - AT_END) : marks;
    const a = inner(rebased(first.marks, start.first, first.length), first.length);
    const b = inner(rebased(back, start.second, second.length), second.length);
    const begins = { first: start.first, second: turned ? start.second : second.length - start.second };
    return { begins, turned, ...paired(a, b, first.length, second.length) };
  };
  // A closed line may begin anywhere: sewn to one with ends, at the centre back, where those ends meet.
  if (!first.closed || !second.closed)
    return from({ first: first.closed ? ringBegins(first.marks) : 0, second: second.closed ? ringBegins(back) : 0 });
  // Sewn to another closed one, each mark of the second is tried against the first mark of the first.
  const [lead] = first.marks;
  const starts = lead ? back.filter((mark) => meet(lead, mark)) : [];
  if (!lead || starts.length === 0) return from({ first: 0, second: 0 });
  return starts
    .map(({ at }) => from({ first: lead.at, second: at }))
    .reduce((best, each) => (each.cost < best.cost ? each : best));
}

function rebased(marks: readonly RunMark[], start: number, length: number): RunMark[] {
  if (start === 0) return [...marks];
  const moved = marks.map(({ kind, at }) => ({ kind, at: (at - start + length) % length }));
  return moved.sort((a, b) => a.at - b.at);
}

const ANY: readonly MeetingKind[] = ['notch', 'fold', 'quarter'];
const meet = (a: RunMark, b: RunMark): boolean => a.kind === b.kind || ANY.includes(a.kind) || ANY.includes(b.kind);

/** Pairs marks in their order so that all are off by as little as can be: by dynamic programming over both lists. */
function paired(
  first: readonly RunMark[],
  second: readonly RunMark[],
  l1: number,
  l2: number,
): Pick<Laid, 'pairs' | 'lone' | 'cost'> {
  const most = Math.max(APART, APART_SHARE * Math.max(l1, l2));
  const [n, m] = [first.length, second.length];
  const off = (i: number, j: number): number => {
    const [a, b] = [first[i]!, second[j]!];
    // By its share of each side: a side that is eased in all along still meets.
    const by = Math.min(Math.abs(a.at - b.at), Math.abs(a.at / l1 - b.at / l2) * Math.max(l1, l2));
    return meet(a, b) && by <= most ? by + (a.kind === b.kind ? 0 : 1e-3) : Infinity;
  };
  const cost: number[][] = Array.from({ length: n + 1 }, () => new Array<number>(m + 1).fill(0));
  for (let i = n; i >= 0; i--)
    for (let j = m; j >= 0; j--) {
      if (i === n || j === m) cost[i]![j] = ALONE * (n - i + m - j);
      else cost[i]![j] = Math.min(off(i, j) + cost[i + 1]![j + 1]!, ALONE + cost[i + 1]![j]!, ALONE + cost[i]![j + 1]!);
    }
  const pairs: Laid['pairs'] = [];
  const lone: Laid['lone'] = [];
  const alone = (side: 'first' | 'second', { kind, at }: RunMark) => lone.push({ side, kind, at });
  for (let i = 0, j = 0; i < n || j < m;) {
    if (i < n && j < m && cost[i]![j] === off(i, j) + cost[i + 1]![j + 1]!) pairs.push({ a: first[i++]!, b: second[j++]! });
    else if (i < n && (j === m || cost[i]![j] === ALONE + cost[i + 1]![j]!)) alone('first', first[i++]!);
    else alone('second', second[j++]!);
  }
  return { pairs, lone, cost: cost[0]![0]! };
}
