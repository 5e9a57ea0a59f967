export { DEFAULT_SCHOOLS, SCHOOLS, SCHOOL_IDS, schoolsOf } from './schools';
export type { School, SchoolId, SchoolQuestion, Schools } from './schools';
