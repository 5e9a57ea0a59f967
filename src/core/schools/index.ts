export { DEFAULT_SCHOOLS, SCHOOLS, schoolsOf } from './schools';
export type { School, SchoolId, SchoolQuestion, Schools } from './schools';
