import type { Extent, Material } from './material';

/** A material in its place in a stack. */
export interface ChosenLayer {
  material: Material;
  extent: Extent;
  /** Turn against the cloth's grain, degrees: the second of two meshes lies at 45°. */
  angle: number;
}
