export { opacityOf, SHEERNESS_FROM, sheernessOf } from './opacity';
export type { LightSheet, Opacity } from './opacity';
export { lightSheet } from './light-sheet';
export type { Made } from './light-sheet';
