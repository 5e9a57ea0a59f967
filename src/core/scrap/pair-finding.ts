import { keptKey, type Join } from '../layers';
import type { FoundSetting } from '../steps';

/** What a scrap found for a cloth with one layer in one use; every job of the pair asks it. */
export interface PairFinding {
  clothId: string;
  /** The layer with the way it is used. */
  key: string;
  setting: FoundSetting;
}

/**
 * What was found for the layers of a stack on a cloth, the last finding of each.
 *
 * @param findings of any cloths, the last one first @param layers as they are kept
 * @example settingsFound([], 'linen', [{ materialId: 'light-woven' }]) // []
 */
export function settingsFound(
  findings: readonly PairFinding[],
  clothId: string,
  layers: readonly { materialId: string; join?: Join | undefined }[],
): FoundSetting[] {
  return layers.flatMap((layer) => {
    const key = keptKey(layer);
    return findings.find((finding) => finding.clothId === clothId && finding.key === key)?.setting ?? [];
  });
}
