import { embroideryLoad, motifDensity, traitsOf, type Embroidery, type Part } from '../choose';
import { isSealed, needleHoles, USUAL_NEEDLE, type Fabric, type Needle, type NeedleHoles } from '../cloth';
import type { ChosenLayer } from '../layers';
import type { Island, MotifBounds } from '../motif';

export type Verdict = 'easily' | 'near' | 'too-much';

/** Load of one island of a motif. */
export interface Zone {
  number: number;
  stitches: number;
  /** Stitches per cm² of the ground that shares its pull. */
  perSquare: number;
  share: number;
  bounds: MotifBounds;
}

export interface MotifVerdict {
  verdict: Verdict;
  /** Largest pull ÷ carried, over the whole motif and its islands; on leather and film also holes ÷ borne, where that is more. */
  share: number;
  /** The same without what was learnt of this pair: what a result is filed against. */
  modelShare: number;
  zones: Zone[];
  /** What would bring it to an easy load, when it is too much: fewer stitches, or the same ones drawn larger, %. */
  change: { fewer: number; larger: number } | undefined;
  topping: { needed: boolean; why: string };
  /** What needle holes do to the cloth at the densest spot. */
  holes: NeedleHoles;
}

/** Up to here it is carried easily. */
const EASY = 0.8;
/** Stitching pulls on at least so much ground, mm a side: a single letter has the cloth around it to share its pull. */
const LEAST_GROUND = 20;

/** So many islands, those with the most stitches, are judged on their own; smaller ones only as part of the whole. */
const MOST_ZONES = 200;

type Stitching = Pick<Island, 'number' | 'stitches' | 'threadLength' | 'bounds' | 'area'>;

/** What a motif lays on its ground, as choosing sees it: the whole, and each island with what lies within it. */
export interface MotifLoad {
  whole: Embroidery;
  /** In the order in which they are sewn. */
  islands: { number: number; bounds: MotifBounds; embroidery: Embroidery }[];
  /** Densest spot, stitches per cm². */
  peak: number;
}

/**
 * Adds up what pulls on which ground. A motif is gone through once for this, however many stacks are judged by it.
 *
 * @param islands all of them, mm @param bounds of all stitching, mm @param peak densest spot, stitches per cm²
 * @example motifLoad([], box, 0).peak // 0
 */
export function motifLoad(islands: readonly Stitching[], bounds: MotifBounds, peak: number): MotifLoad {
  const largest = [...islands].sort((a, b) => b.stitches - a.stitches || a.number - b.number).slice(0, MOST_ZONES);
  return {
    whole: embroideryOf(islands, bounds),
    islands: largest
      .sort((a, b) => a.number - b.number)
      .map(({ number, bounds: box }) => ({
        number,
        bounds: box,
        // What is sewn inside a ring pulls on the same ground as the ring.
        embroidery: embroideryOf(
          islands.filter((other) => isWithin(other.bounds, box)),
          box,
        ),
      })),
    peak,
  };
}

/** Stitches and thread of some islands, their rectangle, and the ground that is stitched, which shares their pull. */
function embroideryOf(islands: readonly Stitching[], { minX, minY, maxX, maxY }: MotifBounds): Embroidery {
  return {
    stitches: islands.reduce((sum, { stitches }) => sum + stitches, 0),
    width: Math.max(LEAST_GROUND, maxX - minX),
    height: Math.max(LEAST_GROUND, maxY - minY),
    threadLength: islands.reduce((sum, { threadLength }) => sum + threadLength, 0),
    // What an outline goes round bears none of its pull.
    area: Math.max(
      LEAST_GROUND ** 2,
      islands.reduce((sum, { area }) => sum + area, 0),
    ),
  };
}

function isWithin(inner: MotifBounds, outer: MotifBounds): boolean {
  return inner.minX >= outer.minX && inner.maxX <= outer.maxX && inner.minY >= outer.minY && inner.maxY <= outer.maxY;
}

/**
 * What a motif asks of a cloth with a stack, zone by zone.
 *
 * @param factor how much more the pair has been found to carry than the model says @param needle that it is sewn with
 * @example judgeMotif(quilting, { ...collar, role: 'embroidery' }, [], motifLoad(islandsOf(motif, box), box, 40)).share > 0 // true
 */
export function judgeMotif(
  fabric: Fabric,
  part: Part,
  layers: readonly ChosenLayer[],
  { whole, islands, peak }: MotifLoad,
  factor = 1,
  needle: Needle = USUAL_NEEDLE,
): MotifVerdict {
  const traits = traitsOf(fabric, part);
  const shareOf = (embroidery: Embroidery) => embroideryLoad(fabric, traits, layers, motifDensity(embroidery), factor).share;
  const zones = islands.map(({ number, bounds, embroidery }): Zone => ({
    number,
    stitches: embroidery.stitches,
    perSquare: motifDensity(embroidery).stitches,
    share: shareOf(embroidery),
    bounds,
  }));
  const holes = needleHoles(fabric, peak, needle);
  // Where every hole stays, holes are what it bears least of.
  const pierced = isSealed(fabric) ? holes.peak / holes.borne : 0;
  const share = Math.max(pierced, shareOf(whole), ...zones.map((zone) => zone.share));
  const verdict: Verdict = share <= EASY ? 'easily' : share <= 1 ? 'near' : 'too-much';
  const byFive = (value: number) => Math.max(5, Math.ceil(value / 5) * 5);
  const covered = layers.some(({ material }) => material.family === 'topping');
  return {
    verdict,
    share,
    modelShare: share * factor,
    zones,
    change:
      verdict === 'too-much' ? { fewer: byFive(100 * (1 - 1 / share)), larger: byFive(100 * (Math.sqrt(share) - 1)) } : undefined,
    topping: {
      needed: traits.needsTopping,
      why: traits.needsTopping
        ? `Its face is ${fabric.surface.includes('looped') || fabric.weave === 'terry' ? 'looped' : 'lofty'}: without a topping the stitches sink in.${covered ? ' There is one on top.' : ''}`
        : 'Its face is flat: no topping is needed.',
    },
    holes,
  };
}
