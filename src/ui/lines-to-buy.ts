import { shoppingLine, shoppingQuestion, type ShoppingLine, type ShoppingNeed } from '../core/cutlist';
import type { LengthSystem } from '../core/units';
import { LayoutRunner } from './layout-runner';

/**
 * What has to be bought for stack after stack, each laid out in its true shape in a worker. By itself, so that a page fetches it
 * only where somebody asks for a job.
 *
 * @param heard is told of each stack's lines by its number
 * @returns gives up what is not laid out yet
 */
export function linesToBuy(
  needs: readonly ShoppingNeed[][],
  trim: number,
  system: LengthSystem,
  heard: (stack: number, lines: ShoppingLine[]) => void,
): { done: Promise<void>; close: () => void } {
  const runner = new LayoutRunner();
  const work = async () => {
    for (const [i, stack] of needs.entries()) {
      const own: ShoppingLine[] = [];
      for (const need of stack) {
        const { question } = shoppingQuestion(need, trim);
        own.push(shoppingLine(need, question && (await runner.lay(question)), trim, system));
      }
      heard(i, own);
    }
  };
  return { done: work(), close: () => runner.close() };
}
