export { LIBRARY_CLOTHS } from './cloths';
export type { LibraryCloth } from './cloths';
export { LIBRARY_LAYERS, slug } from './layers';
