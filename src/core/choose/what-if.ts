import type { Fabric } from '../cloth';
import { usedOf, type Material } from '../layers';
import { titleOf } from './candidates';
import type { Asking } from './protocol';
import { questionFor } from './question-for';
import { HANDS, type Care, type Part } from '../part';
import { standingOf, thinned, type Standing } from './standing';
import { CARE_WORDS } from './words';

/** One way in which the question could have been put, and what it would do to the answer. */
export interface WhatIf {
  id: string;
  /** Half a sentence after “if”. */
  change: string;
  /** Where the stack in hand would stand: its rank from 1 and score, or why it would be ruled out. */
  stack: { rank: number; score: number } | { why: string } | undefined;
  best: { id: string; title: string; score: number } | undefined;
  /** Whether another stack would be best. */
  bestChanges: boolean;
}

interface Change {
  id: string;
  words: string;
  part?: Partial<Part>;
  fabric?: Partial<Fabric>;
}

const HOTTER: Partial<Record<Care, Care>> = { none: 'wash-warm', 'hand-wash': 'wash-warm', 'wash-warm': 'wash-hot' };

/** Changes that are near to what was asked. */
function changesFor(fabric: Fabric, part: Part, asking: Asking): Change[] {
  const { hand, traits, profile } = questionFor(fabric, part, asking);
  const changes: Change[] = [];
  if (profile.kind !== 'stitch') {
    const at = HANDS.indexOf(hand);
    const softer = HANDS[at - 1];
    const crisper = HANDS[at + 1];
    if (softer) changes.push({ id: 'softer', words: `it should feel ${softer}`, part: { hand: softer } });
    if (crisper) changes.push({ id: 'crisper', words: `it should feel ${crisper}`, part: { hand: crisper } });
    if (traits.gives && part.stretch !== 'keep')
      changes.push({ id: 'keep', words: 'it must keep its stretch', part: { stretch: 'keep' } });
    if (part.stretch !== 'stop') changes.push({ id: 'stop', words: 'its stretch must stop', part: { stretch: 'stop' } });
    if (part.cut !== 'bias' && fabric.construction === 'woven')
      changes.push({ id: 'bias', words: 'it is cut on the bias', part: { cut: 'bias' } });
  }
  const hotter = HOTTER[part.care];
  if (hotter) changes.push({ id: 'hotter', words: `it is ${CARE_WORDS[hotter]}`, part: { care: hotter } });
  if (part.care !== 'dry-clean') changes.push({ id: 'clean', words: 'it is dry-cleaned', part: { care: 'dry-clean' } });
  if (!part.cutAlready) changes.push({ id: 'cut', words: 'the pieces are cut already', part: { cutAlready: true } });
  if (part.embroidery) {
    const { stitches } = part.embroidery;
    changes.push({
      id: 'denser',
      words: 'the motif had half as many stitches again',
      part: { embroidery: { ...part.embroidery, stitches: Math.round(stitches * 1.5) } },
    });
    changes.push({
      id: 'lighter',
      words: 'the motif had a third fewer stitches',
      part: { embroidery: { ...part.embroidery, stitches: Math.round(stitches / 1.5) } },
    });
  }
  if (fabric.ironDots > 0) {
    const dots = fabric.ironDots - 1;
    changes.push({
      id: 'cooler',
      words: dots === 0 ? 'the cloth bore no iron' : `the cloth bore only a ${dots === 1 ? 'cool' : 'medium'} iron`,
      fabric: { ironDots: dots },
    });
  }
  if (fabric.water === 'safe') changes.push({ id: 'spots', words: 'water marked the cloth', fabric: { water: 'spots' } });
  return changes;
}

function standing({ ranked, refused }: Standing, stackId: string): WhatIf['stack'] {
  const rank = ranked.findIndex(({ stack }) => stack.id === stackId);
  if (rank >= 0) return { rank: rank + 1, score: ranked[rank]!.score };
  const parts = stackId.split('+').map((key) => usedOf(key).materialId);
  const out = refused.find(({ material }) => parts.includes(material.id));
  return out && { why: out.why() };
}

/**
 * How the answer would change if the question were put a little differently, for one stack.
 *
 * @param stackId id of a ranked stack
 * @returns one entry for each near-by change, those that put another stack first leading
 * @example whatIf(poplin, collar, library, {}, 'light-woven-fusible-45-g').length > 3 // true
 */
export function whatIf(fabric: Fabric, part: Part, library: readonly Material[], asking: Asking, stackId: string): WhatIf[] {
  const now = standingOf(fabric, part, library, asking);
  const those = thinned(library, now);
  return changesFor(fabric, part, asking)
    .map(({ id, words, ...change }): WhatIf => {
      const answer = standingOf({ ...fabric, ...change.fabric }, { ...part, ...change.part }, those, asking);
      const best = answer.ranked[0];
      return {
        id,
        change: words,
        stack: standing(answer, stackId),
        best: best && { id: best.stack.id, title: titleOf(best.stack.layers), score: best.score },
        bestChanges: best?.stack.id !== now.ranked[0]?.stack.id,
      };
    })
    .sort((a, b) => Number(b.bestChanges) - Number(a.bestChanges));
}
