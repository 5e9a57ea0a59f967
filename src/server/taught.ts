import { AFTER_CHECKS } from '../core/hoop';
import type { Db } from '../store/database';
import { hoopings } from '../store/hoopings';

/** What a hooping that was filed taught about its cloth. */
export interface Taught {
  /** Of the check that failed. */
  id: string;
  /** What to do this time, and why. */
  words: string;
}

/** What is done otherwise the next time on the same cloth, by the check that failed. */
const NEXT_TIME: Readonly<Record<string, string>> = {
  marks: 'float it this time, or take a wider ring',
  loops: 'lay a topping on top this time',
  between: 'cut the sheet apart between the motifs this time',
  dent: 'trim the sheet wider this time, 5 to 6 mm',
  thread: 'a new needle, one size up, and slower this time',
  shrunk: 'wash the cloth first this time',
};

/** What earlier hoopings of a cloth taught that is no matter of how much its stack carries; the latest of each kind. */
export function taughtBy(db: Db, clothId: string): Taught[] {
  const filed = hoopings
    .list(db, 'cloth_id = ? AND result IS NOT NULL', [clothId], 'updated_at DESC, id')
    .flatMap(({ name, result }) => [...result!.wrong, ...(result!.washed?.wrong ?? [])].map((id) => ({ id, name })));
  return AFTER_CHECKS.flatMap(({ id, wrong }) => {
    const last = filed.find((each) => each.id === id);
    const next = NEXT_TIME[id];
    return last && next ? [{ id, words: `${wrong} on “${last.name}”: ${next}.` }] : [];
  });
}
