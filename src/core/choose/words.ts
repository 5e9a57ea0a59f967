import type { Care, CutGrain, Role, StretchWish } from '../part';

/** Names of parts for lists and menus. */
export const ROLE_WORDS: Record<Role, string> = {
  collar: 'collar',
  cuff: 'cuff',
  'button-band': 'button band',
  buttonhole: 'buttonhole',
  'neck-facing': 'neck facing',
  'armhole-facing': 'armhole facing',
  waistband: 'straight waistband',
  'curved-waistband': 'curved waistband',
  hem: 'hem',
  'pocket-flap': 'pocket flap',
  welt: 'pocket welt',
  'zip-area': 'zip opening',
  'shoulder-seam': 'shoulder seam',
  lapel: 'lapel',
  undercollar: 'undercollar',
  'jacket-front': 'jacket front',
  bodice: 'fitted bodice',
  'whole-panel': 'whole panel',
  'godet-slash': 'slash for a godet',
  'inner-corner': 'inner corner',
  'flare-hem': 'flared hem',
  'hat-tip': 'hat tip',
  'hat-band': 'hat side band',
  'hat-brim': 'hat brim',
  'bag-panel': 'bag panel',
  'bag-base': 'bag base',
  'bag-lining': 'bag lining',
  'bag-flap': 'bag flap',
  'bag-strap': 'bag strap',
  tab: 'tab',
  'box-panel': 'box panel',
  'quilt-piece': 'quilt piece',
  'bias-piece': 'bias-cut piece',
  'knit-binding': 'knit binding strip',
  'knit-panel-quilt': 'knit panel for a quilt',
  applique: 'appliqué',
  embroidery: 'machine embroidery',
  badge: 'embroidered badge',
  'free-stitching': 'free-motion stitching',
  printing: 'printing',
  modelling: 'modelling',
};

/** How the front sentence goes on after “that should”. */
export const STRETCH_WORDS: Record<StretchWish, string> = {
  keep: 'keep its stretch',
  stop: 'lose its stretch',
  any: 'stretch or not',
};

export const CARE_WORDS: Record<Care, string> = {
  'wash-hot': 'washed hot',
  'wash-warm': 'washed warm',
  'hand-wash': 'washed by hand',
  'dry-clean': 'dry-cleaned',
  none: 'never washed',
};

export const CUT_WORDS: Record<CutGrain, string> = {
  straight: 'on the straight grain',
  cross: 'across the grain',
  bias: 'on the bias',
};
