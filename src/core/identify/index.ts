export { entropyOf, identify } from './identify';
export type { Given, Identified, Likely, NextQuestion } from './identify';
export { QUESTIONS } from './questions';
export type { Question } from './questions';
