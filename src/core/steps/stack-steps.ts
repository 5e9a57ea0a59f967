import { applySteps } from './apply-steps';
import { checkSteps } from './check-steps';
import { cutSteps } from './cut-steps';
import { prepareSteps } from './prepare-steps';
import type { Step, StepsFor } from './step';
import { stitchSteps } from './stitch-steps';

/**
 * The working order for a stack: prepare, cut, apply, check, from the leaflet figures of its layers.
 *
 * @param input the cloth, the layers (outermost first) and what is to happen with them
 * @returns steps in working order; ids are stable for the same stack
 * @example stackSteps(stepsInput).length > 3 // true
 */
export function stackSteps(input: StepsFor): Step[] {
  return [
    ...prepareSteps(input),
    ...cutSteps(input),
    ...(input.stitched ? stitchSteps(input) : applySteps(input)),
    ...checkSteps(input),
  ];
}
