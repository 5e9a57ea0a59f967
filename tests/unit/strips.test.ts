import { describe, expect, it } from 'vitest';
import { choose, edgeRuleOf, sizeOfPiece, type Part, type Role } from '../../src/core/choose';
import { layerItems, listedPart } from '../../src/core/cutlist';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';
import { DEFAULT_LAYER_OUTLINE, edgeLength, edgesByRule, grainLine, layerOutline, openPiece, plainPiece, runsIntoSeam } from '../../src/core/pieces'; // prettier-ignore
import { bounds, polygonArea, type PieceShape } from '../../src/core/shape';

const braid = (width: number) => LIBRARY_LAYERS.find(({ family, rollWidth }) => family === 'braid' && rollWidth === width)!;
const ring: PieceShape = { kind: 'ring', outer: 1280, inner: 180 } as PieceShape;
const linen = LIBRARY_CLOTHS.find(({ construction, weave }) => construction === 'woven' && weave === 'plain')!;
const part = (role: Role, more: Partial<Part> = {}): Part => ({
  role,
  cut: 'straight',
  stretch: 'any',
  care: 'wash-warm',
  ...more,
});

describe('where a strip runs', () => {
  it('in the hem of a ring: round its outer edge, whatever the width of the braid', () => {
    const piece = openPiece(plainPiece(ring, 0));
    const round = Math.PI * 1280;
    const found = edgeLength(piece, edgesByRule(piece, edgeRuleOf('flare-hem')));
    expect(found).toBeGreaterThan(0.999 * round);
    expect(found).toBeLessThan(round * 1.0001);
    for (const width of [25, 50, 75, 150]) {
      const { runningLength } = layerOutline(piece, 'strip', braid(width), { ...DEFAULT_LAYER_OUTLINE, rule: 'longest' });
      expect(runningLength).toBeCloseTo(found, 6);
    }
  });

  it('in the hem of a trapezium: along its longer side, wherever that lies', () => {
    for (const [top, bottom] of [
      [200, 600],
      [600, 200],
    ] as const) {
      // prettier-ignore
      const piece = openPiece(plainPiece({ kind: 'trapezium', top, bottom, height: 250, shift: 0 } as PieceShape, 0));
      expect(edgeLength(piece, edgesByRule(piece, 'longest'))).toBeCloseTo(600, 6);
    }
  });

  it('for a waistband: beside the fold', () => {
    const spec = {
      ...plainPiece({ kind: 'rectangle', width: 800, height: 45, corners: [], corner: 0 } as unknown as PieceShape, 10),
      fold: 2,
    };
    const piece = openPiece(spec);
    const strip = layerOutline(piece, 'strip', { rollWidth: 35 }, { ...DEFAULT_LAYER_OUTLINE, rule: 'fold' });
    expect(strip.runningLength).toBeCloseTo(800, 6);
    expect(strip.area).toBeCloseTo((800 - 20) * 35, 3);
    const { minY, maxY } = bounds(strip.outlines[0]!);
    const [[, foldY]] = piece.fold!;
    expect(Math.min(Math.abs(minY - foldY), Math.abs(maxY - foldY))).toBeLessThan(1e-6);
  });

  it('otherwise along the top, and always along what was chosen', () => {
    const piece = openPiece(
      plainPiece({ kind: 'rectangle', width: 300, height: 100, corners: [], corner: 0 } as unknown as PieceShape, 0),
    );
    const run = (edges: number[]) => layerOutline(piece, 'strip', { rollWidth: 900 }, { ...DEFAULT_LAYER_OUTLINE, edges });
    expect(run([]).runningLength).toBeCloseTo(300, 6);
    expect(run([1]).runningLength).toBeCloseTo(100, 6);
    expect(run([0, 1, 2, 3]).area).toBeCloseTo(300 * 100 - 240 * 40, 3);
  });
});

describe('choosing and cutting tell one length', () => {
  it('of braid in the hem of a ring', () => {
    const spec = plainPiece(ring, 0);
    const kept = { id: 'p', name: 'Hem', ...spec, clothId: null, wish: part('flare-hem'), count: 2, pairs: false, oneWay: false };
    for (const width of [25, 50, 75, 150]) {
      const layer = braid(width);
      const stack = { layers: [{ materialId: layer.id, extent: 'strip' as const }] };
      const { tape } = layerItems([listedPart({ ...kept, stack }, () => layer)], layer, {
        trim: 6,
        method: 'cut-first',
        glueUp: true,
      });
      const piece = sizeOfPiece(openPiece(spec), 'flare-hem', 2);
      const { ranked } = choose(linen, part('flare-hem'), [layer], { piece, limit: 5 });
      expect(ranked[0]!.needs.layers[0]!.length).toBeCloseTo(tape, 6);
      expect(tape).toBeGreaterThan(2 * Math.PI * 1280);
    }
  });
});

