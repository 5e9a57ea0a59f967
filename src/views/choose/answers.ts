import type { RankedStack } from '../../core/choose';
import type { Schools } from '../../core/schools';

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

/** A time as people plan it: to five minutes, in hours from ninety. */
export function minutesWords(minutes: number): string {
  const rounded = Math.max(5, Math.round(minutes / 5) * 5);
  if (rounded < 90) return `about ${rounded} min`;
  return `about ${Math.round(rounded / 30) / 2} h`;
}

/** Length off each roll, longest first: `40 cm`, or `40 cm + 1.2 m` for two layers. Liquids have none. */
export function lengthWords(stack: RankedStack, write: (mm: number) => string): string {
  return stack.needs.layers
    .filter((_, i) => stack.layers[i]?.form !== 'liquid')
    .map(({ length }) => write(Math.ceil(length / 10) * 10))
    .join(' + ');
}

/** Score in words, so that nobody has to guess what 84 means. */
export function verdict(score: number): string {
  if (score >= 92) return 'very good';
  if (score >= 82) return 'good';
  if (score >= 70) return 'fair';
  return 'a compromise';
}

/** A stack in the form in which it is kept with its part. */
export function keptStack({ title, layers, predicted, reasons, cautions }: RankedStack, schools: Partial<Schools> = {}) {
  return {
    title,
    layers: layers.map(({ materialId, extent, angle }) => ({ materialId, extent, angle })),
    predicted,
    reasons,
    cautions,
    schools,
  };
}
