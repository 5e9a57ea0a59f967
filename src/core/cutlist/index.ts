export { copyName, cutPieces } from './cut-item';
export type { CutItem, CutList } from './cut-item';
export { listedPart } from './listed-part';
export type { KeptPart, ListedPart } from './listed-part';
export { LAYING_METHODS, layerItems } from './layer-items';
export type { LayerItemOptions, LayingMethod } from './layer-items';
export { clothItems } from './cloth-items';
export { foldedItems } from './folded-items';
export type { FoldedItems } from './folded-items';
export { treatmentWords } from './treatment-words';
export { fingerprint } from './fingerprint';
export {
  BUY,
  clothMaterial,
  layerMaterial,
  lengthOffRoll,
  shrinksFirst,
  sourceOutline,
  tableList,
  tableSources,
  usualOptions,
} from './table';
export type { StockEntry, TableList, TableMaterial, TableOptions, TableSource } from './table';
export { shoppingLine, shoppingQuestion } from './shopping';
export type { ShoppingLine, ShoppingNeed } from './shopping';
