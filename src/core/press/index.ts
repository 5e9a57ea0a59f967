export { pressPlan, PRESS_ORDERS } from './press-plan';
export type { PressOptions, PressOrder, PressPlan, PressStop } from './press-plan';
export { MOVE_SECONDS, PRESS_TOOLS } from './tools';
export type { PressTool } from './tools';
export { sheetMoves } from './sheet-moves';
export type { SheetMove, SheetMovesOptions } from './sheet-moves';
export { inscribedRectangle } from './inscribed-rectangle';
export { ironSole } from './iron-sole';
