import { expose } from 'comlink';
import { planDay } from '../core/schedule';

const days = {
  /** Plans beside the page: a house full of jobs takes seconds. Shapes as in {@link planDay}. */
  plan: (...day: Parameters<typeof planDay>) => planDay(...day),
};
export type Days = typeof days;

expose(days);
