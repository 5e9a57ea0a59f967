export { entropyOf, identify, identifyLayer } from './identify';
export { LAYER_QUESTIONS } from './layer-questions';
export type { Given, Identified, Likely, NextQuestion } from './identify';
export { QUESTIONS } from './questions';
export type { Look } from './questions';
