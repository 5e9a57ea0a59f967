import { InputError, requireNumber } from '../input-error';
import type { Outline } from '../shape';
import { besideOval, ovalOf, ovalPerimeter, sharpest, type Oval } from './oval';

/** What a layer of a hat is for, from the inside out. */
export const HAT_DUTIES = ['lining', 'base', 'soft-interlining', 'shell'] as const;
export type HatDuty = (typeof HAT_DUTIES)[number];

/** One layer of a hat. */
export interface HatLayer {
  id: string;
  duty: HatDuty;
  /** mm. */
  thickness: number;
}

/** What a hat is drawn from. mm. */
export interface HatInput {
  /** Round the head, and what the hat is wider than it. */
  head: number;
  ease: number;
  /** Length of the head's oval ÷ its width. */
  oval: number;
  bandHeight: number;
  /** 0 for a hat without a brim. */
  brimWidth: number;
  /** Seam allowance, where a layer has one. */
  allowance: number;
  /** From the inside out; exactly one is the base. */
  layers: readonly HatLayer[];
}

export type HatPieceName = 'tip' | 'band' | 'brim';

/** One piece of one layer. Lines in mm, front upward; a line does not repeat its first point. */
export interface HatPiece {
  layer: string;
  piece: HatPieceName;
  /** Where it is cut: the outer line. */
  cutLine: Outline;
  /** The line along which it is joined to the others; of the band its four seam lines. */
  sewLine: Outline;
  /** Inner line of a brim, where it is cut. */
  opening?: Outline;
  /** Finished outer line of a brim. */
  edge?: Outline;
  /** Length of the line along which it is joined, mm. */
  joint: number;
  /** How far the joined line lies outside that of the base, mm. */
  offset: number;
  /** How it lies to the grain. */
  cut: 'bias' | 'straight';
}

/** Which edges of a layer's piece have an allowance. */
interface Edges {
  /** Where it is joined: tip outside, brim inside, both long edges of the band. */
  joined: boolean;
  /** Outer edge of a brim. */
  outer: boolean;
}

/**
 * A stiff base ends at its seam lines but for the seam that joins it: tip outside, brim inside, band at the back; so does what softens it.
 * What is seen, and the lining, runs into every seam.
 */
function edgesOf(duty: HatDuty, piece: HatPieceName): Edges {
  if (duty === 'lining' || duty === 'shell') return { joined: true, outer: true };
  return { joined: piece !== 'band', outer: false };
}

const LONGEST = 20_000;
/** A head longer than this many times its width is none. */
const MOST_OVAL = 2;

/**
 * Tip, side band and brim of every layer of a hat. The base's lines are head + ease long; a layer further out is longer by 2π times what lies
 * between its inner face and the base's, one further in shorter by as much. Tip and brim of a layer are the oval's parallels, so that they
 * and the band meet on one length.
 *
 * @returns piece by piece, from the inside out; tip and brim on the bias, the band on the straight grain
 * @throws {InputError} naming the measure that does not work
 * @example hat({ head: 570, ease: 12, oval: 1.2, bandHeight: 90, brimWidth: 60, allowance: 10, layers: [{ id: 'buckram', duty: 'base', thickness: 0.8 }] })[0].joint // 582
 */
export function hat(input: HatInput): HatPiece[] {
  const { bandHeight, brimWidth, allowance, layers } = input;
  requireHat(input);
  const joint = input.head + input.ease;
  const oval = ovalOf(joint, input.oval);
  const offsets = offsetsOf(layers);
  return layers.flatMap((layer, i): HatPiece[] => {
    const offset = offsets[i]!;
    if (!(offset - allowance > -sharpest(oval)))
      throw new InputError(
        'allowance',
        `and the layers reach past the middle of the oval, whose sharpest end has a radius of ${sharpest(oval).toFixed(0)} mm; saw ${allowance} mm`,
      );
    const of = { layer: layer.id, offset, joint: joint + 2 * Math.PI * offset };
    return [
      tip(of, oval, edgesOf(layer.duty, 'tip'), allowance),
      band(of, bandHeight, edgesOf(layer.duty, 'band'), allowance),
      ...(brimWidth > 0 ? [brim(of, oval, brimWidth, edgesOf(layer.duty, 'brim'), allowance)] : []),
    ];
  });
}

