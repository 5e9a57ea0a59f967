import type { Choice, RankedStack } from '../../core/choose';
import type { ShoppingLine } from '../../core/cutlist';
import { asShopsCut } from '../../core/cutplan';
import { usedOf } from '../../core/layers';
import type { Schools } from '../../core/schools';
import { formatMoney, type LengthSystem } from '../../core/units';

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

/** Kinds of answer, other weights of the best kind, and refused layers that come with the page. */
const FIRST_KINDS = 10;
const FIRST_OTHERS = 4;
const FIRST_REFUSED = 12;

/** The beginning of a choice, as much as a screen shows: the page comes with it, and the rest is asked for from there. */
export function beginningOf(choice: Choice): Choice {
  const groups = groupAnswers(choice.ranked).slice(0, FIRST_KINDS);
  const kept = new Set([...groups.map(({ best }) => best), ...(groups[0]?.others.slice(0, FIRST_OTHERS) ?? [])]);
  return {
    ...choice,
    ranked: choice.ranked.filter((stack) => kept.has(stack)),
    ruledOut: choice.ruledOut.slice(0, FIRST_REFUSED),
  };
}

/** A time as people plan it: to five minutes, in hours from ninety. */
export function minutesWords(minutes: number): string {
  const rounded = Math.max(5, Math.round(minutes / 5) * 5);
  if (rounded < 90) return `about ${rounded} min`;
  return `about ${Math.round(rounded / 30) / 2} h`;
}

/** What has to be bought for an answer. */
export interface Buying {
  /** Of each material, as shops cut it: `buy 40 cm`, `buy 2 × 20 cm · 40 cm of what you have`; empty where nothing is cut off a roll. */
  lengths: string;
  /** Minor units, with what is used up of liquids. */
  cost: number;
}

/** What has to be bought for pieces of the usual size; of what lies in the cupboard some is used. */
export function buyingOf({ toBuy, needs, layers }: RankedStack, system: LengthSystem, write: (mm: number) => string): Buying {
  const all = toBuy.map((each) => ({ ...each, length: asShopsCut(each.length, system) }));
  const bought = all.filter(({ atHand }) => !atHand);
  const some = all.filter(({ atHand }) => atHand);
  const told = [
    ...(bought.length > 0 ? [`buy ${joined(bought.map(({ length }) => write(length)))}`] : []),
    ...(some.length > 0 ? [`${joined(some.map(({ length }) => write(length)))} of what you have`] : []),
  ];
  return {
    lengths: told.join(' · '),
    cost: bought.reduce((sum, { length, pricePerMetre }) => sum + (length / 1000) * pricePerMetre, liquidCost(needs, layers)),
  };
}

/** The same for a job, after what lies in the cupboard, as its shopping list has it. */
export function buyingFor(lines: readonly ShoppingLine[], { needs, layers }: RankedStack, write: (mm: number) => string): Buying {
  const bought = lines.filter(({ buy, some }) => buy > 0 && !some);
  const some = lines.filter((line) => line.some);
  const unfit = lines.filter(({ misfits }) => misfits > 0);
  const told = [
    ...(bought.length > 0 ? [`buy ${joined(bought.map(({ buy }) => write(buy)))}`] : []),
    ...(some.length > 0 ? [`${joined(some.map(({ buy }) => write(buy)))} of what you have`] : []),
    ...unfit.map(({ material }) => `fits on no roll of ${material.name}`),
  ];
  return {
    lengths: told.length > 0 ? told.join(' · ') : lines.length > 0 ? 'the cupboard has it' : '',
    cost: bought.reduce((sum, { cost }) => sum + cost, liquidCost(needs, layers)),
  };
}

/** Price and lengths of what has to be bought, each where there is any. */
export function buyingWords(buying: Buying | undefined, currency: string): string[] {
  if (!buying) return [];
  return [
    ...(buying.cost > 0 ? [formatMoney(Math.round(buying.cost), currency)] : []),
    ...(buying.lengths ? [buying.lengths] : []),
  ];
}

/** What is used up of bottles, minor units. */
const liquidCost = (needs: RankedStack['needs'], layers: RankedStack['layers']): number =>
  needs.layers.reduce((sum, { cost, typical }, i) => sum + (layers[i]?.form === 'liquid' && !typical ? cost : 0), 0);

/** Lengths in a row, equal ones counted. */
function joined(lengths: readonly string[]): string {
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
export function verdict(exact: number): string {
  // By the figure that stands beside it: one number has one word.
  const score = Math.round(exact);
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
