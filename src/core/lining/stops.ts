import { fibreShare, isSealed, ruinedByPressing, type Fabric } from '../cloth';
import type { LiningQuestion } from './question';

/** Why a cloth cannot be this lining. */
export interface LiningStop {
  id: string;
  when: (question: LiningQuestion, cloth: Fabric) => boolean;
  words: string;
}

/** A knit that gives so much is worn for it, %. */
const GIVES = 25;

/** Every hard stop, the first that holds is told. */
export const LINING_STOPS: readonly LiningStop[] = [
  {
    id: 'open',
    when: (_, { construction, surface, weave }) => construction === 'net' || surface.includes('openwork') || weave === 'eyelet',
    words: 'Full of holes: it lines nothing.',
  },
  {
    id: 'sealed',
    when: ({ thing }, cloth) => thing !== 'bag' && isSealed(cloth),
    words: 'Leather or film: neither air nor moisture passes, and every needle hole stays.',
  },
  {
    id: 'rough',
    when: (_, { surface, weave }) => surface.includes('beaded') || weave === 'terry',
    words: 'Loops or beads inside: they catch on everything.',
  },
  {
    id: 'felt',
    when: ({ thing }, { construction }) => thing !== 'bag' && construction === 'nonwoven',
    words: 'Felt pulls apart where it is rubbed.',
  },
  {
    id: 'washed',
    when: ({ care }, cloth) => (care === 'wash-hot' || care === 'wash-warm') && cloth.water === 'spots',
    words: 'Water spots it, and the thing is washed.',
  },
  {
    id: 'hot',
    when: ({ care }, cloth) => care === 'wash-hot' && fibreShare(cloth, 'wool', 'silk', 'acetate') > 0.3,
    words: 'Does not bear a hot wash.',
  },
  {
    id: 'held',
    when: ({ outer, hangs }, cloth) =>
      !hangs &&
      Math.max(outer.stretchLength, outer.stretchCross) >= GIVES &&
      Math.max(cloth.stretchLength, cloth.stretchCross) < GIVES / 2,
    words: 'Does not give, caught in every seam of a cloth that is worn for its stretch.',
  },
  {
    id: 'crushed',
    when: (question, cloth) => question.thing !== 'bag' && ruinedByPressing(cloth) && cloth.weave === 'pile',
    words: 'Its pile creeps against the outer cloth and grips what is worn under it.',
  },
];
