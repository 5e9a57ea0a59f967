import type { Fabric } from './fabric';
import { isSealed } from './pressing';

/** Needle sizes: the thickness of the shaft, in hundredths of a millimetre, finest first. */
export const NEEDLES = [60, 65, 70, 75, 80, 90, 100, 110] as const;
export type Needle = (typeof NEEDLES)[number];

/** What machine embroidery is usually sewn with. */
export const USUAL_NEEDLE: Needle = 75;

/** Share of the ground that holes may take before threads of it are cut: 0.25, and this more for each g/m², within bounds. */
const BARE_SHARE = 0.25;
const SHARE_PER_WEIGHT = 0.0025;
const SHARES = { least: 0.3, most: 0.75 };

/** How much more or less that is by how threads can move out of a needle's way. Our own starting figures. */
const WEAVE: Partial<Record<NonNullable<Fabric['weave']>, number>> = {
  loose: 1.3,
  crepe: 1.15,
  terry: 1.1,
  // Long floats lie close and are hit.
  satin: 0.8,
  eyelet: 0.85,
};
/** A loop that is cut runs; felted fibres close again; in a film every hole stays. */
const KNIT = 0.8;
const NONWOVEN = 1.1;
const NET = 0.6;
const SEALED = 0.3;

/**
 * How many needle holes a square centimetre of a cloth bears before they cut it, as a rule of thumb by its weight, by how its threads
 * can move aside, and by the needle.
 *
 * @param needle size, hundredths of a millimetre
 * @returns stitches per cm²
 * @example holesBorne(quilting, 75) // about 137
 */
export function holesBorne(fabric: Fabric, needle: Needle = USUAL_NEEDLE): number {
  const { arealDensity, construction, weave } = fabric;
  const share = Math.min(SHARES.most, Math.max(SHARES.least, BARE_SHARE + SHARE_PER_WEIGHT * arealDensity));
  const moves = isSealed(fabric)
    ? SEALED
    : construction === 'knit'
      ? KNIT
      : construction === 'nonwoven'
        ? NONWOVEN
        : construction === 'net'
          ? NET
          : ((weave && WEAVE[weave]) ?? 1);
  const hole = (Math.PI / 4) * (needle / 100) ** 2;
  return (100 * share * moves) / hole;
}

/** What needle holes do to a cloth where a motif is densest. */
export interface NeedleHoles {
  /** Densest spot, and what the cloth bears, stitches per cm². */
  peak: number;
  borne: number;
  cuts: boolean;
  /** The thickest of the finer needles with which it would bear them; undefined where none helps or none is needed. */
  finer: Needle | undefined;
}

/**
 * Whether the needle holes of a motif's densest spot may cut a cloth, and which needle would spare it.
 *
 * @param peak densest spot, stitches per cm² @param needle size, hundredths of a millimetre
 * @example needleHoles(quilting, 90, 75).cuts // false
 */
export function needleHoles(fabric: Fabric, peak: number, needle: Needle = USUAL_NEEDLE): NeedleHoles {
  const borne = holesBorne(fabric, needle);
  const cuts = peak > borne;
  const finer = cuts ? NEEDLES.filter((each) => each < needle && peak <= holesBorne(fabric, each)).at(-1) : undefined;
  return { peak, borne, cuts, finer };
}
