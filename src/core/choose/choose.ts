import type { Fabric } from '../cloth';
import {
  stackStiffness,
  type ChosenLayer,
  type Extent,
  type Family,
  type Form,
  type Material,
  type Predicted,
  type PredictedWith,
} from '../layers';
import { blend, carryFactor, type PairRecord } from '../learn';
import { schoolsOf } from '../schools';
import type { Candidate, Judged, Question } from './context';
import type { Asking } from './asking';
import { CRITERIA, type Criterion, type CriterionId } from './criteria';
import { embroideryLoad, motifDensity, typicalDensity } from './embroidery-load';
import { needsOf, type Needs } from './needs';
import { HAND_BANDS, type Hand, type Part, type Role } from './part';
import { typicalPiece, type PieceSize } from './piece-size';
import type { Refused } from './recipes';
import { cautionsFor, reasonsFor } from './remarks';
import { ROLE_PROFILES } from './roles';
import { standingOf } from './standing';
import { stepsFor } from './steps-for';
import { traitsOf } from './traits';

export interface StackLayer {
  family: Family;
  form: Form;
  /** Name of the material. */
  material: string;
  materialId: string;
  extent: Extent;
  /** Turn against the grain, degrees. */
  angle: number;
  /** mm. */
  thickness: number;
}

export interface CriterionScore {
  id: CriterionId;
  name: string;
  /** 0–100. */
  score: number;
  /** Share of the total score, 0–1. */
  share: number;
  why: string;
}

export interface RankedStack {
  id: string;
  title: string;
  /** Which way of building it comes from: `single`, or a combined stack's name. */
  recipe: string;
  layers: StackLayer[];
  /** 0–100. */
  score: number;
  predicted: Predicted;
  /** What the predicted rigidity is made of, µN·m. */
  terms: Pick<PredictedWith, 'clothRigidity' | 'layerRigidity' | 'couplingRigidity' | 'stiffening' | 'clothSource'>;
  criteria: CriterionScore[];
  reasons: string[];
  cautions: string[];
  steps: string[];
  /** Length off each roll, cost and time for the pieces in question. */
  needs: Needs;
  /** What a motif asks against what this stack carries, when something is stitched. */
  load?: { stitches: number; carried: number; share: number };
  /** What the logbook knows of this stack on this cloth; absent when nothing was filed. */
  memory?: { readings: number; share: number; modelBendingLength: number; tried: number };
}

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

/** Nothing was filed yet. */
const NO_MEMORY: ReadonlyMap<string, PairRecord> = new Map();
const NOTHING_AT_HAND: ReadonlySet<string> = new Set();

/** Stacks that score less than this are not worth a line on the screen. */
const WORTH_SHOWING = 25;

const DEFAULT_LIMIT = 24;

/** The next softer feel. */
const SOFTER: Record<Hand, Hand> = { fluid: 'fluid', soft: 'fluid', firm: 'soft', crisp: 'firm', rigid: 'crisp' };

/** Builds the question that rules are written against. */
export function questionFor(fabric: Fabric, part: Part, asking: Asking = {}): Question {
  const profile = ROLE_PROFILES[part.role];
  // A knit hangs softer than any weave; what is firm in a weave would be board-like in jersey.
  const usual = fabric.construction === 'knit' && profile.kind === 'garment' ? SOFTER[profile.hand] : profile.hand;
  const hand = part.hand ?? usual;
  const typical = typicalDensity(part.role);
  const motif = part.embroidery
    ? motifDensity(part.embroidery)
    : typical === undefined
      ? undefined
      : motifDensity({ stitches: typical, width: 10, height: 10 });
  return {
    fabric,
    part,
    profile,
    traits: traitsOf(fabric, part),
    hand,
    band: HAND_BANDS[hand],
    motif,
    memory: asking.memory ?? NO_MEMORY,
    atHand: asking.atHand ?? NOTHING_AT_HAND,
    wishes: asking.wishes ?? {},
    weights: asking.weights ?? {},
    schools: schoolsOf(asking.schools),
    piece: asking.piece ?? typicalPiece(part.role),
  };
}

/** Layers that are still there when the thing is finished, or whose working state is what is wanted. */
export function lastingLayers(role: Role, materials: readonly Material[]): Material[] {
  const { kind } = ROLE_PROFILES[role];
  const working = kind === 'treat' || kind === 'quilt' || role === 'bias-piece';
  return materials.filter(({ ends }) => working || (ends !== 'torn' && ends !== 'rinsed' && ends !== 'melted'));
}

