import type { Family, Form } from '../layers';
import type { LayerDuty, Question } from './protocol';
import { isQuiltBlock, type Role } from '../part';

/** What a layer may be in some place of a stack. */
export interface Slot {
  families: readonly Family[];
  forms?: readonly Form[];
  /** Weights that make sense here, g/m². */
  weight?: readonly [min: number, max: number];
}

/**
 * What one layer does for another, so that both together serve: where it lies, on which question, and what that is worth. Stacks are
 * generated from these: a single layer that serves the role, then everything that does something for a layer that is there.
 */
export interface Helper {
  id: string;
  adds: Slot | 'the same';
  duty: LayerDuty;
  /** Beside a layer such as this. */
  to: Slot;
  /** Next to the cloth; just before that layer, between it and the cloth; or behind it. */
  place: 'outermost' | 'before' | 'behind';
  /** Angle against the grain, degrees. */
  angle?: number;
  /** It comes after so many layers of the same material: a second, a third one. */
  after?: number;
  /** Three layers are what is wanted here, not two with one more. */
  crowns?: true;
  /** What the stack with it serves, 0–100, from what the one without it does; undefined where nobody does it. */
  serves(question: Question, without: number): number | undefined;
}

const HATS: readonly Role[] = ['hat-tip', 'hat-band', 'hat-brim'];
const PADDED: readonly Role[] = ['bag-panel', 'bag-flap'];
const FACINGS: readonly Role[] = ['neck-facing', 'armhole-facing'];
/** Sheets of which several can be laid together; a sticky one only takes the first. */
const JOINABLE: readonly Form[] = ['loose', 'fusible', 'spray-glued'];
/** More wadding than a quilt has, g/m². */
const THICK_WADDING = 150;

const at = (roles: readonly Role[], { part }: Question) => roles.includes(part.role);
const stitched = ({ profile, part }: Question) => profile.kind === 'stitch' && part.role !== 'badge';

const THIN_BODY: Slot = { families: ['nonwoven', 'woven', 'tricot', 'stretch-knit'], weight: [18, 50] };
const SMOOTH_BODY: Slot = { families: ['woven', 'nonwoven'], forms: ['fusible'], weight: [40, 90] };
const STARCH: Slot = { families: ['starch'], weight: [5, 10] };
const STAYS: Slot = { families: ['cut-away', 'mesh'] };

