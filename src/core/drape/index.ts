export { advance } from './advance';
export { readDrape, settle, STILL } from './settle';
export type { DrapeReading } from './settle';
export { shearStiffness } from './shear-stiffness';
export { layFlat, setCloth } from './sheet';
export type { DrapeSheet, SheetCloth, Support } from './sheet';
