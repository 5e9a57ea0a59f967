export { scrapCard } from './scrap-card';
export { measuringSheet, SHEETS } from './measuring-sheets';
export type { SheetName } from './measuring-sheets';
export { PAPERS } from './page';
export type { Paper } from './page';
