import { DEFAULT_LAYER_OUTLINE } from '../pieces';
import type { Part, Role } from '../part';
import type { PieceSize } from './protocol';

/** Seam allowance and trim of a piece that nobody described, mm. */
const USUAL_ALLOWANCE = 10;
export const allowanceOf = ({ allowance }: PieceSize): number => allowance ?? USUAL_ALLOWANCE;
export const trimOf = ({ trim }: PieceSize): number => trim ?? DEFAULT_LAYER_OUTLINE.trim;

/**
 * Width of a band once it is folded and sewn, mm.
 *
 * @example finishedBand({ width: 700, height: 100, count: 1, allowance: 10 }) // 40
 */
export function finishedBand(piece: PieceSize): number {
  return Math.min(piece.width, piece.height) / 2 - allowanceOf(piece);
}

/** What a part usually measures, so that length, cost and time can be told before a piece is described. */
const TYPICAL: Record<Role, [width: number, height: number, count: number]> = {
  collar: [450, 90, 2],
  cuff: [260, 130, 4],
  'button-band': [700, 70, 2],
  buttonhole: [80, 50, 8],
  'neck-facing': [360, 150, 2],
  'armhole-facing': [280, 120, 4],
  waistband: [800, 90, 1],
  'curved-waistband': [420, 120, 4],
  hem: [1500, 60, 1],
  'pocket-flap': [170, 90, 4],
  welt: [180, 60, 4],
  'zip-area': [500, 40, 2],
  'shoulder-seam': [140, 30, 2],
  lapel: [450, 160, 4],
  undercollar: [260, 110, 2],
  'jacket-front': [700, 320, 2],
  bodice: [500, 450, 4],
  'whole-panel': [900, 600, 2],
  'godet-slash': [60, 60, 4],
  'inner-corner': [60, 60, 4],
  'flare-hem': [4000, 50, 1],
  'hat-tip': [200, 170, 1],
  'hat-band': [620, 110, 1],
  'hat-brim': [360, 360, 2],
  'bag-panel': [420, 380, 2],
  'bag-base': [320, 120, 1],
  'bag-lining': [420, 380, 2],
  'bag-flap': [340, 240, 2],
  'bag-strap': [1200, 80, 2],
  tab: [120, 60, 2],
  'box-panel': [250, 180, 4],
  'quilt-piece': [110, 110, 24],
  'bias-piece': [700, 400, 2],
  'knit-binding': [1500, 50, 1],
  'knit-panel-quilt': [380, 380, 6],
  applique: [160, 160, 1],
  embroidery: [160, 160, 1],
  badge: [90, 90, 1],
  'free-stitching': [300, 300, 1],
  printing: [210, 297, 1],
  modelling: [300, 300, 1],
};

/**
 * The usual size of a role's piece.
 *
 * @example typicalPiece('collar').count // 2
 */
export function typicalPiece(role: Role): PieceSize {
  const [width, height, count] = TYPICAL[role];
  return { width, height, count };
}

/**
 * Field that is stitched, mm: the motif's, and of a block all of it, which is worked and trimmed whole; where no motif is known yet, all of a
 * badge or an appliqué, and of embroidery on a larger piece as much as it usually takes.
 *
 * @param piece size of the piece, mm
 * @example stitchedField({ role: 'embroidery' }, { width: 500, height: 120 }) // { width: 160, height: 120 }
 */
export function stitchedField(
  { role, embroidery }: Pick<Part, 'role'> & { embroidery?: { width: number; height: number } | undefined },
  { width, height }: { width: number; height: number },
): { width: number; height: number } {
  if (embroidery && role !== 'quilt-piece') return { width: embroidery.width, height: embroidery.height };
  if (role !== 'embroidery') return { width, height };
  const [usual, high] = TYPICAL.embroidery;
  return { width: Math.min(width, usual), height: Math.min(height, high) };
}