/** What layers do for each other, by the thing that is made. */
export const HELPERS: readonly Helper[] = [
  // Under the needle: the cloth made firm, a sheet more, a sheet that goes beside one that stays.
  {
    id: 'starch',
    adds: STARCH,
    duty: 'treatment',
    to: { families: ['tear-away'] },
    place: 'outermost',
    serves: (q, without) =>
      stitched(q) ? without + (q.traits.unstableForStitching ? -36 : q.fabric.arealDensity <= 260 ? 9 : -8) : undefined,
  },
  {
    id: 'starch-over-what-stays',
    adds: STARCH,
    duty: 'treatment',
    to: STAYS,
    place: 'outermost',
    serves: (q, without) => (stitched(q) ? without - (q.traits.unstableForStitching && q.traits.gives ? 42 : 15) : undefined),
  },
  {
    id: 'stabilized-ground',
    adds: { families: ['liquid-stabilizer'] },
    duty: 'treatment',
    to: STAYS,
    place: 'outermost',
    serves: (q, without) => (q.part.role === 'free-stitching' ? Math.min(74, without + 8) : undefined),
  },
  {
    id: 'second-tear-away',
    adds: 'the same',
    duty: 'main',
    to: { families: ['tear-away'], forms: ['loose'] },
    place: 'behind',
    after: 1,
    serves: (q, without) => (at(['embroidery', 'applique'], q) ? without - (q.traits.unstableForStitching ? 44 : 8) : undefined),
  },
  {
    id: 'crossed-mesh',
    adds: 'the same',
    duty: 'main',
    to: { families: ['mesh'], forms: JOINABLE },
    place: 'behind',
    angle: 45,
    after: 1,
    serves: (q, without) =>
      q.profile.kind !== 'stitch'
        ? undefined
        : q.part.role === 'badge'
          ? Math.max(80, without + 6)
          : q.traits.unstableForStitching || q.fabric.sheer !== 'opaque' || q.fabric.arealDensity < 100
            ? without + 6
            : without - 14,
  },
  {
    id: 'third-mesh',
    adds: 'the same',
    duty: 'main',
    to: { families: ['mesh'], forms: JOINABLE },
    place: 'behind',
    after: 2,
    crowns: true,
    // Three layers that are wanted give nothing up for being three: a badge is hardly ever sewn on fewer.
    serves: (q, without) => (q.part.role === 'badge' ? Math.max(98, without + 7) : undefined),
  },
  {
    id: 'film-over-mesh-pair',
    adds: { families: ['topping'] },
    duty: 'topping',
    to: { families: ['mesh'], forms: JOINABLE },
    place: 'outermost',
    after: 2,
    crowns: true,
    // Two meshes carry a badge where a film keeps its satin edge from sinking.
    serves: (q, without) => (q.part.role === 'badge' ? Math.max(95, without + 6) : undefined),
  },
  {
    id: 'second-cut-away',
    adds: 'the same',
    duty: 'main',
    to: { families: ['cut-away'], forms: JOINABLE },
    place: 'behind',
    after: 1,
    serves: (q, without) => (at(['embroidery', 'badge'], q) ? without - (q.fabric.arealDensity > 180 ? 4 : 22) : undefined),
  },
  {
    id: 'tear-away-under-what-stays',
    adds: { families: ['tear-away'], forms: ['loose'], weight: [25, 60] },
    duty: 'main',
    to: STAYS,
    place: 'behind',
    serves: (q, without) => (at(['embroidery', 'applique'], q) ? without - 10 : undefined),
  },
  {
    id: 'quilt-sandwich',
    adds: { families: ['wadding'], weight: [60, THICK_WADDING] },
    duty: 'main',
    to: { families: ['mesh'] },
    place: 'before',
    // Mesh is nothing for this by itself; behind wadding it is what holds the block together.
    serves: (q) =>
      q.part.role === 'free-stitching' || isQuiltBlock(q.part) ? 98 : q.part.role === 'embroidery' ? 64 : undefined,
  },

  // Garments: an edge held, a chest, a hem that stands, a point.
  {
    id: 'taped-edge',
    adds: { families: ['stay-tape'], weight: [30, 100] },
    duty: 'strip',
    to: THIN_BODY,
    place: 'behind',
    serves: (q) =>
      at(FACINGS, q) ? (q.part.stretch === 'stop' || (q.traits.gives && q.part.stretch === 'any') ? 92 : 66) : undefined,
  },
  {
    id: 'taped-front',
    adds: { families: ['stay-tape'], weight: [30, 100] },
    duty: 'strip',
    to: { families: ['weft', 'hair-canvas', 'woven'] },
    place: 'behind',
    serves: (q, without) => (at(['jacket-front', 'lapel'], q) ? without - (q.part.stretch === 'stop' ? 2 : 12) : undefined),
  },
  {
    id: 'chest-piece',
    adds: { families: ['hair-canvas'] },
    duty: 'patch',
    to: { families: ['weft', 'woven'], forms: ['fusible'], weight: [38, 110] },
    place: 'behind',
    serves: (q) => (at(['jacket-front', 'lapel'], q) ? (q.fabric.arealDensity >= 220 ? 93 : 60) : undefined),
  },
  {
    id: 'interfaced-flare',
    adds: { families: ['woven', 'nonwoven', 'tricot'], weight: [18, 60] },
    duty: 'main',
    to: { families: ['braid'] },
    place: 'outermost',
    serves: (q) => (q.part.role === 'flare-hem' ? (q.fabric.arealDensity < 200 ? 86 : 74) : undefined),
  },
  {
    id: 'guarded-point',
    adds: { families: ['organdy', 'organza'], weight: [20, 80] },
    duty: 'patch',
    to: { families: ['nonwoven', 'woven', 'tricot'], weight: [18, 45] },
    place: 'behind',
    serves: (q) => (q.part.role === 'godet-slash' ? 93 : undefined),
  },
  {
    id: 'edged-underlining',
    adds: { families: ['nonwoven', 'woven', 'tricot'], forms: ['fusible'], weight: [18, 40] },
    duty: 'strip',
    to: { families: ['cloth-underlining', 'organza'] },
    place: 'behind',
    serves: (q) => (at(['bodice', 'whole-panel'], q) ? (q.part.stretch === 'stop' ? 84 : 68) : undefined),
  },

  // Bags and boxes: the face made smooth, a padding, a core under it.
  {
    id: 'smooth-face',
    adds: SMOOTH_BODY,
    duty: 'main',
    to: { families: ['fleece', 'foam', 'wadding'] },
    place: 'outermost',
    serves: (q) => (at(PADDED, q) ? (q.fabric.arealDensity < 260 ? 95 : 80) : undefined),
  },
  {
    id: 'padding-behind-firm',
    adds: { families: ['wadding', 'fleece'] },
    duty: 'main',
    to: { families: ['firm-nonwoven'], forms: ['fusible'], weight: [120, 260] },
    place: 'behind',
    serves: (q) => (at(PADDED, q) ? (q.fabric.arealDensity < 260 ? 92 : 82) : undefined),
  },
  {
    id: 'wadding-behind-sewn',
    adds: { families: ['wadding'], forms: ['loose', 'spray-glued'] },
    duty: 'main',
    to: { families: ['firm-nonwoven'], forms: ['sew-in'], weight: [140, 270] },
    place: 'behind',
    serves: (q) => (at(PADDED, q) ? 80 : undefined),
  },
  {
    id: 'strap-with-core',
    adds: { families: ['woven'], forms: ['fusible'], weight: [40, 90] },
    duty: 'main',
    to: { families: ['fleece', 'firm-nonwoven'], weight: [60, 210] },
    place: 'outermost',
    serves: (q) => (q.part.role === 'bag-strap' ? (q.fabric.arealDensity < 300 ? 90 : 66) : undefined),
  },
  {
    id: 'cushioned-core',
    adds: { families: ['fleece'], forms: ['fusible'] },
    duty: 'main',
    to: { families: ['stiff-core', 'firm-nonwoven'], weight: [200, 900] },
    place: 'outermost',
    serves: (q) => (at(['bag-base', 'box-panel'], q) ? 94 : undefined),
  },

  // Hats: a soft cloth so that the base does not show.
  {
    id: 'mulled-buckram',
    adds: { families: ['mulling'] },
    duty: 'main',
    to: { families: ['buckram'] },
    place: 'outermost',
    serves: (q) => (at(HATS, q) ? (q.part.role === 'hat-brim' ? 96 : 100) : undefined),
  },
  {
    id: 'mulled-firm',
    adds: { families: ['mulling'] },
    duty: 'main',
    to: { families: ['firm-nonwoven'] },
    place: 'outermost',
    serves: (q) => (at(HATS, q) ? (q.part.role === 'hat-brim' ? 93 : 78) : undefined),
  },
];
