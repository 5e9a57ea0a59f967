import type { ChosenLayer } from '../layers';
import { stackSteps, type Step } from '../steps';
import type { Question } from './context';

/** The working order of a stack for what was asked: prepare, cut, apply, check. */
export function stepsFor({ fabric, part, profile, traits }: Question, layers: readonly ChosenLayer[]): Step[] {
  const stitched = profile.kind === 'stitch';
  return stackSteps({
    fabric,
    layers,
    stitched,
    floats: stitched && traits.hoopMarks,
    bias: part.cut === 'bias',
    washed: part.care !== 'none' && part.care !== 'dry-clean',
    cutAlready: part.cutAlready === true,
  });
}
