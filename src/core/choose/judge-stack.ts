import type { Fabric } from '../cloth';
import { InputError } from '../input-error';
import { keyOfUse, type ChosenLayer } from '../layers';
import { judge, scoreOf } from './judge';
import type { Part } from '../part';
import { preferencesFor } from './preferences';
import type { Asking, Candidate, LayerDuty, Question } from './protocol';
import { questionFor } from './question-for';
import { describe, type RankedStack } from './ranked-stack';
import { candidatesFor, pointsOf } from './candidates';
import { STOPS } from './stops';

/** A hard stop that a layer of a stack breaks. */
export interface BrokenStop {
  id: string;
  words: string;
  /** Which layer, from 0. */
  layer: number;
}

/** A stack that somebody put together, judged like any proposal. */
export interface JudgedStack extends RankedStack {
  /** Hard stops that it breaks; to be accepted knowingly or put right. */
  stops: BrokenStop[];
}

/** What a stack of one's own serves at most where none of its layers is of a kind that the role is given, 0–100. */
const UNUSUAL = 35;
/** What each layer costs that the role is never given, beside one that serves. */
const STRANGE_LAYER = 8;
/** Preferences for single layers raise a stack by this at most, as for combinations. */
const MOST_RAISED = 8;

/** What a layer does where it lies. */
function dutyOf({ profile }: Question, { material, extent }: ChosenLayer): LayerDuty {
  if (material.form === 'liquid') return 'treatment';
  if (material.family === 'topping') return 'topping';
  // A bit of tape behind a buttonhole holds one spot, as choosing sees it.
  if (extent === 'strip' && profile.area === 'patch') return 'patch';
  return extent === 'strip' || extent === 'patch' ? extent : 'main';
}

/**
 * How well a stack that no combination gives serves: by its best layer, less what its other layers do not belong there, and as the least
 * suited of them is liked. Toppings and liquids beside sheets only help what they are put with.
 */
function ownSuitability(question: Question, layers: readonly ChosenLayer[]): Pick<Candidate, 'suitability' | 'preferred'> {
  const lasting = layers.filter(({ material }) => material.form !== 'liquid' && material.family !== 'topping');
  const counted = lasting.length > 0 ? lasting : layers;
  const preferences = preferencesFor(question);
  const preferred = counted.map(({ material }) => preferences(material));
  const served = counted.map(({ material }) => question.profile.families[material.family]);
  const strange = served.filter((base) => base === undefined).length;
  const best = Math.max(UNUSUAL, ...served.map((base) => base ?? 0));
  const cost = strange === served.length ? 0 : STRANGE_LAYER * strange;
  const raised = Math.min(...preferred.map(pointsOf), MOST_RAISED);
  return { suitability: Math.max(0, Math.min(100, best - cost + raised)), preferred: preferred.flat() };
}

/** The proposal that has these layers, or a candidate of its own. */
function candidateOf(question: Question, layers: readonly ChosenLayer[]): Candidate {
  const materials = [...new Map(layers.map(({ material }) => [material.id, material])).values()];
  const known = candidatesFor(question, materials).candidates.find(
    (candidate) =>
      candidate.layers.length === layers.length &&
      candidate.layers.every(
        ({ material, angle }, i) => keyOfUse(material) === keyOfUse(layers[i]!.material) && angle === layers[i]!.angle,
      ),
  );
  if (known) return { ...known, layers: [...layers] };
  return {
    id: layers.map(({ material }) => keyOfUse(material)).join('+'),
    recipe: 'own',
    ...ownSuitability(question, layers),
    layers: [...layers],
  };
}

/** Most that a stack gets which breaks a hard stop. */
const STOPPED = 40;

/**
 * Judges a stack of one's own as `choose` judges its proposals: same criteria, same prediction, same words; a stack that `choose`
 * offers gets the same score to the last digit.
 *
 * @param fabric the cloth, g/m², mm, % @param part what it is for
 * @param layers outermost first, as they are joined
 * @param asking as for choosing
 * @throws {InputError} without layers
 * @example judgeStack(poplin, collar, [{ material: lightWoven, extent: 'full', angle: 0 }]).stops // []
 */
export function judgeStack(fabric: Fabric, part: Part, layers: readonly ChosenLayer[], asking: Asking = {}): JudgedStack {
  if (layers.length === 0) throw new InputError('layers', 'must hold at least one layer');
  const question = questionFor(fabric, part, asking);
  const stack = judge(question, candidateOf(question, layers));
  const stops = layers.flatMap((layer, i) =>
    STOPS.filter((stop) => stop.when(question, layer.material, dutyOf(question, layer))).map((stop) => ({
      id: stop.id,
      words: stop.words(question, layer.material),
      layer: i,
    })),
  );
  // What does harm is never well judged, however well it would serve otherwise.
  const score = scoreOf(stack);
  return { ...describe(stack, stops.length > 0 ? Math.min(score, STOPPED) : score), stops };
}