describe('waistband strips', () => {
  const offered = (height: number, allowance = 10) => {
    const piece = { width: 800, height, count: 1, allowance, edge: 800 };
    const { ranked } = choose(
      LIBRARY_CLOTHS.find(({ name }) => name === 'Oxford shirting')!,
      part('waistband'),
      LIBRARY_LAYERS,
      { piece, limit: 200 },
    );
    const widths = ranked.flatMap(({ layers }) => layers).filter(({ family }) => family === 'waistband-strip').map(({ material }) => material.match(/(\d+) mm/)![1]); // prettier-ignore
    return [...new Set(widths.map(Number))];
  };
  it.each([
    [70, [25]],
    [90, [35]],
    [80, [30]],
    [120, [50]],
    [300, []],
  ] as const)('a band cut %d mm wide is offered %j', (height, widths) => {
    expect(offered(height)).toEqual(widths);
  });
});

describe('pieces that no roll holds', () => {
  it('are told with the stack', () => {
    const { ranked } = choose(linen, part('flare-hem'), LIBRARY_LAYERS, {
      piece: { width: 1700, height: 1700, count: 2 },
      limit: 200,
    });
    const full = ranked.filter(({ layers }) => layers[0]!.extent !== 'strip' && layers[0]!.form !== 'liquid');
    for (const { cautions, needs } of full)
      if (needs.layers[0]!.tooWide !== undefined) expect(cautions.join(' ')).toMatch(/no way round/);
  });
});

describe('what runs into a seam', () => {
  it.each([
    ['full', 10, 6, true],
    ['trimmed', 10, 6, true],
    ['trimmed', 6, 6, false],
    ['trimmed', 5, 6, false],
    ['net', 10, 6, false],
    ['strip', 10, 6, false],
  ] as const)('%s, allowance %d, trimmed by %d: %s', (extent, allowance, trim, runs) => {
    // prettier-ignore
    expect(runsIntoSeam(extent, allowance, trim)).toBe(runs);
  });
  it('choosing says so too, and never that a trimmed layer stays out', () => {
    const { ranked } = choose(linen, part('collar'), LIBRARY_LAYERS, {
      limit: 100,
      piece: { width: 400, height: 100, count: 2, allowance: 10 },
    });
    const trimmed = ranked.filter(({ layers }) => layers.every(({ extent }) => extent === 'trimmed'));
    expect(trimmed.length).toBeGreaterThan(3);
    for (const { criteria } of trimmed) {
      const why = criteria.find(({ id }) => id === 'bulk')!.why;
      expect(why).not.toMatch(/^Runs into/);
      if (/Stays out/.test(why)) expect(why).toMatch(/Stays out/);
    }
  });
});

describe('the grain line', () => {
  it.each([
    ['straight', 0, 0],
    ['bias', 0, 45],
    ['cross', 0, 90],
    ['straight', 20, 20],
    ['bias', 20, 65],
    ['cross', 20, -70],
  ] as const)('of a piece cut %s whose own line leans by %d° lies at %d°', (cut, grain, expected) => {
    // prettier-ignore
    expect(grainLine({ cut, grain })).toBe(expected);
  });

  it('lies along the roll for every copy on the table, flipped and mirrored ones too', () => {
    const shape: PieceShape = { kind: 'angled', width: 200, height: 100, corners: [false, false, true, false], corner: 60 };
    const woven = LIBRARY_LAYERS.find(({ family, grain }) => family === 'woven' && grain)!;
    const sewn = { ...woven, form: 'sew-in' as const };
    for (const layer of [woven, sewn])
      for (const cut of ['straight', 'bias', 'cross'] as const)
        for (const grain of [0, 20])
          for (const pairs of [false, true]) {
            const kept = {
              id: 'p',
              name: 'P',
              ...plainPiece(shape, 10),
              grain,
              clothId: null,
              wish: part('collar', { cut }),
              count: 4,
              pairs,
              oneWay: false,
            };
            const stack = { layers: [{ materialId: layer.id, extent: 'full' as const }] };
            const { items } = layerItems([listedPart({ ...kept, stack }, () => layer)], layer, {
              trim: 6,
              method: 'cut-first',
              glueUp: true,
            });
            expect(polygonArea(items[0]!.outline)).toBeGreaterThan(0);
            for (const item of items)
              for (const flipped of item.flip ? [false, true] : [false])
                for (const turn of item.rotations) {
                  const lies = (flipped ? -item.grain! : item.grain!) + turn;
                  expect(Math.abs(Math.sin((lies * Math.PI) / 180))).toBeLessThan(1e-9);
                }
          }
  });
});
