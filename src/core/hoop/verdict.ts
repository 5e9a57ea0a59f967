import { embroideryLoad, motifDensity, traitsOf, type Embroidery, type Part } from '../choose';
import type { Fabric } from '../cloth';
import type { ChosenLayer } from '../layers';
import { STITCH, type Island, type Motif, type MotifBounds } from '../motif';

export const VERDICTS = ['easily', 'near', 'too-much'] as const;
export type Verdict = (typeof VERDICTS)[number];

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
  /** Largest pull ÷ carried, over the whole motif and its islands. */
  share: number;
  /** The same without what was learnt of this pair: what a result is filed against. */
  modelShare: number;
  zones: Zone[];
  /** What would bring it to an easy load, when it is too much: fewer stitches, or the same ones drawn larger, %. */
  change: { fewer: number; larger: number } | undefined;
  topping: { needed: boolean; why: string };
  /** Densest spot, and whether needle holes there may cut the cloth. */
  cuts: boolean;
}

/** Up to here it is carried easily. */
const EASY = 0.8;
/** Stitching pulls on at least so much ground, mm a side: a single letter has the cloth around it to share its pull. */
const LEAST_GROUND = 20;
/** More holes than this on a square centimetre perforate a thin cloth, and a sturdy one. */
const HOLES = { thin: 90, sturdy: 160, thinBelow: 110 };

/** A motif and each of its islands as choosing sees them: stitches, thread and the rectangle that shares their pull. */
export function embroideryOf(motif: Motif, bounds: MotifBounds): Embroidery {
  let [stitches, threadLength] = [0, 0];
  for (let i = 0; i < motif.command.length; i++) {
    if (motif.command[i] !== STITCH) continue;
    const [x, y] = [motif.x[i]!, motif.y[i]!];
    if (x < bounds.minX - 1e-6 || x > bounds.maxX + 1e-6 || y < bounds.minY - 1e-6 || y > bounds.maxY + 1e-6) continue;
    stitches++;
    if (i > 0 && motif.command[i - 1] === STITCH) threadLength += Math.hypot(x - motif.x[i - 1]!, y - motif.y[i - 1]!);
  }
  return {
    stitches,
    width: Math.max(LEAST_GROUND, bounds.maxX - bounds.minX),
    height: Math.max(LEAST_GROUND, bounds.maxY - bounds.minY),
    threadLength,
  };
}

/**
 * What a motif asks of a cloth with a stack, zone by zone.
 *
 * @param peak densest spot, stitches per cm² @param factor how much more the pair has been found to carry than the model says
 */
export function judgeMotif(
  fabric: Fabric,
  part: Part,
  layers: readonly ChosenLayer[],
  motif: Motif,
  bounds: MotifBounds,
  islands: readonly Pick<Island, 'number' | 'bounds'>[],
  peak: number,
  factor = 1,
): MotifVerdict {
  const traits = traitsOf(fabric, part);
  const shareOf = (embroidery: Embroidery) => embroideryLoad(fabric, traits, layers, motifDensity(embroidery), factor).share;
  const zones = islands.map(({ number, bounds: box }): Zone => {
    const embroidery = embroideryOf(motif, box);
    return {
      number,
      stitches: embroidery.stitches,
      perSquare: (100 * embroidery.stitches) / (embroidery.width * embroidery.height),
      share: shareOf(embroidery),
      bounds: box,
    };
  });
  const share = Math.max(shareOf(embroideryOf(motif, bounds)), ...zones.map((zone) => zone.share));
  const verdict: Verdict = share <= EASY ? 'easily' : share <= 1 ? 'near' : 'too-much';
  const byFive = (value: number) => Math.max(5, Math.ceil(value / 5) * 5);
  const covered = layers.some(({ material }) => material.family === 'topping');
  const limit = fabric.arealDensity < HOLES.thinBelow ? HOLES.thin : HOLES.sturdy;
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
    cuts: peak > limit,
  };
}
