export { compareSeam } from './compare-seam';
export type { ComparedSeam, SeamFit, SeamSide } from './compare-seam';
