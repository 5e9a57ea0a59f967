import type { Fabric } from '../cloth';
import type { Material } from '../layers';

/** How a piece lies to the grain of its cloth. */
export type GrainCut = 'straight' | 'cross' | 'bias';

/** What decides how a piece may be turned. */
export interface Grained {
  cut: GrainCut;
  /** Direction of the grain line, degrees counter-clockwise from upright. */
  grain: number;
  /** A print or a nap runs one way. */
  oneWay?: boolean;
}

/** A piece that has no direction to keep may lie at any angle. */
export const FREELY = 'freely';

/** The turns that are allowed, degrees, or all of them. */
export type Turns = number[] | typeof FREELY;

/** A layer gives one way when it stretches this many times as far that way, and this much at least, %. */
const ONE_WAY_GIVE = 2;
const GIVE = 10;

/** A piece that is so many times as wide as it is high is a band, and lies along the grain. */
const BAND = 2;

/**
 * Grain line of a rectangle for which nobody said any: upright, but along a band.
 *
 * @param width mm @param height mm
 * @returns degrees counter-clockwise from upright
 * @example usualGrain(800, 90) // 90
 */
export function usualGrain(width: number, height: number): number {
  return width > BAND * height ? 90 : 0;
}

/**
 * Turns, in degrees, in which a layer may be cut from its roll. One with a grain follows the piece's own; one that gives
 * one way is laid so that it gives across the piece, where a body needs it; one without a grain may lie any way round.
 *
 * @example allowedTurns(lightWoven, { grain: 0, cut: 'straight', oneWay: false }) // [ 0, 180 ]
 */
export function allowedTurns(material: Pick<Material, 'grain' | 'stretchLength' | 'stretchCross'>, piece: Grained): Turns {
  if (!material.grain) return FREELY;
  const { stretchLength, stretchCross } = material;
  const givesAlong = stretchLength >= GIVE && stretchLength > ONE_WAY_GIVE * stretchCross;
  return turns(cutTurns(piece.cut), (givesAlong ? 90 : 0) - piece.grain);
}

/**
 * Turns in which a piece may be cut from its cloth: along its grain, one way up where a print or a nap asks for it.
 *
 * @example clothTurns(poplin, { grain: 0, cut: 'straight', oneWay: false }) // [ 0, 180 ]
 */
export function clothTurns(fabric: Pick<Fabric, 'construction' | 'surface'>, piece: Grained): Turns {
  const nap = fabric.surface.includes('pile');
  if ((fabric.construction === 'nonwoven' || fabric.construction === 'leather' || fabric.construction === 'coated') && !nap) {
    if (piece.oneWay) return turns([0], -piece.grain);
    // Hides and backings give more one way than the other, though less than a grain does.
    return fabric.construction === 'nonwoven' ? FREELY : turns([0, 90, 180, 270], -piece.grain);
  }
  const all = cutTurns(piece.cut);
  return turns(piece.oneWay || nap ? all.slice(0, 1) : all, -piece.grain);
}

function cutTurns(cut: GrainCut): number[] {
  if (cut === 'cross') return [90, 270];
  // One diagonal only: the two of a twill do not hang alike, and the arrow on paper has to agree with the table.
  if (cut === 'bias') return [315, 135];
  return [0, 180];
}

/**
 * Direction of the grain line on a piece: how the cloth's length runs in it. Screen, prints, drawings and the table all ask
 * this function, so that whoever lays the arrow along the selvedge cuts the piece as it lies on the table.
 *
 * @returns degrees counter-clockwise from upright, in (−90, 90]
 * @example grainLine({ cut: 'bias', grain: 0 }) // 45
 */
export function grainLine({ cut, grain }: Pick<Grained, 'cut' | 'grain'>): number {
  return asLine(-(turns(cutTurns(cut), -grain)[0] ?? 0));
}

/**
 * Direction of the grain line that turns keep to, as {@link grainLine}; null where any turn will do.
 *
 * @example grainOfTurns(clothTurns(poplin, { grain: 0, cut: 'straight', oneWay: false })) // 0
 */
export function grainOfTurns(allowed: Turns): number | null {
  return allowed === FREELY ? null : asLine(-(allowed[0] ?? 0));
}

/** The same line with an angle in (−90, 90]. */
function asLine(angle: number): number {
  const turned = (((angle + 90) % 180) + 180) % 180;
  return turned === 0 ? 90 : turned - 90;
}

function turns(angles: readonly number[], by: number): number[] {
  return angles.map((angle) => (((angle + by) % 360) + 360) % 360);
}
