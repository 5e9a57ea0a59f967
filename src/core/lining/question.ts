import type { Fabric } from '../cloth';
import type { Care } from '../choose';

/** What is lined. A bag is lined to be filled, clothes to be slipped into. */
export const LINED_THINGS = ['coat', 'jacket', 'waistcoat', 'skirt', 'trousers', 'dress', 'bag'] as const;
export type LinedThing = (typeof LINED_THINGS)[number];

/** What a lining is looked for for. */
export interface LiningQuestion {
  outer: Fabric;
  thing: LinedThing;
  /** Worn on the skin there. */
  skin: boolean;
  /** Free at the hem; else caught in every seam. */
  hangs: boolean;
  care: Care;
}
