import type { Fabric } from '../cloth';
import type { ChosenLayer } from '../layers';
import type { Blended, PairRecord } from '../learn';
import type { Schools } from '../schools';
import type { Weights, Wishes } from './asking';
import type { EmbroideryLoad, MotifDensity } from './embroidery-load';
import type { Needs } from './needs';
import type { Hand, Part } from './part';
import type { PieceSize } from './piece-size';
import type { Preference } from './preferences';
import type { RoleProfile } from './roles';
import type { Traits } from './traits';

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
  /** Ids of layers in the cupboard. */
  atHand: ReadonlySet<string>;
  wishes: Wishes;
  weights: Weights;
  schools: Schools;
  piece: PieceSize;
}

/** A stack before it is judged. */
export interface Candidate {
  id: string;
  title: string;
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
