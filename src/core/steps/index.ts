export { pressSetting, pressWords } from './press-setting';
export type { PressSetting } from './press-setting';
export { COVER as COVER_WORDS, IRON as IRON_WORDS } from './words';
export { stackSteps } from './stack-steps';
export type { Step, StepKind, StepsFor, StepStage } from './step';
