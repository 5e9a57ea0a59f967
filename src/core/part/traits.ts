import { clothBendingLength, fibreShare, isSealed, ruinedByPressing, type Fabric } from '../cloth';
import type { Part } from './part';

/** What follows from a cloth's description, worked out once for all rules. */
export interface Traits {
  /** Effective stretch each way, %: a bias-cut piece gives even when its cloth does not. */
  stretchLength: number;
  stretchCross: number;
  maxStretch: number;
  minStretch: number;
  gives: boolean;
  /** Too unstable for a sheet that is torn away. */
  unstableForStitching: boolean;
  /** Pressing would flatten or melt what is on the face. */
  ruinedByPressing: boolean;
  /** Leather, film or coating on the face. */
  sealed: boolean;
  /** Holes that glue comes through. */
  open: boolean;
  /** Loft or loops in which stitches sink. */
  needsTopping: boolean;
  /** A hoop would leave a mark that stays. */
  hoopMarks: boolean;
  loose: boolean;
  /** Hangs in folds by itself: silk, viscose, crepe, satin, fine knits that are as soft as their kind mostly is. */
  flows: boolean;
  /** Share of fibres that soak up water, 0–1. */
  natural: number;
}

/** A woven cloth gives about this much at 45° under a gentle pull, %. */
const BIAS_GIVE = 12;

/** Below this no cloth is called stretchy, %. */
export const STRETCHY = 8;

/** Thickness for its weight, mm for each g/m², from which an opaque woven cloth has a raised nap; crinkles are as thick without one. */
const BRUSHED = 0.0033;

function isBrushed({ thickness, arealDensity, sheer, surface }: Fabric): boolean {
  return sheer === 'opaque' && !surface.includes('crinkled') && thickness !== undefined && thickness / arealDensity > BRUSHED;
}

/** Cloth that hangs softer than this flows, mm of bending length, when it is of a kind that does. */
const FLOWING = 18.5;
const FINE_KNIT = 180;

function flows(fabric: Fabric, weave: string): boolean {
  const kind =
    fibreShare(fabric, 'silk', 'viscose', 'acetate') >= 0.5 ||
    (fabric.construction === 'woven' && (weave === 'crepe' || weave === 'satin')) ||
    (fabric.construction === 'knit' && fabric.arealDensity <= FINE_KNIT);
  return kind && clothBendingLength(fabric).value < FLOWING;
}

/**
 * What follows from a cloth for a part: whether it gives, is open, sealed, marked by a hoop, ruined by pressing.
 *
 * @example traitsOf(jersey, collar).gives // true
 */
export function traitsOf(fabric: Fabric, part: Part): Traits {
  const bias = part.cut === 'bias' ? (fabric.biasGive ?? BIAS_GIVE) : 0;
  const stretchLength = Math.max(fabric.stretchLength, bias);
  const stretchCross = Math.max(fabric.stretchCross, bias);
  const has = (surface: Fabric['surface'][number]) => fabric.surface.includes(surface);
  const weave = fabric.weave ?? (fabric.construction === 'knit' ? 'jersey' : 'plain');
  const pile = has('pile') || weave === 'pile';
  const openwork = has('openwork') || weave === 'eyelet' || fabric.construction === 'net';
  const sealed = isSealed(fabric);
  const rawStretch = Math.max(fabric.stretchLength, fabric.stretchCross);
  const loose = weave === 'loose' || weave === 'sweater';
  return {
    stretchLength,
    stretchCross,
    maxStretch: Math.max(stretchLength, stretchCross),
    minStretch: Math.min(stretchLength, stretchCross),
    gives: fabric.construction === 'knit' || rawStretch >= STRETCHY || part.cut === 'bias',
    unstableForStitching:
      fabric.construction === 'knit' ||
      rawStretch >= STRETCHY ||
      loose ||
      weave === 'twill' ||
      // Raised cloth, such as flannel, gives under the needle though it is woven.
      (fabric.construction === 'woven' && (has('lofty') || isBrushed(fabric))) ||
      weave === 'fleece' ||
      weave === 'terry' ||
      weave === 'rib' ||
      weave === 'jersey',
    ruinedByPressing: ruinedByPressing({ ...fabric, weave }),
    sealed,
    open: openwork,
    needsTopping: pile || has('lofty') || has('looped') || weave === 'terry' || weave === 'fleece',
    hoopMarks: sealed || pile,
    loose,
    flows: flows(fabric, weave),
    natural: fibreShare(fabric, 'cotton', 'linen', 'wool', 'silk', 'viscose'),
  };
}
