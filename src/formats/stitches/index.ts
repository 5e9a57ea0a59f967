export { LARGEST_STITCH_FILE, readMotif } from './read-motif';
export type { ReadMotif } from './read-exchange';
export { mappedMotif } from './mapped-motif';
export type { MappedMotif } from './mapped-motif';
export { writeExchange } from './write-exchange';
export { writeStitchTable } from './stitch-table';
