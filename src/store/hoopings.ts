import type { HoopPlace, Landed, MotifPlace, StitchRole, Taken } from '../core/hoop';
import type { Join } from '../core/layers';
import type { Outline } from '../core/shape';
import { Table, type Kept } from './table';

/** Where the cloth of a hooping comes from, and its shape. mm. */
export interface GroundFields {
  outline: Outline;
  obstacles: Outline[];
  /** Waste cloth that is basted to its edges for the clamp. */
  strips: Outline[];
}

/** A sheet of a kept stack under a motif. */
export interface StackSheet {
  materialId: string;
  angle: number;
  /** How it is joined, where that is not its own way. */
  join?: Join | undefined;
}

export interface HoopingStack {
  title: string;
  layers: StackSheet[];
}

/** A stop of the machine. */
export interface MachineStop {
  kind: 'colour' | 'break' | 'pause';
  record: number;
  at: string;
}

/** How far the machine has come. */
export interface HoopingRun {
  record: number;
  stitches: number;
  colour: number;
  /** Drift that the model expects by now, mm. */
  drift: number;
  speed: number;
  seed: number;
  stops: MachineStop[];
  done: boolean;
  /** Pieces of the set that are finished. */
  pieces: number;
}

/** What was drawn down when it was filed, so that it can be put back. mm, ml. */
export interface Drawn {
  stock: Taken[];
  bottle: { layerId: string; millilitres: number } | null;
}

/** How it came out. */
export interface HoopingResult {
  doneOn: string;
  /** Ids of what was found wrong. */
  wrong: string[];
  outcome: 'good' | 'fair' | 'poor';
  note: string;
  /** Pull ÷ carried by the model, without what was learnt. */
  modelShare: number;
  logId: string;
  /** Looked at again after the first wash. */
  washed: { doneOn: string; wrong: string[] } | null;
  /** What it took out of the cupboard; none where nothing was drawn down. */
  drawn?: Drawn | null;
}

/** Preparing steps and checks that are done on one copy of a set, by their ids. */
export interface CopyTicks {
  /** Number of the copy, from 0. */
  copy: number;
  ticks: string[];
}

/** Size of the box round a copy that is not as the pattern has it, mm. */
export interface CopySize {
  copy: number;
  width: number;
  height: number;
}

/** What a ruler read on a copy that was sewn, and what follows from it, mm. */
export interface Landing extends Landed {
  copy: number;
  readings: number[];
}

/** A copy that was sewn on a machine of one's own. */
export interface SewnCopy {
  copy: number;
  /** At the machine; null where nobody looked. */
  minutes: number | null;
  /** How often the thread broke, by colour, from 1. */
  breaks: { colour: number; times: number }[];
  /** How often the needle was changed. */
  needles: number;
  note: string;
}

export interface HoopingFields {
  name: string;
  note: string;
  projectId: string | null;
  jobId: string | null;
  motifId: string;
  clothId: string;
  hoopId: string | null;
  /** What it is sewn as. */
  role: StitchRole;
  ground: GroundFields;
  stack: HoopingStack | null;
  floats: boolean;
  place: MotifPlace;
  hoopPlace: HoopPlace | null;
  /** How often the motif is sewn, at the same place each time. */
  count: number;
  /** Half of them mirrored. */
  pairs: boolean;
  /** What is done to prepare each copy of the set. */
  prepared: CopyTicks[];
  /** Copies that are not as large as the pattern, mm. */
  sizes: CopySize[];
  /** How far the design came to lie off its place on the copy that was read. */
  landed: Landing | null;
  /** What was sewn on the person's own machine, by copy. */
  sewn: SewnCopy[];
  run: HoopingRun | null;
  result: HoopingResult | null;
}
export type Hooping = HoopingFields & Kept;

export const hoopings = new Table<HoopingFields>('hooping', 'hooping', {
  name: 'plain',
  note: 'plain',
  projectId: 'plain',
  jobId: 'plain',
  motifId: 'plain',
  clothId: 'plain',
  hoopId: 'plain',
  role: 'plain',
  ground: 'json',
  stack: 'json',
  floats: 'boolean',
  place: 'json',
  hoopPlace: 'json',
  count: 'plain',
  pairs: 'boolean',
  prepared: 'json',
  sizes: 'json',
  landed: 'json',
  sewn: 'json',
  run: 'json',
  result: 'json',
});
