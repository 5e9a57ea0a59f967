export { LIBRARY_CLOTHS } from './cloths';
export type { LibraryCloth } from './cloths';
export { layerFromLittle } from './layer-from-little';
export type { BoughtLayer } from './layer-from-little';
export { familyLaw, familyUsual, LIBRARY_LAYERS,  } from './layers';
