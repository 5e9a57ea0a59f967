/** The part that is to be held, as the choosing rules see it. Allowed words are exported for forms and checks. */
export const ROLES = [
  'collar',
  'cuff',
  'button-band',
  'buttonhole',
  'neck-facing',
  'armhole-facing',
  'waistband',
  'curved-waistband',
  'hem',
  'pocket-flap',
  'welt',
  'zip-area',
  'shoulder-seam',
  'lapel',
  'undercollar',
  'jacket-front',
  'bodice',
  'whole-panel',
  'godet-slash',
  'inner-corner',
  'flare-hem',
  'hat-tip',
  'hat-band',
  'hat-brim',
  'bag-panel',
  'bag-base',
  'bag-lining',
  'bag-flap',
  'bag-strap',
  'tab',
  'box-panel',
  'quilt-piece',
  'bias-piece',
  'knit-binding',
  'knit-panel-quilt',
  'applique',
  'embroidery',
  'badge',
  'free-stitching',
  'printing',
  'modelling',
] as const;
export const HANDS = ['fluid', 'soft', 'firm', 'crisp', 'rigid'] as const;
export const CUTS = ['straight', 'cross', 'bias'] as const;
export const STRETCHES = ['keep', 'stop', 'any'] as const;
export const CARES = ['wash-hot', 'wash-warm', 'hand-wash', 'dry-clean', 'none'] as const;
export const AVOIDS = ['liquid', 'spray-glue', 'fusible', 'sewing-by-hand'] as const;

export type Role = (typeof ROLES)[number];
export type Hand = (typeof HANDS)[number];
export type CutGrain = (typeof CUTS)[number];
export type StretchWish = (typeof STRETCHES)[number];
export type Care = (typeof CARES)[number];
export type Avoid = (typeof AVOIDS)[number];

export interface Embroidery {
  stitches: number;
  /** mm. */
  width: number;
  /** mm. */
  height: number;
  /** Whether the motif comes nearer to an edge than a clamp allows, or that distance in mm. */
  nearEdge?: boolean | number;
  /** Length of the upper thread, mm; three millimetres a stitch when it is not known. */
  threadLength?: number;
  /** Ground that is stitched, mm²; all of the rectangle when it is not known. */
  area?: number;
}

export interface Part {
  role: Role;
  hand?: Hand;
  cut: CutGrain;
  stretch: StretchWish;
  care: Care;
  cutAlready?: boolean;
  embroidery?: Embroidery;
  avoid?: Avoid[];
}

/** Bending length of the finished stack that each feel stands for, mm. A starting table, tuned by the log. */
export const HAND_BANDS: Record<Hand, readonly [low: number, high: number]> = {
  fluid: [10, 18],
  soft: [18, 26],
  firm: [26, 40],
  crisp: [35, 60],
  rigid: [60, 150],
};
