export {
  bendingLengthFromDrop,
  bendingLengthFromOverhang,
  bendingLengthOf,
  flexuralRigidity,
  overhangFromBendingLength,
  JIG_ANGLE,
} from './overhang';
export { droopProfile } from './droop-profile';
export { clothBendingLength, clothMembraneStiffness, clothThickness } from './estimate';
export type { Estimate } from './estimate';
export { fabricLike } from './like';
export { holesBorne, needleHoles, NEEDLES, USUAL_NEEDLE } from './needle-holes';
export type { Needle, NeedleHoles } from './needle-holes';
export { isSealed, ruinedByPressing } from './pressing';
export type { LikeChange } from './like';
export {
  CONSTRUCTIONS,
  FIBRES,
  FRAYS,
  SHEERNESS,
  SURFACES,
  TONES,
  WATER,
  WEAVES,
  fabricOf,
  fibreShare,
  weavesOf,
} from './fabric';
export type { Construction, Fabric, Fibre, FibreShare, Fray, Sheerness, Surface, Tone, Water, Weave } from './fabric';
