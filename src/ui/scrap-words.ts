import { doseWords, type ScrapCell } from '../core/scrap';
import { settingWords } from '../core/steps';
import { keepUnits } from './text';

/** What tells a piece of a scrap from the others: its dose, its stack, or its setting. @param titles of stacks that are compared */
export function cellWords({ setting, dose, candidate }: ScrapCell, titles?: readonly string[]): string {
  if (dose) return doseWords(dose);
  if (candidate !== undefined) return keepUnits(titles?.[candidate] ?? 'to be picked');
  return settingWords(setting).replace(/ (?=s,)/g, '\u00a0');
}
