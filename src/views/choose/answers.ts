import type { RankedStack } from '../../core/choose';

/** Answers of one kind: the best of them, and the same kind in other weights. */
export interface AnswerGroup {
  best: RankedStack;
  others: RankedStack[];
}

/** What makes two stacks the same kind of answer: the same layers put on the same way. */
function kindOf(stack: RankedStack): string {
  return stack.layers.map((layer) => `${layer.family}/${layer.form}`).join('+');
}

/** Gathers stacks that differ only in weight, in order of their best. */
export function groupAnswers(ranked: readonly RankedStack[]): AnswerGroup[] {
  const groups = new Map<string, AnswerGroup>();
  for (const stack of ranked) {
    const kind = kindOf(stack);
    const group = groups.get(kind);
    if (group) group.others.push(stack);
    else groups.set(kind, { best: stack, others: [] });
  }
  return [...groups.values()];
}

/** Score in words, so that nobody has to guess what 84 means. */
export function verdict(score: number): string {
  if (score >= 92) return 'very good';
  if (score >= 82) return 'good';
  if (score >= 70) return 'fair';
  return 'a compromise';
}

/** A stack in the form in which it is kept with its part. */
export function keptStack({ title, layers, predicted, reasons, cautions }: RankedStack) {
  return {
    title,
    layers: layers.map(({ materialId, extent, angle }) => ({ materialId, extent, angle })),
    predicted,
    reasons,
    cautions,
  };
}
