import { InputError, requireNumber } from '../../input-error';
import { edgeRunsOf, openPiece, sewnOutline, stitched, type Mark } from '../../pieces';
import { distanceToEdge, edgeNames, isInside, nearestOnBorder, type Point } from '../../shape';
import { SLASH_CUT } from '../../part';
import { placeAlong } from '../../seams/seam-run';
import { ALLOWANCE } from '../allowance-field';
import { godetPiece, sewingGodet } from '../godet-piece';
import type { EdgeKind, EdgeSource } from './edge-kind';

/** A slash keeps so far from other edges and from another slash, mm: the strip that holds it needs room. */
const CLEAR = 15;

/** How far apart along a hem the two places are that tell its direction, mm. */
const NEAR = 1;
type Along = ReturnType<typeof placeAlong>;

interface Measures {
  slash: number;
  gain: number;
  count: number;
  onFold: number;
  allowance: number;
}

/** Slashes from an edge into the piece, evenly along it, each with the godet that is set into it. */
export const slashes: EdgeKind = {
  id: 'edge-slashes',
  name: 'Slashes with godets',
  words:
    'Slashes from the hem into the piece, evenly along it and square to it, each marked, held by a job of its own, and filled by a godet. Asked by what they add to the hem once they are sewn.',
  fields: [
    { field: 'slash', words: 'Slash, hem to point', kind: 'length', start: 300, min: 20, max: 3000 },
    { field: 'gain', words: 'Each adds, sewn', kind: 'length', start: 200, min: 5, max: 6000 },
    { field: 'count', words: 'How many', kind: 'number', start: 1, min: 0, max: 40 },
    { field: 'onFold', words: 'One on the fold too', kind: 'yes', start: 0, min: 0, max: 1 },
    { ...ALLOWANCE, max: 50 },
  ],
  make(source, values) {
    const { slash, gain, count, onFold, allowance } = values as Record<string, number> & Measures;
    if (!Number.isInteger(count)) throw new InputError('count', `must be a whole number, saw ${count}`);
    if (count === 0 && onFold === 0) throw new InputError('count', 'must be at least 1, where none lies on the fold; saw 0');
    // At the hem the stitching runs an allowance beside the slash: it is a little longer, and the panel loses one on each side.
    const side = Math.hypot(slash, allowance);
    const hem = gain + 2 * allowance;
    requireNumber('gain', gain, 'mm', { above: 0, max: Math.floor(Math.PI * side - 2 * allowance) });
    const { marks, edge } = slashMarks(source, { slash, count, onFold });
    const { spec, name, count: copies } = source;
    const opened = openPiece(stitched({ ...spec, marks })).marks;
    const godets = opened.length * copies;
    const hemAllowance = spec.own?.[edge] ?? spec.allowances[edge]!;
    const along = edgeNames(spec.shape)[edge]!.toLowerCase();
    return {
      pieces: [
        godetPiece({
          ...{ name: `${name}: godet`, side, angle: ((hem / side) * 180) / Math.PI, allowance },
          ...{ hem: hemAllowance, count: godets },
        }),
      ],
      onSource: {
        marks,
        jobs: opened.map(({ at, to }, i) => ({
          name: `slash ${i + 1}, ${along}`,
          place: { kind: 'line', line: [at, to!], width: SLASH_CUT.width },
          role: 'godet-slash',
        })),
      },
      seams: [{ first: { piece: 0, edges: [1] }, second: { piece: 0, edges: [3] } }],
      facts: [
        { words: 'Hem of a godet, sewn', length: hem },
        { words: 'Its sides, as long as the stitching', length: side },
        { words: 'They add to the hem of each piece', length: gain * opened.length },
      ],
      notes: [
        'Hold each slash before it is cut: its strip, and a thin patch at its point. Cut it last of all, through the hem, to the point and no further.',
        ...sewingGodet(),
        'Let it hang a day where it runs on the bias, then level the hem.',
      ],
    };
  },
};

