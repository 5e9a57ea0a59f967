import { InputError } from '../input-error';
import type { Mark } from '../pieces';
import type { PieceShape, Point } from '../shape';
import { besideOval, sharpest, type Oval } from './oval';
import type { RecipePiece } from './recipe';

/** How a hat is built. mm, degrees. */
export interface HatBuild {
  /** Oval of the base at its lower line. */
  round: Oval;
  bandHeight: number;
  /** By how much the band is shorter round above than below; 0 for a straight one. */
  taper: number;
  /** 0 for a flat crown with a tip, else how many gores a dome has, and how high it is. */
  gores: number;
  crown: number;
  /** 0 for no brim. */
  brimWidth: number;
  /** How steep the brim leaves the level; 0 for a flat one. */
  dip: number;
}

/** A layer of it: how far outside the base it lies, and how long it is round, mm. */
export interface HatLayerLine {
  offset: number;
  joint: number;
}

/** What a piece of a hat is drawn by; edges of band and of a steep brim: lower or outer, right end, upper or inner, left end. */
export type HatShape = Pick<RecipePiece, 'shape' | 'grain' | 'marks'> & { cut: 'bias' | 'straight' };

/** Longest radius that is drawn, mm. */
const LONGEST = 15_000;
/** Least and widest angle of what is cut from a cone, so that its ends stay clear of each other, degrees. */
const LEAST = 2;
const WIDEST = 340;
/** Points along the side of a gore. */
const STEPS = 96;
/** An oval line keeps so much of its sharpest radius, as a share. */
const ROOM = 0.1;

const degrees = (radians: number) => (radians * 180) / Math.PI;

/**
 * The tip of a flat crown: the oval's parallel that is as long as the band is above.
 *
 * @throws {InputError} naming `taper`
 * @example tipShape(hatBuild, { offset: 0, joint: 582 }).cut // 'bias'
 */
export function tipShape({ round, taper }: HatBuild, { offset }: HatLayerLine): HatShape {
  const beside = offset - taper / (2 * Math.PI);
  if (!(beside > -(1 - ROOM) * sharpest(round)))
    throw new InputError(
      'taper',
      `leaves no tip: the oval’s sharpest end has a radius of ${sharpest(round).toFixed(0)} mm; saw ${taper} mm`,
    );
  return { shape: ovalShape(round, beside), grain: 0, marks: ovalMarks(round, beside), cut: 'bias' };
}

/**
 * One gore of a dome of revolution on a round base: each seam is as long as the dome's meridian, an ellipse's quarter from the band to the
 * top; all gores together are as wide as the dome is round at the band, and close flat at the top. Edges: lower, right, left.
 *
 * @example goreShape(hatBuild, { offset: 0, joint: 582 }).shape.kind // 'drawn'
 */
export function goreShape({ gores, crown, taper }: HatBuild, { offset, joint }: HatLayerLine): HatShape {
  const radius = (joint - taper) / (2 * Math.PI);
  const height = crown + offset;
  const [flat, round] = [Math.sin(Math.PI / gores), Math.PI / gores];
  /** Half of the width where the dome has this radius. */
  const half = (r: number) => flat * r * (1 + (round / flat - 1) * (r / radius) ** 2);
  const right: Point[] = [[half(radius), 0]];
  let y = 0;
  for (let k = 1; k <= STEPS; k++) {
    const [from, to] = [(Math.PI / 2) * ((k - 1) / STEPS), (Math.PI / 2) * (k / STEPS)];
    const [r0, r1] = [radius * Math.cos(from), k === STEPS ? 0 : radius * Math.cos(to)];
    const seam = Math.hypot(r1 - r0, height * (Math.sin(to) - Math.sin(from)));
    y += Math.sqrt(Math.max(0, seam ** 2 - (half(r1) - half(r0)) ** 2));
    right.push([half(r1), y]);
  }
  const top = right.at(-1)!;
  const left = right.slice(1, -1).reverse().map(([x, at]): Point => [-x, at]); // prettier-ignore
  return {
    shape: {
      kind: 'drawn',
      edges: [
        { from: [-right[0]![0], 0], via: [] },
        { from: right[0]!, via: right.slice(1, -1) },
        { from: top, via: left },
      ],
    },
    grain: 0,
    marks: [{ kind: 'notch', at: [0, 0] }],
    cut: 'straight',
  };
}

/**
 * The side band: straight, or a strip of the cone whose upper line is shorter.
 *
 * @throws {InputError} naming `taper`
 * @example bandShape(hatBuild, { offset: 0, joint: 582 }).shape.kind // 'rectangle'
 */
