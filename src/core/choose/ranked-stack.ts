import {
  isGlued,
  keyOfUse,
  type ChosenLayer,
  type Extent,
  type Family,
  type Form,
  type Predicted,
  type PredictedWith,
} from '../layers';
import type { PairRecord } from '../learn';
import { titleOf } from './candidates';
import { CRITERIA } from './criteria';
import { weightOf } from './judge';
import { toBuyOf } from './needs';
import type { Question, CriterionId, Judged, Needs, ToBuy } from './protocol';
import { cautionsFor, reasonsFor } from './remarks';
import { seeThrough, type SeeThrough } from './see-through';
import { stepsFor } from './steps-for';

export interface StackLayer {
  family: Family;
  form: Form;
  /** Name of the material, and its name with the way it is used. */
  material: string;
  name: string;
  /** Its id with the way it is used, see `usedOf`. */
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
  /** What has to be bought where nothing lies in the cupboard. */
  toBuy: ToBuy[];
  /** How much is seen through the cloth, bare and backed, where something is worn. */
  seeThrough?: SeeThrough;
  /** What a motif asks against what this stack carries, when something is stitched. */
  load?: { stitches: number; carried: number; share: number };
  /** What the logbook knows of this stack on this cloth; absent when nothing was filed. */
  memory?: { readings: number; share: number; modelBendingLength: number; tried: number };
  /** Layers of it whose glue was read on other cloths: how many times as firmly it holds as its kind usually does. */
  gluing?: { name: string; firm: number }[];
}

/**
 * Layers as an answer tells them.
 *
 * @example publicLayers(stack)[0].family // 'woven'
 */
export function publicLayers(layers: readonly ChosenLayer[]): StackLayer[] {
  return layers.map(({ material, extent, angle }) => ({
    family: material.family,
    form: material.form,
    material: material.use?.of ?? material.name,
    name: material.name,
    materialId: keyOfUse(material),
    extent,
    angle,
    thickness: material.thickness,
  }));
}

/**
 * What is expected of a stack, without the terms it is made of.
 *
 * @example Object.keys(publicPredicted(stackStiffness(poplin, []))).length // 6
 */
export function publicPredicted(p: PredictedWith): Predicted {
  return {
    bendingLength: p.bendingLength,
    low: p.low,
    high: p.high,
    rigidity: p.rigidity,
    arealDensity: p.arealDensity,
    thickness: p.thickness,
  };
}

/**
 * A judged stack in figures and words.
 *
 * @example describe(judged, 90).score // 90
 */
export function describe(stack: Judged, score: number): RankedStack {
  const { question, predicted, load } = stack;
  const total = CRITERIA.reduce((sum, criterion) => sum + weightOf(criterion, question), 0) || 1;
  return {
    id: stack.id,
    title: titleOf(stack.layers),
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
    steps: stepsFor(question, stack.layers, { found: foundFor(question, stack.layers) }).map((step) => step.title),
    needs: stack.needs,
    toBuy: toBuyOf(question, stack.layers),
    ...(question.profile.kind === 'garment' || question.wishes.opaque
      ? { seeThrough: seeThrough(question.fabric, stack.layers) }
      : {}),
    ...(load ? { load: { stitches: load.density, carried: load.carried, share: load.share } } : {}),
    ...(stack.record ? { memory: memoryOf(stack, stack.record) } : {}),
    ...gluingOf(stack),
  };
}

/** Glues of a stack that are reckoned otherwise than usual. */
function gluingOf({ question: { gluing }, layers }: Judged): Pick<RankedStack, 'gluing'> {
  if (gluing.size === 0) return {};
  const learnt = layers.flatMap(({ material: { id, name, form } }) => {
    const firm = isGlued(form) ? gluing.get(id) : undefined;
    return firm === undefined ? [] : [{ name, firm }];
  });
  return learnt.length > 0 ? { gluing: learnt } : {};
}

/** What scraps found for the layers of a stack. */
function foundFor({ found }: Question, layers: readonly ChosenLayer[]) {
  return found.size === 0 ? [] : layers.flatMap(({ material }) => found.get(keyOfUse(material)) ?? []);
}

function memoryOf({ predicted }: Judged, { readings, good, fair, poor }: PairRecord) {
  return {
    readings: readings.length,
    share: predicted.memoryShare,
    modelBendingLength: predicted.modelBendingLength,
    tried: good + fair + poor,
  };
}
