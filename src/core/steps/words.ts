/** Sentences and words that several kinds of step share. */
export const HEAT_SAFETY = 'The iron and its steam burn: fingers clear, and off while it cools or is cleaned.';
export const SPRAY_SAFETY = 'Fresh air, away from flames, never over a hot iron; a mask if your breathing is sensitive.';
export const NEEDLE_SAFETY = 'Keep hands clear of the moving hoop; needle up before anything is slid under it.';
export const BLADE_SAFETY = 'Cut away from the hand, and cap the blade.';

export const IRON = ['', 'cool (one dot)', 'medium (two dots)', 'hot (three dots)'];
export const IRON_SHORT = ['no', 'cool', 'medium', 'hot'];
export const COVER: Record<string, string> = {
  none: 'without a cover',
  paper: 'under baking paper',
  cloth: 'under a thin cotton cloth',
  organza: 'under silk organza',
  'damp-cloth': 'under a damp cloth',
  shoe: 'with a shoe on the iron',
};
