export { stackSteps } from './stack-steps';
export type { Step, StepKind, StepsFor, StepStage } from './step';
