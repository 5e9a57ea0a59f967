import { counted } from '../../ui/text';

/** What a bundle holds, as it is counted in words. */
const WORDS: Record<string, [one: string, many?: string]> = {
  cloths: ['cloth'],
  layers: ['layer'],
  projects: ['project'],
  pieces: ['piece'],
  cuts: ['cut'],
  jobs: ['job'],
  seams: ['seam'],
  recipes: ['recipe'],
  kits: ['bag'],
  log: ['logbook entry', 'logbook entries'],
  scraps: ['scrap'],
  stock: ['roll, sheet or leftover', 'rolls, sheets and leftovers'],
  tables: ['cutting table'],
  hoops: ['hoop'],
  motifs: ['motif'],
  hoopings: ['hooping'],
};

/** What a bundle brought in, by how many of each were new: “Brought in: 12 cloths, 1 cutting table.” */
export function broughtIn(count: Readonly<Record<string, number>>): string {
  const words = Object.entries(count)
    .filter(([, n]) => n > 0)
    .map(([what, n]) => counted(n, ...(WORDS[what] ?? ([what, what] as const))));
  return words.length > 0 ? `Brought in: ${words.join(', ')}.` : 'All of it was there already. Nothing was changed.';
}
