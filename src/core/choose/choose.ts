import type { Fabric } from '../cloth';
import { stackStiffness, keyOfUse, type Material, type Predicted } from '../layers';
import { careTurn, type CareTurn } from './care-turn';
import type { Part, Role } from '../part';
import type { Asking, PieceSize, Question } from './protocol';
import { questionFor } from './question-for';
import { describe, publicLayers, publicPredicted, type RankedStack, type StackLayer } from './ranked-stack';
import type { Refused } from './candidates';
import { standingOf } from './standing';

export interface RuledOutStack {
  id: string;
  title: string;
  layers: StackLayer[];
  why: string;
  group: string;
}

export interface Choice {
  ranked: RankedStack[];
  /** Layers that are not offered; of a large cupboard only some, see `ruledOutGroups`. */
  ruledOut: RuledOutStack[];
  /** How many there are under each heading. */
  ruledOutGroups: { group: string; count: number }[];
  /** The usual answer that only the care rules out, and the care that would let it in. */
  care?: CareTurn;
  /** The cloth without anything, for comparison. */
  bare: { predicted: Predicted; inBand: boolean; words: string };
  /** Wanted bending length, mm. */
  band: readonly [number, number];
  hand: string;
  /** How many stacks were judged; `ranked` holds the best `limit` of them. */
  judged: number;
  /** The pieces that lengths, costs and times are told for. */
  piece: PieceSize;
}

/** Stacks that score less than this are not worth a line on the screen. */
const WORTH_SHOWING = 25;

const DEFAULT_LIMIT = 24;

/**
 * What to put behind this cloth for this part: the best stacks with their reasons, and everything that was
 * ruled out with why.
 *
 * The score is the weighted mean of the criteria in `criteria/`; it depends on the stack and the question
 * alone. A stack that breaks a hard stop (`stops.ts`) is never ranked. Order of the library does not matter.
 *
 * @param fabric the cloth, g/m², mm, %
 * @param part what it is for and what is wished of it
 * @param library the layers to choose from
 * @param asking limit, memory, cupboard, wishes, weights of the criteria, schools, size of the pieces
 * @example choose(poplin, collar, library).ranked.length // 2
 */
export function choose(fabric: Fabric, part: Part, library: readonly Material[], asking: Asking = {}): Choice {
  const question = questionFor(fabric, part, asking);
  const limit = asking.limit ?? DEFAULT_LIMIT;
  const { ranked: judged, refused } = standingOf(fabric, part, library, asking);
  const worth = judged.filter(({ score }, i) => score >= WORTH_SHOWING || i < 3);
  const bare = stackStiffness(fabric, []);
  const turn = careTurn(question, refused, judged[0]?.stack);
  const inBand = bare.bendingLength >= question.band[0] && bare.bendingLength <= question.band[1];
  return {
    ranked: worth.slice(0, limit).map(({ stack, score }) => describe(stack, score)),
    ...ruledOutOf(refused, asking.find),
    ...(turn ? { care: turn } : {}),
    bare: { predicted: publicPredicted(bare), inBand, words: bareWords(question, inBand) },
    band: question.band,
    hand: question.hand,
    judged: judged.length,
    piece: question.piece,
  };
}

/**
 * What was not offered, by heading and name. Of a large cupboard only some are told one by one, a few of every heading first; the
 * others are counted, and found by their words.
 */
function ruledOutOf(refused: readonly Refused[], find: string | undefined): Pick<Choice, 'ruledOut' | 'ruledOutGroups'> {
  const groups = new Map<string, Refused[]>();
  for (const each of refused) {
    const own = groups.get(each.group);
    if (own) own.push(each);
    else groups.set(each.group, [each]);
  }
  const words = (find ?? '').toLowerCase().split(/\s+/).filter(Boolean);
  const names = [...groups.keys()].sort();
  const shown: Refused[] = [];
  if (words.length > 0) {
    for (const name of names)
      for (const each of groups.get(name)!) {
        if (shown.length >= MOST_RULED_OUT) break;
        const text = `${each.material.name} ${each.why()}`.toLowerCase();
        if (words.every((word) => text.includes(word))) shown.push(each);
      }
  } else {
    const few = Math.max(FEW_RULED_OUT, Math.floor(MOST_RULED_OUT / Math.max(1, names.length)));
    for (const name of names)
      shown.push(...(refused.length <= MOST_RULED_OUT ? groups.get(name)! : groups.get(name)!.slice(0, few)));
  }
  return {
    ruledOut: shown
      .map(({ material, layers, why, group }) => ({
        id: keyOfUse(material),
        title: material.name,
        layers: publicLayers(layers),
        why: why(),
        group,
      }))
      .sort((a, b) => (a.group === b.group ? (a.id < b.id ? -1 : 1) : a.group < b.group ? -1 : 1)),
    ruledOutGroups: names.map((group) => ({ group, count: groups.get(group)!.length })),
  };
}

/** So many refused layers are told one by one, and at least so many of every heading. */
const MOST_RULED_OUT = 400;
const FEW_RULED_OUT = 10;

/** Where the cloth itself is cut open. */
const CUT_OPEN: readonly Role[] = ['buttonhole', 'welt', 'zip-area', 'godet-slash', 'inner-corner'];

function bareWords({ profile, hand, traits, part, wishes, fabric }: Question, inBand: boolean): string {
  if (profile.kind === 'stitch') return '';
  if (profile.opening)
    return CUT_OPEN.includes(part.role)
      ? `The cloth is cut open here: ${profile.phrase} always gets something.`
      : `It is pulled at here: ${profile.phrase} always gets something.`;
  if (part.role === 'bag-lining' && traits.sealed) return 'A coated lining has body of its own and can be left bare.';
  // Only feel is what the cloth can have by itself.
  const more =
    (part.stretch === 'stop' && traits.gives) ||
    wishes.opaque ||
    // Whether it may be seen through has not been said.
    ((part.role === 'bodice' || part.role === 'whole-panel') &&
      !wishes.staySheer &&
      (traits.open || fabric.sheer !== 'opaque')) ||
    profile.kind === 'treat' ||
    profile.kind === 'quilt' ||
    part.role === 'bias-piece';
  return inBand && !more ? `By itself this cloth already hangs ${hand}; leaving it bare is a fair choice.` : '';
}
