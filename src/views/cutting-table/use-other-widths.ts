import { useCallback, useEffect, useRef, useState } from 'react';
import {
  BUY,
  shrinksFirst,
  tableSources,
  type StockEntry,
  type TableList,
  type TableMaterial,
  type TableOptions,
} from '../../core/cutlist';
import { lengthToBuy } from '../../core/cutplan';
import type { Treatment } from '../../core/pieces';
import type { LengthSystem } from '../../core/units';
import { GivenUp } from '../../ui/beside';
import { LayoutRunner } from '../../ui/layout-runner';
import { search } from './table-state';

/** What is asked of one width. */
export interface WidthFound {
  width: number;
  /** Bought alone, and beside what lies in the cupboard, mm; undefined while it is looked for, null where a piece is too wide. */
  alone?: number | null;
  beside?: number | null;
}

interface Asked {
  list: TableList;
  material: TableMaterial;
  options: TableOptions;
  stock: readonly StockEntry[];
  treatment: Treatment | null;
  units: LengthSystem;
}

/** Widths that cloth is woven in, mm. */
const WIDTHS: Record<LengthSystem, readonly number[]> = {
  metric: [900, 1120, 1400, 1500],
  inch: [36, 45, 54, 60].map((inches) => 25.4 * inches),
};
/** One layout is looked for so long, s: enough to compare by, not to cut by. */
const SECONDS = 1.2;

/** Lays the pieces of a table on other widths, one after the other, in a worker; a new question gives up the one before. */
export function useOtherWidths(asked: Asked) {
  const [found, setFound] = useState<WidthFound[]>();
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<string>();
  const runner = useRef<LayoutRunner | undefined>(undefined);
  const turn = useRef(0);
  const give = useCallback(() => {
    turn.current++;
    setBusy(false);
  }, []);
  useEffect(() => () => runner.current?.close(), []);
  // What was found holds for the pieces and ways that were asked about.
  const { list, options } = asked;
  useEffect(() => {
    give();
    setFound(undefined);
  }, [list, options, give]);

  const toBuy = async (width: number, stockIds: readonly string[]): Promise<number | null> => {
    const { material, stock, treatment, units } = asked;
    const own: TableOptions = { ...options, rollWidth: width, stockIds: [...stockIds] };
    const sources = tableSources(own, stock, material, treatment);
    if (!sources.some(({ source }) => source.id === BUY)) return null;
    runner.current ??= new LayoutRunner();
    const plan = await runner.current.lay({ ...search(list, sources, own, [], []), seconds: SECONDS });
    if (plan.unplaced.length > 0) return null;
    const length = plan.laid.find(({ sourceId }) => sourceId === BUY)?.length ?? 0;
    return length > 0 ? lengthToBuy(length, shrinksFirst(material, own, treatment), units, own.squaring).buy : 0;
  };

  const look = async () => {
    const own = ++turn.current;
    let rows: WidthFound[] = WIDTHS[asked.units].map((width) => ({ width }));
    const put = (width: number, more: Partial<WidthFound>) => {
      rows = rows.map((row) => (row.width === width ? { ...row, ...more } : row));
      if (own === turn.current) setFound(rows);
    };
    setError(undefined);
    setBusy(true);
    setFound(rows);
    try {
      for (const { width } of rows) {
        put(width, { alone: await toBuy(width, []) });
        if (own !== turn.current) return;
        if (options.stockIds.length > 0) put(width, { beside: await toBuy(width, options.stockIds) });
        if (own !== turn.current) return;
      }
    } catch (problem) {
      if (!(problem instanceof GivenUp)) setError((problem as Error).message);
    } finally {
      if (own === turn.current) setBusy(false);
    }
  };
  return { found, busy, error, look: () => void look(), give };
}
