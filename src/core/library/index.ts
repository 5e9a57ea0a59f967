export { LIBRARY_CLOTHS } from './cloths';
export type { LibraryCloth } from './cloths';
export { familyLaw, familyUsual, LIBRARY_LAYERS,  } from './layers';
