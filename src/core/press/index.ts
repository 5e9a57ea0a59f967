export { pressPlan, PRESS_ORDERS } from './press-plan';
export type { PressOptions, PressOrder, PressPlan, PressStop } from './press-plan';
export { inscribedRectangle } from './inscribed-rectangle';
export { ironSole } from './iron-sole';
