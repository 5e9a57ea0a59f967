import type { DayTask } from '../../core/schedule';

/** Minutes in which hands are needed, and minutes that the same tasks would take one after the other. */
export function sums(tasks: readonly DayTask[]): { hands: number; all: number } {
  const of = (some: readonly DayTask[]) => some.reduce((sum, { minutes }) => sum + minutes, 0);
  return { hands: of(tasks.filter(({ hands }) => hands)), all: of(tasks) };
}

/** `19:05`, some minutes after a time of day in minutes. */
export function clock(from: number, minutes: number): string {
  const at = Math.round(from + minutes) % (24 * 60);
  return `${String(Math.floor(at / 60)).padStart(2, '0')}:${String(at % 60).padStart(2, '0')}`;
}
