export { writeSvg } from './write-svg';
export type { WrittenSheet } from './write-svg';
export { laidSvg } from './laid-svg';
export type { DrawnCut } from './laid-svg';