export function bandShape({ bandHeight, taper }: HatBuild, { joint }: HatLayerLine): HatShape {
  if (taper === 0)
    return {
      shape: { kind: 'rectangle', width: joint, height: bandHeight, corners: [false, false, false, false], corner: 0 },
      grain: 90,
      marks: [0, 1, 2, 3].flatMap((k) => [0, bandHeight].map((y): Mark => ({ kind: QUARTERS[k]!, at: [(k * joint) / 4, y] }))),
      cut: 'straight',
    };
  const angle = taper / bandHeight;
  const least = Math.ceil(Math.max((LEAST * Math.PI * bandHeight) / 180, (joint * bandHeight) / LONGEST));
  const most = Math.floor(Math.min((WIDEST * Math.PI * bandHeight) / 180, 0.8 * joint));
  if (!(taper >= least && taper <= most))
    throw new InputError('taper', `must be 0 for a straight band, or ${least} to ${most} mm at this height; saw ${taper} mm`);
  return { ...coneStrip((joint - taper) / angle, joint / angle, angle), cut: 'straight' };
}

/**
 * In how many parts a brim is cut: one, or two halves where the cone leaves no room for the allowances of a back seam.
 *
 * @param joint of the innermost layer that it has, mm @param allowance mm
 * @example brimParts({ ...hatBuild, dip: 10 }, 582, 10) // 2
 */
export function brimParts({ dip }: Pick<HatBuild, 'dip'>, joint: number, allowance: number): 1 | 2 {
  if (dip === 0) return 1;
  const angle = coneAngle(dip);
  const clear = (joint / angle - allowance) * Math.sin(Math.min(Math.PI / 2, (2 * Math.PI - angle) / 2));
  return degrees(angle) <= WIDEST && clear > allowance + 1 ? 1 : 2;
}

/** A cone that leaves the level so steeply, laid flat, radians. */
const coneAngle = (dip: number) => 2 * Math.PI * Math.cos((dip * Math.PI) / 180);

/**
 * The brim: a flat ring around the oval, or a strip of the cone that dips or is turned up by so many degrees, drawn for a round head, whole
 * or as one of two halves. Every layer of it ends on one outer line.
 *
 * @throws {InputError} naming `brimWidth` where the layers alone are as wide
 * @example brimShape({ ...hatBuild, dip: 40 }, { offset: 0, joint: 582 }, 1).shape.kind // 'sector'
 */
export function brimShape({ round, brimWidth, dip }: HatBuild, { offset, joint }: HatLayerLine, parts: 1 | 2): HatShape {
  if (dip === 0)
    return {
      shape: { ...ovalShape(round, brimWidth), holes: [besideOval(round, offset).flat()] },
      grain: 0,
      marks: ovalMarks(round, offset),
      cut: 'bias',
    };
  const angle = coneAngle(dip);
  const inner = joint / angle;
  const outer = (joint - 2 * Math.PI * offset) / angle + brimWidth;
  const least = Math.ceil(((2 * Math.PI) / angle) * offset + 2);
  if (!(outer > inner + 1))
    throw new InputError('brimWidth', `must be at least ${least} mm at this slope, or 0; saw ${brimWidth} mm`);
  return { ...coneStrip(inner, outer, angle / parts, parts === 1 ? QUARTERS : HALVES), cut: 'bias' };
}

/** A strip of a cone, its seam at both ends; marks on its outer and its inner line, evenly from its left end on. */
function coneStrip(
  inner: number,
  outer: number,
  angle: number,
  marks: readonly Mark['kind'][] = QUARTERS,
): Pick<HatShape, 'shape' | 'grain' | 'marks'> {
  const at = (radius: number, share: number): Point => {
    const turn = angle * (share - 0.5);
    return [radius * Math.sin(turn), -radius * Math.cos(turn)];
  };
  return {
    shape: { kind: 'sector', inner, outer, angle: degrees(angle) },
    grain: 0,
    marks: marks.flatMap((kind, k) => [outer, inner].map((radius): Mark => ({ kind, at: at(radius, k / marks.length) }))),
  };
}

/** The back seam is at both ends; the front is in the middle, the sides halfway. */
const QUARTERS = ['centre-back', 'side', 'centre-front', 'side'] as const;

/** Of a half: its seams are at the sides, its middle in front or behind. */
const HALVES = ['side', 'notch'] as const;

/** Four edges, from side to front, front to side, side to back, back to side. */
function ovalShape(round: Oval, distance: number): PieceShape & { kind: 'drawn' } {
  return { kind: 'drawn', edges: besideOval(round, distance).map(([from, ...via]) => ({ from: from!, via })) };
}

function ovalMarks(round: Oval, distance: number): Mark[] {
  const [side, front, other, back] = besideOval(round, distance).map((quarter) => quarter[0]!);
  return [
    { kind: 'centre-front', at: front! },
    { kind: 'centre-back', at: back! },
    { kind: 'side', at: side! },
    { kind: 'side', at: other! },
  ];
}
