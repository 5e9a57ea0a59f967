export { cutPlan, measurePlan, MOST_COPIES } from './cut-plan';
export type { CutPlan, CutPlanOptions } from './cut-plan';
export { layRows } from './rows';
export type { CutPiece, Placement } from './rows';
export { lengthToBuy } from './length-to-buy';
export type { LengthToBuy } from './length-to-buy';
