import type { Act } from './act';

/**
 * Where in the working order a step belongs. What is to be finished is done once all is put on and looked at: a sheet trimmed, a stiffener
 * rinsed out.
 */
export const STEP_STAGES = ['prepare', 'cut', 'apply', 'check', 'finish'] as const;
export type StepStage = (typeof STEP_STAGES)[number];

/**
 * What kind of doing a step is: `press` counts iron stops, `wait` runs a clock, `check` has boxes to tick,
 * `do` is done when it is done.
 */
export type StepKind = 'do' | 'press' | 'wait' | 'check';

export interface Step {
  id: string;
  stage: StepStage;
  kind: StepKind;
  title: string;
  detail: string;
  /** What the hands do in it, for its drawing; a step that was planned before it was said is told by its name. */
  act?: Act;
  /** Id of the technique that it belongs to; none where it serves several, such as washing the cloth. */
  technique?: string;
  /** Seconds for one iron stop (`press`), for the whole wait (`wait`), or that it takes about (`do`, where it can be told). */
  seconds?: number;
  /** How long it then dries by itself, s: what was washed or soaked (`do`). */
  dries?: number;
  /** How often each stop is pressed again, with lifts in between (`press`); once when it is not said. */
  lifts?: number;
  /** What to look for (`check`). */
  checks?: string[];
  /** Which trouble it is when a check is not right, by its words. */
  troubles?: Record<string, string>;
  /** Shown once, calmly, with the step. */
  safety?: string;
  /** What is cut, and what is minded while cutting: told for several jobs in one go at the table. */
  cutting?: { what: string; mind: string[] };
  /** The layer that it is for, as its place in the stack from 0. */
  layer?: number;
  /** Of a wait in which cloth dries: what it is to be at its end, which only the hand can tell. */
  until?: 'damp' | 'dry';
  /** What hangs weighs so much dry, g, all of it; where that is enough for a scale. */
  dryMass?: number;
  /** It is done once for a whole sheet on which pieces lie side by side, not for a piece. */
  sheet?: true;
  /** It is done when the whole thing is sewn, not at the bench where the layers are put on. */
  sewn?: true;
}
