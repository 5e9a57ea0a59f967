import { useCallback, useMemo } from 'react';
import type { RankedStack } from '../../core/choose';
import type { Schools } from '../../core/schools';
import { shopWords } from '../../core/cutplan';
import type { LengthSystem } from '../../core/units';
import { useToBuy } from '../../ui/use-to-buy';
import { buyingFor, buyingOf, keptStack, type AnswerGroup, type Buying } from './answers';

/** So many answers are laid out for a job without being opened. */
const LAID_OUT = 8;

interface Question {
  /** The job that the answers are for; without one rectangles of the usual size are reckoned with. */
  jobId: string | undefined;
  groups: readonly AnswerGroup[];
  /** The one that is looked at. */
  open?: RankedStack | undefined;
  schools: Partial<Schools>;
  trim: number;
  system: LengthSystem;
}

/** What has to be bought for each answer: for a job by its true outlines and after the cupboard, otherwise for pieces of the usual size. */
export function useBought({ jobId, groups, open, schools, trim, system }: Question) {
  // With other ways of working it is laid out otherwise.
  const keyOf = useCallback(({ id }: RankedStack) => `${id} ${JSON.stringify(schools)}`, [schools]);
  const stacks = useMemo(() => {
    const first = jobId === undefined ? [] : groups.slice(0, LAID_OUT).map(({ best }) => best);
    const all = jobId === undefined || !open || first.includes(open) ? first : [open, ...first];
    return all.map((stack) => ({ id: keyOf(stack), layers: keptStack(stack).layers, schools }));
  }, [jobId, groups, open, schools, keyOf]);
  const lines = useToBuy(jobId, stacks, trim, system);
  const write = (mm: number) => shopWords(mm, system);
  const bought = (stack: RankedStack): Buying | undefined => {
    if (jobId === undefined) return buyingOf(stack, system, write);
    const own = lines.get(keyOf(stack));
    return own && buyingFor(own, stack, write);
  };
  return { bought, linesOf: (stack: RankedStack) => lines.get(keyOf(stack)) };
}
