import type { Fabric } from '../cloth';
import type { ChosenLayer } from '../layers';
import type { Blended, PairRecord } from '../learn';
import type { EmbroideryLoad } from './embroidery-load';
import type { Hand, Part } from './part';
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
  /** Density of the motif that is judged, stitches per cm²; undefined when nothing is stitched. */
  stitchDensity: number | undefined;
  /** What was filed about this cloth, by the stack's id. */
  memory: ReadonlyMap<string, PairRecord>;
}

/** A stack before it is judged. */
export interface Candidate {
  id: string;
  title: string;
  recipe: string;
  /** How well this kind of stack serves the role, 0–100. */
  suitability: number;
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
  /** Weight of what stays behind the cloth, g/m². */
  addedWeight: number;
}
