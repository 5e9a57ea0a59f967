export { writeSvg } from './write-svg';
export type { WrittenSheet } from './write-svg';
