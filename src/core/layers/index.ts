export { scaleMaterial } from './scale-material';
export {
  COVERS,
  ENDS,
  EXTENTS,
  FAMILIES,
  FORMS,
  GLUES,
  LAW_FIGURES,
  WASHES,
  isBase,
  isFusible,
  isGlued,
  isSoaked,
} from './material';
export type { Cover, Ends, Extent, Family, Form, Glue, LawFigure, Leaflet, Material, Wash } from './material';
export { stackStiffness } from './stack-stiffness';
export type { Gluing, Predicted, PredictedWith } from './stack-stiffness';
export { EXTENT_WORDS, FAMILY_WORDS, FORM_WORDS, JOIN_WORDS } from './words';
export type { ChosenLayer } from './chosen-layer';
export { JOINS, joinedAs, joinsOf, keptKey, keyOfUse, solidsOf, usedOf, usesOf } from './joined';
export type { Join } from './joined';
export { CLOTH_ID, clothAsMaterial } from './cloth-as-material';
