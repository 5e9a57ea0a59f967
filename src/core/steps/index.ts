export { pressSetting, pressWords, settingFor, settingWords } from './press-setting';
export type { FoundSetting, PressSetting } from './press-setting';
export { COVER as COVER_WORDS, HEAT_SAFETY } from './words';
export { ORDERS, orderOfWork } from './order';
export type { Order } from './order';
export { stepsForCopies } from './copies';
export type { SetStep } from './copies';
export { stackSteps } from './stack-steps';
export type { Step, StepKind, StepsFor, StepStage } from './step';
