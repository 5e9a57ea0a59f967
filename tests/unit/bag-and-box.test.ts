import { describe, expect, it } from 'vitest';
import { openPiece } from '../../src/core/pieces';
import { RECIPES, recipeOf, type RecipePiece } from '../../src/core/recipes';
import { bounds } from '../../src/core/shape';

const made = (id: string, values: Record<string, number> = {}) =>
  recipeOf(
    RECIPES.find((each) => each.id === id)!,
    values,
  );
const names = (values: Record<string, number>) => made('gusset-bag', values).pieces.map(({ name }) => name);
const of = (pieces: readonly RecipePiece[], name: string) => pieces.find((each) => each.name === name)!;
const size = (piece: RecipePiece) => {
  const { minX, maxX, minY, maxY } = bounds(openPiece({ ...piece, line: 'sew', fold: null }).outline);
  return [maxX - minX, maxY - minY];
};

describe('a bag by variant', () => {
  it('has what is asked for, and nothing else', () => {
    expect(names({})).toEqual(['Panel', 'Gusset', 'Base', 'Strap']);
    expect(names({ firm: 0, strap: 0, flap: 200, pocket: 180, zip: 200, tabs: 3 })).toEqual(['Panel', 'Gusset', 'Flap', 'Pocket', 'Zip pocket', 'Tab']); // prettier-ignore
  });

  it('has notions for its kit: a zip, a ring for each tab, the snaps of its flap', () => {
    expect(made('gusset-bag').notions).toEqual([]);
    expect(made('gusset-bag', { flap: 200, snaps: 2, zip: 200, tabs: 3, tabWidth: 25 }).notions).toEqual([
      { name: 'Zip, 200 mm', count: 1 },
      { name: 'Ring, 25 mm inside', count: 3 },
      { name: 'Snap', count: 2 },
    ]);
  });

  it('has a flap as wide as its panel, whose snaps meet those of the panel when it is closed', () => {
    const { pieces } = made('gusset-bag', { width: 300, height: 250, flap: 160, snaps: 3 });
    const snaps = (name: string) => of(pieces, name).marks.filter(({ kind }) => kind === 'snap').map(({ at }) => at); // prettier-ignore
    // Closed, the flap hangs from the panel's upper edge: its lower edge is 160 below, its snaps mirrored up.
    expect(snaps('Flap').map(([x, y]) => [x, 250 - (160 - y)])).toEqual(snaps('Panel'));
    expect(snaps('Flap').map(([x]) => x)).toEqual([75, 150, 225]);
    expect(of(pieces, 'Flap').cuts.map(({ duty, count }) => [duty, count])).toEqual([['shell', 1], ['lining', 1]]); // prettier-ignore
  });

  it('has a flap that is faced with its own cloth where there is no lining, each cut once and for one duty', () => {
    const { pieces } = made('gusset-bag', { flap: 160, lined: 0 });
    for (const { cuts } of pieces) expect(new Set(cuts.map(({ duty }) => duty)).size).toBe(cuts.length);
    expect(size(of(pieces, 'Flap facing'))).toEqual(size(of(pieces, 'Flap')));
  });

  it('has a zip window as long as the zip within its pocket, and a patch worked round it', () => {
    const { pieces } = made('gusset-bag', { zip: 180, zipDepth: 140 });
    const pocket = of(pieces, 'Zip pocket');
    const [window] = pocket.marks.filter(({ kind }) => kind === 'zip');
    expect(window!.to![0] - window!.at[0]).toBe(180);
    expect(window!.at[0]).toBe(20);
    expect(size(pocket)).toEqual([180 + 40 + 20, 290 + 20]);
    expect(pocket.cuts[0]!.jobs).toMatchObject([{ role: 'zip-area', place: { kind: 'line', line: [window!.at, window!.to] } }]);
  });

  it.each([
    ['pocket', { width: 200, pocket: 210 }],
    ['pocketHeight', { height: 120, pocket: 100, pocketHeight: 130 }],
    ['zip', { width: 200, zip: 170 }],
    ['zipDepth', { height: 120, zip: 100, zipDepth: 130 }],
  ])('says at %s what does not fit into it', (field, values) => {
    expect(() => made('gusset-bag', values)).toThrow(new RegExp(`^${field}`));
  });
});

describe('a box with its lid', () => {
  it('has a lid that goes over both walls of the tray with its play, and cores of its own clear of every fold', () => {
    const { pieces, facts } = made('tray', {
      length: 200,
      width: 140,
      height: 60,
      core: 2,
      lid: 1,
      lidHeight: 30,
      cloths: 1.5,
      play: 2,
      allowance: 0,
    });
    expect(pieces.map(({ name }) => name)).toEqual(['Tray', 'Floor', 'Long side', 'Short side', 'Lid', 'Lid, floor', 'Lid, long side', 'Lid, short side']); // prettier-ignore
    // A wall is a core and its two cloths thick; two walls and the play on both sides lie between.
    const inside = [200 + 2 * (2 + 1.5) + 4, 140 + 2 * (2 + 1.5) + 4];
    expect(facts.filter(({ words }) => words.startsWith('Lid inside')).map(({ length }) => length)).toEqual(inside);
    expect(size(of(pieces, 'Lid'))).toEqual(inside.map((mm) => mm + 60));
    expect(size(of(pieces, 'Lid, floor'))).toEqual(inside.map((mm) => mm - 6));
    expect(size(of(pieces, 'Lid, long side'))).toEqual([inside[0]! - 6, 24]);
    expect(() => made('tray', { lid: 1, lidHeight: 10, core: 8, height: 60 })).toThrow(/^lidHeight/);
  });
});
