export { opacityOf } from './opacity';
export type { LightSheet, Opacity } from './opacity';
