/** What a person knows of one bottle. What is not known is left out. */
export interface Bottle {
  /** Weighed before and after some pulls, ml. */
  mlPerPull?: number;
  /** Share of concentrate, 0–1; it is used as it comes when it is not said. */
  strength?: number;
  /** Left in it, ml; of concentrate where it is mixed. */
  left?: number;
}

/**
 * What is missing from a bottle for so much liquid, ml of what is bought: of concentrate where it is mixed.
 *
 * @returns undefined where nobody said how much is left
 * @example shortOf({ left: 100, strength: 0.5 }, 300) // 50
 */
export function shortOf({ left, strength = 1 }: Bottle, millilitres: number): number | undefined {
  return left === undefined ? undefined : Math.max(0, millilitres * strength - left);
}
