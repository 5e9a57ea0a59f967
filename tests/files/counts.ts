import type { ImportCount } from '../../src/store/bundle';

/** What bringing in a bundle counts when everything in it is there already. */
export const NOTHING_NEW: ImportCount = {
  ...{ cloths: 0, layers: 0, projects: 0, pieces: 0, cuts: 0, jobs: 0, seams: 0, recipes: 0, kits: 0, log: 0 },
  ...{ scraps: 0, stock: 0, tables: 0, hoops: 0, motifs: 0, hoopings: 0 },
};
