/** What a cut is for among all that are cut by the same pattern piece. */
export const DUTIES = ['shell', 'lining', 'underlining', 'soft-interlining', 'base', 'pocketing'] as const;
export type Duty = (typeof DUTIES)[number];

/** Duties that may be cut from a layer of the cupboard itself: a base of buckram, what softens it. */
export const OF_LAYERS: readonly Duty[] = ['base', 'soft-interlining'];

/**
 * Duties that lie with their wrong side to the wrong side of the outer cloth: cut from the same pattern, they are its mirror image. An
 * underlining lies right side to wrong side, and is cut as the cloth is.
 */
const FACES_SHELL: readonly Duty[] = ['lining', 'pocketing'];

/**
 * Whether a cut is the mirror image of its pattern.
 *
 * @example isMirrored('lining') // true
 */
export function isMirrored(duty: Duty): boolean {
  return FACES_SHELL.includes(duty);
}

export const DUTY_WORDS: Record<Duty, string> = {
  shell: 'outer cloth',
  lining: 'lining',
  underlining: 'underlining',
  'soft-interlining': 'soft interlining',
  base: 'base',
  pocketing: 'pocketing',
};
