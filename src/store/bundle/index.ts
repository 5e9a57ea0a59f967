export { exportBundle } from './export';
export { importBundle, type Bundle, type ImportCount } from './import';
