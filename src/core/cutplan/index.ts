export { asShopsCut, lengthToBuy, shopWords, SQUARING } from './length-to-buy';
export type { LengthToBuy } from './length-to-buy';
export { leftoverSource, measureLaid, tablePlans } from './table-plan';
export type { Laid, Source, TablePlan, TablePlanOptions } from './table-plan';
export { remains, spotsWithin } from './remains';
export type { Remain } from './remains';
export { convertLength } from './width-conversion';
export type { ConvertedLength } from './width-conversion';
