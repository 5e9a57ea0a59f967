import type { TableSource } from '../../core/cutlist';
import type { Settings } from '../../store/settings';

/** What something on the table is, in words: its kind, its size, where it is kept. */
export function sourceWords({ stock, fullWidth, source }: TableSource, { units }: Settings): string {
  const size = (mm: number) => (units === 'metric' ? `${Math.round(mm / 10)} cm` : `${Math.round(mm / 25.4)} in`);
  if (!stock) return `Roll to buy, ${size(fullWidth)} wide`;
  const where = stock.place ? ` (${stock.place})` : '';
  if (stock.kind === 'roll') return `Roll from the cupboard, ${size(fullWidth)} wide, ${size(stock.length)} left${where}`;
  if (stock.kind === 'sheet')
    return `Sheet ${Number(source.id.split('#')[1]) + 1}, ${size(fullWidth)} × ${size(stock.length)}${where}`;
  return `Leftover, ${size(fullWidth)} × ${size(stock.length)}${where}`;
}
