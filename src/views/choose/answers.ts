import type { Choice, RankedStack } from '../../core/choose';
import { usedOf } from '../../core/layers';
import type { Schools } from '../../core/schools';

/** Answers of one kind: the best of them, and the same kind in other weights or held otherwise. */
export interface AnswerGroup {
  best: RankedStack;
  others: RankedStack[];
}

/** Whether a layer is glued for good, sprayed or laid in some way that can be changed at the table, or soaked in. */
function heldBy(form: RankedStack['layers'][number]['form']): string {
  if (form === 'fusible' || form === 'fusible-both') return 'fused';
  return form === 'liquid' ? 'soaked' : 'laid';
}

/** What makes two stacks the same kind of answer: the same layers, fused or not; sewn in or with spray glue is no other kind. */
function kindOf(stack: RankedStack): string {
  return stack.layers.map((layer) => `${layer.family}/${heldBy(layer.form)}`).join('+');
}

/** Gathers stacks that differ only in weight and in how they are held, in order of their best. */
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

/** Length off each roll: `40 cm`, `40 cm + 1.2 m` for two rolls, `2 × 17 cm` for the same length twice. */
export function lengthWords(stack: RankedStack, write: (mm: number) => string): string {
  const lengths = stack.needs.layers
    .filter((_, i) => stack.layers[i]?.form !== 'liquid')
    .map(({ length }) => write(Math.ceil(length / 10) * 10));
  return [...new Set(lengths)]
    .map((length) => {
      const times = lengths.filter((each) => each === length).length;
      return times > 1 ? `${times} × ${length}` : length;
    })
    .join(' + ');
}

/** What lengths, costs and times are told for. */
export function piecesWords(choice: Choice, stitched: boolean, size: (width: number, height: number) => string): string {
  const { count, width, height } = choice.piece;
  if (stitched) return count === 1 ? 'one motif' : `${count} motifs`;
  return `${count === 1 ? 'one piece' : `${count} pieces`} of ${size(width, height)}`;
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
    layers: layers.map(({ materialId, extent, angle }) => ({ ...usedOf(materialId), extent, angle })),
    predicted,
    reasons,
    cautions,
    schools,
  };
}
