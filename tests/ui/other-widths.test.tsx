import { render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { clothMaterial, tableList, usualOptions, type StockEntry } from '../../src/core/cutlist';
import type { TablePlan, TablePlanOptions } from '../../src/core/cutplan';
import { LIBRARY_CLOTHS } from '../../src/core/library';
import { LayoutRunner } from '../../src/ui/layout-runner';
import OtherWidths from '../../src/views/cutting-table/OtherWidths';
import { press } from './typing';

/** Stands in for the search: half a square metre is spread over the width; what is wider than the cloth finds no room. */
const asked: TablePlanOptions[] = [];
beforeEach(() => {
  asked.length = 0;
  // On the class itself, not on its module: files share their modules, and the table's own tests may have read it before.
  vi.spyOn(LayoutRunner.prototype, 'lay').mockImplementation(async (options): Promise<TablePlan> => {
    asked.push(options);
    const source = options.sources.at(-1)!;
    const fits = source.width >= 1000;
    const laid = [{ sourceId: source.id, placements: [], length: 500_000 / source.width, density: 0.8 }];
    return { laid: fits ? laid : [], unplaced: fits ? [] : [{ id: 'p', copy: 0 }], done: 1 };
  });
});
afterEach(() => vi.restoreAllMocks());

const material = clothMaterial({ ...LIBRARY_CLOTHS[0]!, rollWidth: 1400 });
const roll = { id: 'r', kind: 'roll', width: 1400, length: 300, count: 1, outline: null } as unknown as StockEntry;
const open = (stock: StockEntry[]) => {
  const options = { ...usualOptions(material, stock), margin: 0, squaring: 0 };
  const list = tableList([], material, options, null, 6);
  const take = vi.fn();
  render(<OtherWidths {...{ list, material, options, stock, treatment: null, disabled: false, onTake: take }} />);
  return take;
};
const row = (name: string) => screen.findByRole('row', { name: new RegExp(name) });

describe('the same pieces from other widths', () => {
  it('are told for each, as shops cut, and where a piece is too wide', async () => {
    const take = open([]);
    await press('What would it take?');
    expect(await row('^90 cm a piece is too wide')).toBeVisible();
    // 500 000 / 1120 = 446 mm, to the next tenth of a metre.
    expect(await row('^1.12 m 50 cm')).toBeVisible();
    expect(await row('^1.5 m 40 cm')).toBeVisible();
    expect(screen.queryByText('Beside what is in hand')).toBeNull();
    expect(asked.map(({ sources }) => sources.length)).toEqual([1, 1, 1, 1]);
    await press(/^Take it, 1.5.m wide/);
    expect(take).toHaveBeenCalledWith(1500);
    expect(screen.getByRole('button', { name: /^Take it, 90.cm wide/ })).toBeDisabled();
  });

  it('are laid beside what is in hand too', async () => {
    open([roll]);
    await press('What would it take?');
    expect(await row('^1.5 m 40 cm 40 cm')).toBeVisible();
    expect(asked.map(({ sources }) => sources.map(({ id }) => id).join())).toEqual(['buy', 'r,buy', 'buy', 'r,buy', 'buy', 'r,buy', 'buy', 'r,buy']); // prettier-ignore
  });
});
