import type { PairRecord } from '../learn';
import type { Schools } from '../schools';
import type { CriterionId } from './criteria/criterion';
import type { PieceSize } from './piece-size';

/** What leads when several stacks would serve. */
export const LEADS = ['cost', 'effort'] as const;
export type Lead = (typeof LEADS)[number];

/** Wishes beyond what the part itself asks for. */
export interface Wishes {
  /** The finished part must stay as see-through as the cloth. */
  staySheer?: boolean;
  /** Only layers that are in the cupboard. */
  useMine?: boolean;
  /** Cheapest or quickest first. */
  lead?: Lead;
}

/** How much more or less each criterion matters than usual; 1 leaves it, 0 leaves it out. */
export type Weights = Partial<Record<CriterionId, number>>;

/** Everything besides cloth, part and library that bears on an answer. */
export interface Asking {
  /** Most stacks to return, 24 if not given. */
  limit?: number;
  /** Words of refused layers that are looked for; without them some of every heading are told. */
  find?: string;
  /** What was filed about this cloth, by the stack's id. */
  memory?: ReadonlyMap<string, PairRecord>;
  /** Ids of layers that are in the cupboard. */
  atHand?: ReadonlySet<string>;
  wishes?: Wishes;
  weights?: Weights;
  schools?: Partial<Schools>;
  /** Size and count of the pieces; a typical one for the role if not given. */
  piece?: PieceSize;
}
