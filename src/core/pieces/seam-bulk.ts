import type { Extent } from '../layers';

export interface SeamBulk {
  /** A plain seam: everything that runs into the allowance, twice, mm. */
  seam: number;
  /** A turned corner: four times, mm. */
  corner: number;
  /** Whether the corner still passes under the raised foot. */
  clears: boolean;
}

/**
 * Whether a layer is caught in the seam: at full size, or trimmed by less than the allowance. mm.
 *
 * @example runsIntoSeam('trimmed', 10, 6) // true
 */
export function runsIntoSeam(extent: Extent, allowance: number, trim: number): boolean {
  return extent === 'full' || (extent === 'trimmed' && trim < allowance);
}

/**
 * Thickness of a seam and of a turned corner against what the machine clears under its raised foot.
 *
 * A layer counts when it runs into the allowance: at full size, or trimmed by less than the allowance.
 *
 * @param clothThickness mm @param allowance mm @param trim how far trimmed layers stay inside the cut edge, mm
 * @param clearance mm under the raised foot
 * @example seamBulkOf(0.3, [], 10, 6, 6).seam // 0.6
 */
export function seamBulkOf(
  clothThickness: number,
  layers: readonly { thickness: number; extent: Extent }[],
  allowance: number,
  trim: number,
  clearance: number,
): SeamBulk {
  let inSeam = clothThickness;
  for (const { thickness, extent } of layers) {
    if (runsIntoSeam(extent, allowance, trim)) inSeam += thickness;
  }
  return { seam: 2 * inSeam, corner: 4 * inSeam, clears: 4 * inSeam <= clearance };
}
