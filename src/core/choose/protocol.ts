import type { FoundSetting } from '../steps';
import type { Fabric } from '../cloth';
import type { ChosenLayer, Family, Material, Gluing } from '../layers';
import type { Blended, PairRecord } from '../learn';
import type { Schools } from '../schools';
import type { EmbroideryLoad, MotifDensity } from './embroidery-load';
import type { Hand, Part } from '../part';
import type { RoleProfile } from './roles';
import type { Traits } from '../part';

/** Size of a piece with its allowances, mm, and how many are cut. */
export interface PieceSize {
  width: number;
  height: number;
  count: number;
  /** Widest seam allowance, mm. */
  allowance?: number | undefined;
  /** How far the person trims layers, mm. */
  trim?: number | undefined;
  /** Direction of the grain line, degrees counter-clockwise from upright; a long narrow piece lies along the grain where nobody said it. */
  grain?: number | undefined;
  /** Length of the edges that a strip runs along, mm. */
  edge?: number | undefined;
  /** How much of the piece is covered, where that is not as the role usually has it. */
  area?: 'panel' | 'strip' | 'patch' | undefined;
  /** Width of a strip, edge length of a patch, mm. */
  strip?: number | undefined;
  patch?: number | undefined;
}

export const CRITERION_IDS = [
  'purpose',
  'feel',
  'carry',
  'weight',
  'give',
  'look',
  'opacity',
  'care',
  'bulk',
  'effort',
  'cost',
  'at-hand',
  'past',
] as const;
export type CriterionId = (typeof CRITERION_IDS)[number];

/**
 * One point of view on a stack. `score` is 0–100 and depends on this stack and question alone, so that adding
 * a material to the library never moves another's score. `why` is only asked for what is shown.
 */
export interface Criterion {
  id: CriterionId;
  name: string;
  /** Share of the total; 0 leaves the criterion out for this question. */
  weight(question: Question): number;
  score(stack: Judged): number;
  why(stack: Judged): string;
  /**
   * Score from which it serves. What is wrong in kind on this point is not rescued by being right on all others: below it the total
   * stays below what a practised hand would take. Left out where a low score is only a pity.
   */
  serves?: number;
}

/** What leads when several stacks would serve. */
export const LEADS = ['cost', 'effort'] as const;
export type Lead = (typeof LEADS)[number];

/** Wishes beyond what the part itself asks for. */
export interface Wishes {
  /** The finished part must stay as see-through as the cloth. */
  staySheer?: boolean;
  /** The finished part must become opaque. */
  opaque?: boolean;
  /** Only layers that are in the cupboard. */
  useMine?: boolean;
  /** Cheapest or quickest first. */
  lead?: Lead;
}

/** How much more or less each criterion matters than usual; 1 leaves it, 0 leaves it out. */
export type Weights = Partial<Record<CriterionId, number>>;

/** Everything besides cloth, part and library that bears on an answer. */
export interface Asking {
  /** Most stacks to return, 24 if not given. */
  limit?: number;
  /** Words of refused layers that are looked for; without them some of every heading are told. */
  find?: string;
  /** What was filed about this cloth, by the stack's id. */
  memory?: ReadonlyMap<string, PairRecord>;
  /** What was learnt of glues on other cloths. */
  gluing?: Gluing;
  /** Ids of layers that are in the cupboard. */
  atHand?: ReadonlySet<string>;
  wishes?: Wishes;
  weights?: Weights;
  schools?: Partial<Schools>;
  /** Size and count of the pieces; a typical one for the role if not given. */
  piece?: PieceSize;
  /** What scraps of this cloth found, by the layer with its use. */
  found?: ReadonlyMap<string, FoundSetting>;
}

/** What is asked: the same for every candidate of one question. */
export interface Question {
  fabric: Fabric;
  part: Part;
  profile: RoleProfile;
  traits: Traits;
  hand: Hand;
  /** Wanted bending length, mm. */
  band: readonly [number, number];
  /** Density of the motif that is judged; undefined when nothing is stitched. */
  motif: MotifDensity | undefined;
  /** What was filed about this cloth, by the stack's id. */
  memory: ReadonlyMap<string, PairRecord>;
  /** What was learnt of glues on other cloths. */
  gluing: Gluing;
  /** Ids of layers in the cupboard. */
  atHand: ReadonlySet<string>;
  wishes: Wishes;
  weights: Weights;
  schools: Schools;
  piece: PieceSize;
  /** What scraps of this cloth found, by the layer with its use. */
  found: ReadonlyMap<string, FoundSetting>;
}

/** A stack before it is judged. */
export interface Candidate {
  id: string;
  recipe: string;
  /** How well this kind of stack serves the role, 0–100. */
  suitability: number;
  /** Preferences that raised or lowered it, of all its layers. */
  preferred: readonly Preference[];
  /** Outermost first: a topping lies above the cloth, everything else behind it in this order. */
  layers: ChosenLayer[];
}

/** A candidate with what was computed for it; what criteria and remarks are written against. */
export interface Judged extends Candidate {
  question: Question;
  predicted: Blended;
  /** What was filed about this stack on this cloth. */
  record: PairRecord | undefined;
  load: EmbroideryLoad | undefined;
  needs: Needs;
  /** Weight of what stays behind the cloth, g/m². */
  addedWeight: number;
}

/**
 * A preference: how much better or worse a kind of layer serves than its role's table says, for a question like
 * this. Data: to add one, add an entry; the engine needs no change. `when` is asked once a question, `fits` once a
 * layer of the named families (of all, where none is named). Points add up and are given to *right for the part*.
 */
export interface Preference {
  id: string;
  families?: readonly Family[];
  when(question: Question): boolean;
  fits?(layer: Material, question: Question): boolean;
  points: number;
  /** Why, as half a sentence about the layer. */
  words: string;
}

/** What one layer of a stack takes. */
export interface LayerNeed {
  materialId: string;
  /** Length off the roll, mm; for a liquid the length of cloth that is treated. */
  length: number;
  /** Minor units; by the library's typical prices where nobody typed one. */
  cost: number;
  /** The price is a typical one, to compare by and not to be told. */
  typical?: true;
  /** Usable width of the roll, mm, where no way round does a piece fit on it: it has to be joined, or cut of something wider. */
  tooWide?: number;
}

/** What has to be bought of one material where nothing of it lies in the cupboard. */
export interface ToBuy {
  materialId: string;
  /** With squaring and shrinking, mm; shops round it up. */
  length: number;
  /** Minor units; 0 when nobody typed a price. */
  pricePerMetre: number;
  /** The person has some of it. */
  atHand?: true;
}

/** What a stack takes for the pieces in question. */
export interface Needs {
  layers: LayerNeed[];
  /** Minor units. */
  cost: number;
  /** Working minutes, cooling and drying included. */
  minutes: number;
}

/**
 * A hard stop: one rule about one layer under one cloth. A stack is never offered when a stop holds for any
 * of its layers. To add a rule, add an entry; the engine needs no change.
 */
export interface Stop {
  id: string;
  /** Heading under which the screens gather what it rules out. */
  group: string;
  when(question: Question, layer: Material, role: LayerDuty): boolean;
  words(question: Question, layer: Material): string;
}

/** What a layer does in its stack: carries the part, reinforces a strip or patch of it, or only covers it. */
export type LayerDuty = 'main' | 'strip' | 'patch' | 'topping' | 'treatment';
