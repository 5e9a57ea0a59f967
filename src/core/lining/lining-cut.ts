import { liningHem } from './advise-lining';

/** What a pleat for ease takes of each half, mm. */
export const LINING_PLEAT = 20;

/**
 * Allowances of its own with which a lining that hangs free is cut: shorter at its hem, and wider by a pleat in the middle, at the fold or at
 * a seam. The pleat is stitched along the pattern's own line for its upper end, and pressed to one side.
 *
 * @param piece its allowances, mm, and the edge that lies on the fold @param hem edge at which it hangs free, or null
 * @param pleat edge that the pleat lies along, or null
 * @returns one for each edge, mm; null as the pattern has it; null alone where nothing differs
 * @example liningOwn({ allowances: [10, 10, 40, 10], fold: 3 }, 2, 3) // [ null, null, 15, 20 ]
 */
export function liningOwn(
  { allowances, fold }: { allowances: readonly number[]; fold: number | null },
  hem: number | null,
  pleat: number | null,
): (number | null)[] | null {
  if (hem === null && pleat === null) return null;
  return allowances.map((mm, i) => {
    if (i === hem) return liningHem(mm);
    if (i !== pleat) return null;
    return i === fold ? LINING_PLEAT : mm + LINING_PLEAT;
  });
}
