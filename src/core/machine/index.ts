export { Machine, readWhere, SPEEDS } from './machine';
export type { MachineState, Where } from './machine';
