import { holesBorne, isSealed, type Fabric } from '../cloth';
import type { Embroidery, Role } from '../part';
import type { ChosenLayer } from '../layers';
import type { Traits } from '../part';

/** Stitches per cm² that are assumed when no motif is given: an even, medium fill; solid for a badge. */
const TYPICAL_DENSITY: Partial<Record<Role, number>> = { embroidery: 45, badge: 90, applique: 30, 'free-stitching': 20 };

/**
 * Stitches per cm² that a role is usually sewn with; undefined where nothing is stitched.
 *
 * @example typicalDensity('embroidery') // 45
 */
export function typicalDensity(role: Role): number | undefined {
  return TYPICAL_DENSITY[role];
}

/** Upper thread of an ordinary fill stitch, mm. Long satin stitches pull more than their number tells. */
const THREAD_PER_STITCH = 3;

/** What a motif lays on each cm² of the ground that is stitched. */
export interface MotifDensity {
  /** Stitches per cm². */
  stitches: number;
  /** Thread per cm², mm. */
  thread: number;
  /** Stitches per cm² of ordinary length that pull as hard: the larger of both counts. */
  pull: number;
}

/**
 * Stitches and thread per cm² of the ground that is stitched, of the motif's rectangle where that is not known.
 *
 * @example motifDensity({ stitches: 4000, width: 80, height: 50 }).stitches // 100
 */
export function motifDensity({ stitches, width, height, threadLength, area = width * height }: Embroidery): MotifDensity {
  const ground = area / 100;
  const perArea = stitches / ground;
  const thread = (threadLength ?? stitches * THREAD_PER_STITCH) / ground;
  return { stitches: perArea, thread, pull: Math.max(perArea, thread / THREAD_PER_STITCH) };
}

export interface EmbroideryLoad {
  density: number;
  /** Thread per cm², mm; only when it was given and pulls more than the stitches tell. */
  thread?: number;
  /** Stitches per cm² that the cloth alone carries without puckering. */
  cloth: number;
  /** The same with the stack. */
  carried: number;
  /** Needle holes per cm² that leather or film bears; only where they are more than the pull is. */
  holes?: number;
  /** Pull of the motif ÷ carried; on leather and film holes ÷ borne, where that is more: nothing that lies under them closes a hole. */
  share: number;
}

/**
 * How many stitches per cm² a gram of sheet adds. Our own starting figures: a firm cut-away under stable
 * cloth carries a dense fill, one light tear-away a light one. Re-fitted from the log.
 */
const PER_GRAM: Record<string, number> = {
  'tear-away': 1.25,
  'cut-away': 1.4,
  mesh: 1.5,
  'wash-away': 1.3,
  'heat-away': 0.7,
  // Loose fibre, held by the cloths on both sides of it: what is stitched through is one load on all of them.
  wadding: 0.3,
  fleece: 0.4,
};
/** Whatever joins cloth and sheet across their whole face lets the pair carry more. */
const JOIN: Record<string, number> = { loose: 1, 'spray-glued': 1.2, sticky: 1.25, fusible: 1.35, 'fusible-both': 1.35 };
/** A torn sheet holds unstable cloth only until it is perforated. */
const TEAR_ON_UNSTABLE = 0.4;
/** Two meshes at 45° even out each other's grain. */
const CROSSED = 1.1;

/** Threads of thin cloth give way before a heavy sheet does: below this weight, g/m², a pair carries at most so many times what the cloth does. */
const THIN = 90;
const THIN_MOST = 5;

const WEAVE_CARRY: Record<string, number> = { loose: 0.55, sweater: 0.5, satin: 0.8, crepe: 0.75, twill: 0.9, eyelet: 0.6 };

/**
 * Cloth-alone capacity in stitches per cm²: 45 for a stable 150 g/m² weave, with the root of its weight. With starch and one or two
 * tear-aways a quilting cotton then carries 100 to 150, which is daily practice.
 */
function clothCarries(fabric: Fabric, traits: Traits): number {
  const byWeight = Math.min(90, Math.max(9, 45 * Math.sqrt(fabric.arealDensity / 150)));
  const stretch = Math.max(fabric.stretchLength, fabric.stretchCross);
  const net = fabric.construction === 'net' ? 0.4 : 1;
  const weave = WEAVE_CARRY[fabric.weave ?? 'plain'] ?? 1;
  return (byWeight * weave * net * (traits.loose ? 0.9 : 1)) / (1 + stretch / 15);
}

/**
 * Load of a motif against what cloth and sheets carry.
 *
 * The cloth carries a share by weight and stability; each sheet adds by weight, family and how it is joined.
 * Thin cloth cannot pass more to the sheet than its own threads hold, so the sheets count less under it.
 *
 * @param factor how much more or less the pair has been found to carry
 * @example embroideryLoad(quilting, traitsOf(quilting, collar), [], motifDensity({ stitches: 400, width: 20, height: 20 })).share > 1 // true
 */
export function embroideryLoad(
  fabric: Fabric,
  traits: Traits,
  layers: readonly ChosenLayer[],
  motif: MotifDensity,
  factor = 1,
): EmbroideryLoad {
  const cloth = clothCarries(fabric, traits);
  const grip = Math.sqrt(Math.min(1, Math.max(0.12, fabric.arealDensity / 100)));
  let sheets = 0;
  let starch = 1;
  let crossed = 1;
  for (const { material, angle } of layers) {
    if (material.form === 'liquid') {
      starch = Math.max(starch, 1 + 0.25 * Math.log2(material.stiffening));
      continue;
    }
    const perGram = PER_GRAM[material.family];
    if (perGram === undefined) continue;
    const torn = material.family === 'tear-away' && traits.unstableForStitching ? TEAR_ON_UNSTABLE : 1;
    // Over holes the film itself is the ground that is stitched on.
    const hold = traits.open && material.family === 'wash-away' ? 1 : grip;
    sheets += perGram * material.arealDensity * (JOIN[material.form] ?? 1) * torn * hold;
    if (angle !== 0) crossed = CROSSED;
  }
  const together = cloth * starch + sheets * crossed;
  const thin = fabric.arealDensity < THIN && !traits.open;
  const carried = factor * (thin ? Math.min(together, THIN_MOST * cloth * starch) : together);
  const threadLeads = motif.pull > motif.stitches * 1.001;
  const borne = isSealed(fabric) ? holesBorne(fabric) : Infinity;
  const share = Math.max(motif.pull / carried, motif.stitches / borne);
  return {
    density: motif.stitches,
    ...(threadLeads ? { thread: motif.thread } : {}),
    cloth,
    carried,
    ...(share > motif.pull / carried ? { holes: borne } : {}),
    share,
  };
}