/** Works out what criteria and remarks are written against. */
export function judge(question: Question, candidate: Candidate): Judged {
  const stays = lastingLayers(
    question.part.role,
    candidate.layers.map(({ material }) => material),
  );
  const record = question.memory.get(candidate.id);
  const predicted = blend(stackStiffness(question.fabric, stays), record?.readings ?? []);
  const load =
    question.motif === undefined || question.profile.kind !== 'stitch'
      ? undefined
      : embroideryLoad(question.fabric, question.traits, candidate.layers, question.motif, carryFactor(record?.carried ?? []));
  // Written out: a spread here costs a third of the whole choice.
  const { id, title, recipe, suitability, preferred, layers } = candidate;
  return {
    id,
    title,
    recipe,
    suitability,
    preferred,
    layers,
    question,
    predicted,
    record,
    load,
    needs: needsOf(question, candidate.layers),
    addedWeight: predicted.arealDensity - question.fabric.arealDensity,
  };
}

/** How much more the leading wish counts than it usually does. */
const LEAD = 8;

/** A criterion's weight for this question: its own, times what the person makes of it. */
function weightOf(criterion: Criterion, question: Question): number {
  const lead = question.wishes.lead === criterion.id ? LEAD : 1;
  return criterion.weight(question) * lead * (question.weights[criterion.id] ?? 1);
}

/** Weighted mean of the criteria, 0–100. */
export function scoreOf(stack: Judged): number {
  let sum = 0;
  let weights = 0;
  for (const criterion of CRITERIA) {
    const weight = weightOf(criterion, stack.question);
    if (weight === 0) continue;
    sum += weight * criterion.score(stack);
    weights += weight;
  }
  // Everything left out: all stacks are equal.
  return weights > 0 ? sum / weights : 50;
}

function publicLayers(layers: readonly ChosenLayer[]): StackLayer[] {
  return layers.map(({ material, extent, angle }) => ({
    family: material.family,
    form: material.form,
    material: material.name,
    materialId: material.id,
    extent,
    angle,
    thickness: material.thickness,
  }));
}

function publicPredicted(p: PredictedWith): Predicted {
  return {
    bendingLength: p.bendingLength,
    low: p.low,
    high: p.high,
    rigidity: p.rigidity,
    arealDensity: p.arealDensity,
    thickness: p.thickness,
  };
}

function describe(stack: Judged, score: number): RankedStack {
  const { question, predicted, load } = stack;
  const total = CRITERIA.reduce((sum, criterion) => sum + weightOf(criterion, question), 0) || 1;
  return {
    id: stack.id,
    title: stack.title,
    recipe: stack.recipe,
    layers: publicLayers(stack.layers),
    score,
    predicted: publicPredicted(predicted),
    terms: {
      clothRigidity: predicted.clothRigidity,
      layerRigidity: predicted.layerRigidity,
      couplingRigidity: predicted.couplingRigidity,
      stiffening: predicted.stiffening,
      clothSource: predicted.clothSource,
    },
    criteria: CRITERIA.filter((criterion) => criterion.weight(question) > 0).map((criterion) => ({
      id: criterion.id,
      name: criterion.name,
      score: criterion.score(stack),
      share: weightOf(criterion, question) / total,
      why: criterion.why(stack),
    })),
    reasons: reasonsFor(stack),
    cautions: cautionsFor(stack),
    steps: stepsFor(question, stack.layers).map((step) => step.title),
    needs: stack.needs,
    ...(load ? { load: { stitches: load.density, carried: load.carried, share: load.share } } : {}),
    ...(stack.record ? { memory: memoryOf(stack, stack.record) } : {}),
  };
}

function memoryOf({ predicted }: Judged, { readings, good, fair, poor }: PairRecord) {
  return {
    readings: readings.length,
    share: predicted.memoryShare,
    modelBendingLength: predicted.modelBendingLength,
    tried: good + fair + poor,
  };
}

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
 */
export function choose(fabric: Fabric, part: Part, library: readonly Material[], asking: Asking = {}): Choice {
  const question = questionFor(fabric, part, asking);
  const limit = asking.limit ?? DEFAULT_LIMIT;
  const { ranked: judged, refused } = standingOf(fabric, part, library, asking);
  const worth = judged.filter(({ score }, i) => score >= WORTH_SHOWING || i < 3);
  const bare = stackStiffness(fabric, []);
  const inBand = bare.bendingLength >= question.band[0] && bare.bendingLength <= question.band[1];
  return {
    ranked: worth.slice(0, limit).map(({ stack, score }) => describe(stack, score)),
    ...ruledOutOf(refused, asking.find),
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
        id: material.id,
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

function bareWords({ profile, hand, traits, part }: Question, inBand: boolean): string {
  if (profile.kind === 'stitch') return '';
  if (profile.opening) return `The cloth is cut open here: ${profile.phrase} always gets something.`;
  if (part.role === 'bag-lining' && traits.sealed) return 'A coated lining has body of its own and can be left bare.';
  return inBand ? `By itself this cloth already hangs ${hand}; leaving it bare is a fair choice.` : '';
}