type Of = Pick<HatPiece, 'layer' | 'offset' | 'joint'>;

function tip(of: Of, oval: Oval, { joined }: Edges, allowance: number): HatPiece {
  const sewLine = besideOval(oval, of.offset).flat();
  const cutLine = joined ? besideOval(oval, of.offset + allowance).flat() : sewLine;
  return { ...of, piece: 'tip', cutLine, sewLine, cut: 'bias' };
}

/** A band lies with its back seam at both ends, its joined edges below and above. */
function band(of: Of, height: number, { joined }: Edges, allowance: number): HatPiece {
  const box = (across: number, along: number): Outline => [
    [-across, -along],
    [of.joint + across, -along],
    [of.joint + across, height + along],
    [-across, height + along],
  ];
  return { ...of, piece: 'band', cutLine: box(allowance, joined ? allowance : 0), sewLine: box(0, 0), cut: 'straight' };
}

/** Outside all layers of a brim end together; inside each is joined along its own line. */
function brim(of: Of, oval: Oval, width: number, { joined, outer }: Edges, allowance: number): HatPiece {
  const line = (distance: number) => besideOval(oval, distance).flat();
  const sewLine = line(of.offset);
  const edge = line(width);
  return {
    ...{ ...of, piece: 'brim', sewLine, edge, cut: 'bias' },
    cutLine: outer ? line(width + allowance) : edge,
    opening: joined ? line(of.offset - allowance) : sewLine,
  };
}

/** How far the inner face of each layer lies outside the base's, mm. */
function offsetsOf(layers: readonly HatLayer[]): number[] {
  const base = layers.findIndex(({ duty }) => duty === 'base');
  const thick = (from: number, to: number) => layers.slice(from, to).reduce((sum, { thickness }) => sum + thickness, 0);
  return layers.map((_, i) => (i >= base ? thick(base, i) : -thick(i, base)));
}

function requireHat({ head, ease, oval, bandHeight, brimWidth, allowance, layers }: HatInput): void {
  requireNumber('head', head, 'mm', { above: 0, max: LONGEST });
  requireNumber('ease', ease, 'mm', { min: 0, max: 200 });
  requireNumber('oval', oval, '', { min: 1, max: MOST_OVAL });
  requireNumber('bandHeight', bandHeight, 'mm', { above: 0, max: LONGEST });
  requireNumber('brimWidth', brimWidth, 'mm', { min: 0, max: LONGEST });
  requireNumber('allowance', allowance, 'mm', { min: 0, max: 500 });
  layers.forEach(({ thickness }, i) => requireNumber(`layers[${i}].thickness`, thickness, 'mm', { min: 0, max: 100 }));
  const ids = layers.map(({ id }) => id);
  const twin = ids.findIndex((id, i) => ids.indexOf(id) !== i);
  if (twin >= 0) throw new InputError(`layers[${twin}].id`, `is there twice: ${JSON.stringify(ids[twin])}`);
  const bases = layers.filter(({ duty }) => duty === 'base').length;
  if (bases !== 1) throw new InputError('layers', `must hold exactly one base, saw ${bases}`);
  const order = layers.map(({ duty }) => HAT_DUTIES.indexOf(duty));
  const wrong = order.findIndex((place, i) => i > 0 && place < order[i - 1]!);
  if (wrong > 0)
    throw new InputError(
      `layers[${wrong}].duty`,
      `must stand from the inside out: ${HAT_DUTIES.join(', ')}; saw ${layers[wrong]!.duty} after ${layers[wrong - 1]!.duty}`,
    );
  if (!(brimWidth === 0 || brimWidth > offsetsOf(layers).at(-1)!))
    throw new InputError('brimWidth', `must be wider than the layers are thick, saw ${brimWidth} mm`);
}

/**
 * Perimeter of the base's oval and its length and width, mm.
 *
 * @example hatOval({ head: 570, ease: 12, oval: 1.2 }).perimeter // 582
 */
export function hatOval({ head, ease, oval }: Pick<HatInput, 'head' | 'ease' | 'oval'>) {
  const found = ovalOf(head + ease, oval);
  return { length: 2 * found.halfLength, width: 2 * found.halfWidth, perimeter: ovalPerimeter(found) };
}
