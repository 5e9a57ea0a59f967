/** What a cut is for among all that are cut by the same pattern piece. */
export const DUTIES = ['shell', 'lining', 'underlining', 'soft-interlining', 'base', 'pocketing'] as const;
export type Duty = (typeof DUTIES)[number];

/** Duties that may be cut from a layer of the cupboard itself: a base of buckram, what softens it. */
export const OF_LAYERS: readonly Duty[] = ['base', 'soft-interlining'];

export const DUTY_WORDS: Record<Duty, string> = {
  shell: 'outer cloth',
  lining: 'lining',
  underlining: 'underlining',
  'soft-interlining': 'soft interlining',
  base: 'base',
  pocketing: 'pocketing',
};
