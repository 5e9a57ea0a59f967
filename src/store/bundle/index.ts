export { exportBundle } from './export';
export { upgradeBundle } from './upgrade';
export { importBundle, type Bundle, type ImportCount } from './import';