/** Lines of the slashes on the shape, from the cut edge to the point, and the edge that they begin at. @throws {InputError} */
function slashMarks(
  { spec, edges }: EdgeSource,
  { slash, count, onFold }: Pick<Measures, 'slash' | 'count' | 'onFold'>,
): { marks: Mark[]; edge: number } {
  // The half that is drawn: its mirror image follows when it is opened out.
  const { outline, edges: owners } = sewnOutline({
    ...{ ...spec, fold: null, marks: [] },
    allowances: spec.allowances.map((mm, i) => (i === spec.fold ? 0 : mm)),
  });
  const run = edgeRunsOf(owners, edges)[0]!;
  if (run.length === outline.length) throw new InputError('edges', 'must leave an edge of the piece free');
  const line = [...run.map((i) => outline[i]!), outline[(run.at(-1)! + 1) % outline.length]!];
  const others = outline.flatMap((a, i) => {
    const stretch: [Point, Point] = [a, outline[(i + 1) % outline.length]!];
    // Beyond the fold lies the twin of what is before it.
    return run.includes(i) ? [] : [{ stretch, clear: owners[i] === spec.fold && onFold !== 1 ? CLEAR / 2 : CLEAR }];
  });
  const total = line.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - line[i]![0], y - line[i]![1]), 0);
  const fold = onFold === 1 ? foldSlash({ outline, owners, line }, spec.fold, slash) : null;
  const spaced = total / (count + 0.5);
  const found = Array.from({ length: count }, (_, k) => {
    // With one on the fold the next are as far from it as they are from each other, to both sides of it.
    const away = spaced * (k + 1);
    const far = !fold ? (total * (k + 0.5)) / count : fold.first ? away : total - away;
    const [before, { place: at }, after] = [far - NEAR, far, far + NEAR].map((each) => placeAlong(line, each)) as [
      Along,
      Along,
      Along,
    ];
    const inward = leftOf(before.place, after.place);
    const edge = owners[nearestOnBorder(outline, at).edge]!;
    const beyond = spec.own?.[edge] ?? spec.allowances[edge]!;
    const on = (deep: number): Point => [at[0] + deep * inward[0], at[1] + deep * inward[1]];
    return { edge, from: on(-beyond), at, to: on(slash) };
  });
  found.forEach(({ at, to }, i) => {
    if (found.slice(0, i).some((other) => apart([at, to], [other.at, other.to]) < CLEAR))
      throw new InputError('count', `must leave ${CLEAR} mm between two slashes, saw ${count} of them`);
  });
  found.forEach(({ at, to }, i) => {
    if (!isInside(to, outline) || others.some(({ stretch, clear }) => apart([at, to], stretch) < clear))
      throw new InputError(
        'slash',
        `must stay inside the piece, ${CLEAR} mm away from its other edges; ${slash} mm does not${count > 1 ? `, at number ${i + 1}` : ''}`,
      );
  });
  const marks = found.map(({ from, to }): Mark => ({ kind: 'slash', at: from, to }));
  if (!fold) return { marks, edge: found[0]!.edge };
  const edge = owners[fold.first ? run[0]! : run.at(-1)!]!;
  const beyond = spec.own?.[edge] ?? spec.allowances[edge]!;
  const [[x, y], [dx, dy]] = [fold.at, fold.inward];
  const own: Mark = { kind: 'slash', at: [x - beyond * dx, y - beyond * dy], to: [x + slash * dx, y + slash * dy] };
  const beside = outline.flatMap((a, i): [Point, Point][] => (run.includes(i) || owners[i] === spec.fold ? [] : [[a, outline[(i + 1) % outline.length]!]])); // prettier-ignore
  if (beside.some((stretch) => apart([fold.at, own.to!], stretch) < CLEAR))
    throw new InputError('slash', `must stay ${CLEAR} mm away from the other edges; ${slash} mm on the fold does not`);
  return { marks: [own, ...marks], edge };
}

/** The half that is drawn, with the edge of each stretch, and the line along which it is slashed. */
interface Slashed {
  outline: readonly Point[];
  owners: readonly number[];
  line: readonly Point[];
}

/** A slash along the fold: where it begins, which way it goes, and whether that is where the line begins. @throws {InputError} */
function foldSlash({ outline, owners, line }: Slashed, fold: number | null, slash: number) {
  if (fold === null) throw new InputError('onFold', 'needs a piece that is cut on the fold; this one has none');
  const at = owners.indexOf(fold);
  const ends: [Point, Point] = [outline[at]!, outline[(at + 1) % outline.length]!];
  const near = ([ax, ay]: Point, [bx, by]: Point) => Math.hypot(ax - bx, ay - by) < 1e-6;
  const [first, last] = [ends.findIndex((end) => near(end, line[0]!)), ends.findIndex((end) => near(end, line.at(-1)!))];
  const begins = Math.max(first, last);
  if (begins < 0) throw new InputError('onFold', 'needs edges that reach the fold; those that are touched do not');
  const [from, to] = [ends[begins]!, ends[1 - begins]!];
  const long = Math.hypot(to[0] - from[0], to[1] - from[1]);
  if (slash > long - CLEAR) throw new InputError('slash', `must end ${CLEAR} mm before the fold does, at ${Math.floor(long - CLEAR)} mm; saw ${slash} mm`); // prettier-ignore
  const inward: Point = [(to[0] - from[0]) / long, (to[1] - from[1]) / long];
  return { at: from, inward, first: first >= 0 };
}

/** Unit vector to the left of the way from one place to another. */
function leftOf([ax, ay]: Point, [bx, by]: Point): Point {
  const length = Math.hypot(bx - ax, by - ay);
  return [-(by - ay) / length, (bx - ax) / length];
}

/** Distance between two stretches, 0 where they cross, mm. */
function apart([a, b]: [Point, Point], [c, d]: [Point, Point]): number {
  const turn = (p: Point, q: Point, r: Point) => (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);
  if (turn(a, b, c) > 0 !== turn(a, b, d) > 0 && turn(c, d, a) > 0 !== turn(c, d, b) > 0) return 0;
  return Math.min(distanceToEdge(a, b, c), distanceToEdge(a, b, d), distanceToEdge(c, d, a), distanceToEdge(c, d, b));
}
