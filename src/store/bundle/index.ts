export { exportBundle } from './export';
export { upgradeBundle } from './upgrade';
export { importBundle, importInPortions, type Bundle, type ImportCount } from './import';
