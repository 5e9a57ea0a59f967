import type { Judged, Question } from '../context';

export const CRITERION_IDS = [
  'purpose',
  'feel',
  'carry',
  'weight',
  'give',
  'look',
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
}

/** Clamps to 0–100. */
export function points(value: number): number {
  return Math.max(0, Math.min(100, value));
}

/** Straight line through (x0, y0) and (x1, y1), held at its ends. */
export function ramp(x: number, x0: number, y0: number, x1: number, y1: number): number {
  const share = Math.max(0, Math.min(1, (x - x0) / (x1 - x0)));
  return y0 + share * (y1 - y0);
}
