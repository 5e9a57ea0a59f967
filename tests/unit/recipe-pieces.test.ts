import { describe, expect, it } from 'vitest';
import { InputError } from '../../src/core/input-error';
import { DEFAULT_LAYER_OUTLINE, layerOutline, openPiece, placeCut } from '../../src/core/pieces';
import { RECIPES, recipeOf, type RecipePiece } from '../../src/core/recipes';
import { LIBRARY_LAYERS } from '../../src/core/library';
import { distanceToBorder, perimeter, type Outline } from '../../src/core/shape';
import { piecesSchema } from '../../src/schemas/projects';
import { keyOf, kindOf, tryRecipe, valuesOf } from '../../src/views/project/recipe-form';
import { recipePieces } from '../../src/views/project/recipe-pieces';
import { isOfLayer } from '../../src/views/project/worked';
import type { KeptStack } from '../../src/store/jobs';

const made = (id: string, values: Record<string, number> = {}) => recipeOf(kindOf(id), values);
const opened = (piece: RecipePiece) => openPiece({ ...piece, line: 'sew', fold: null });
/** Length of a stretch of a line that stays at one distance from the origin. */
const arcAt = (line: Outline, radius: number): number => {
  let sum = 0;
  line.forEach(([x, y], i) => {
    const [u, v] = line[(i + 1) % line.length]!;
    if (Math.abs(Math.hypot(x, y) - radius) < 0.1 && Math.abs(Math.hypot(u, v) - radius) < 0.1) sum += Math.hypot(u - x, v - y);
  });
  return sum;
};

describe('every recipe', () => {
  it.each(RECIPES.map(({ id }) => id))('%s makes pieces that can be cut, put to a project and sewn', async (id) => {
    const recipe = made(id);
    for (const piece of recipe.pieces) {
      const { outline, seam } = opened(piece);
      expect(outline.length).toBeGreaterThan(2);
      expect(seam.length).toBeGreaterThan(0);
    }
    const body = { pieces: recipePieces(recipe, { cloths: { shell: 'shirting-poplin' }, layers: {} }, 'wash-warm') };
    await expect(piecesSchema.validate(body, { strict: true })).resolves.toBeDefined();
    expect(recipe.notes.length).toBeGreaterThan(0);
    for (const { length, value } of recipe.facts) expect(length === undefined ? value : length > 0).toBeTruthy();
  });

  it.each(RECIPES.flatMap((kind) => kind.fields.map(({ field, max }) => [kind.id, field, max] as const)))(
    'of %s refuses a measure %s that is too large',
    (id, field, max) => {
      try {
        made(id, { [field]: max * 1.01 });
        expect.unreachable();
      } catch (error) {
        expect(error).toBeInstanceOf(InputError);
        expect((error as InputError).field).toBe(field);
      }
    },
  );
});

describe('a flare as pieces', () => {
  it('has sectors whose seams together are the waist and the hem', () => {
    const recipe = made('flare', { circles: 0.75, waist: 640, length: 420, clothWidth: 900 });
    const [sector] = recipe.pieces;
    const { count } = sector!.cuts[0]!;
    expect(count).toBeGreaterThan(1);
    const radius = 640 / (2 * Math.PI * 0.75);
    // Dashed: the seam line is the shape itself.
    const [line] = opened(sector!).seam;
    expect(count * arcAt(line!, radius)).toBeCloseTo(640, 0);
    expect(count * arcAt(line!, radius + 420)).toBeCloseTo(2 * Math.PI * 0.75 * (radius + 420), 0);
    // Each sector has an allowance at its straight sides.
    const width = (outline: Outline) => Math.max(...outline.map(([x]) => x)) - Math.min(...outline.map(([x]) => x));
    expect(width(opened(sector!).outline)).toBeGreaterThan(width(line!) + 10);
    expect(width(opened(sector!).outline)).toBeLessThanOrEqual(900);
  });

  it('may have a hem far deeper than its seams, which alone have to leave room in the middle', () => {
    // r = 600 / 4π = 48 mm: a seam of 10 mm leaves room, a hem of 80 mm lies outside.
    const { pieces, facts } = made('flare', { circles: 2, waist: 600, length: 300, hem: 80, clothWidth: 1400 });
    expect(pieces[0]!.allowances).toEqual([80, 10, 10, 10]);
    const { outline } = opened(pieces[0]!);
    const width = Math.max(...outline.map(([x]) => x)) - Math.min(...outline.map(([x]) => x));
    expect(facts.find(({ words }) => words === 'Width that one takes')!.length).toBeCloseTo(width, 1);
  });

  it('has as many jobs and cuts as are ticked', () => {
    const cuts = (more: Record<string, number>) => made('flare', more).pieces[0]!.cuts;
    expect(cuts({ braid: 1, interfaced: 1, lined: 1 }).map(({ duty, jobs }) => [duty, jobs.map(({ role }) => role)])).toEqual([
      ['shell', ['whole-panel', 'flare-hem']],
      ['lining', []],
    ]);
    expect(cuts({ braid: 0 })).toMatchObject([{ jobs: [] }]);
  });
});

describe('a hat as pieces', () => {
  const recipe = made('hat');
  const piece = (name: string, duty: string) => recipe.pieces.find((each) => each.name === name && each.cuts[0]!.duty === duty)!;
  const joint = (duty: string) => recipe.facts.find(({ words }) => words === `Joined round, ${duty}`)!.length!;
  it.each([
    ['lining', 'lining'],
    ['base', 'base'],
    ['soft-interlining', 'soft interlining'],
    ['shell', 'outer cloth'],
  ])('whose %s meets on one length', (duty, words) => {
    const tip = opened(piece('Tip', duty)).seam[0]!;
    const band = opened(piece('Side band', duty)).seam[0]!;
    // A lining is in crown and band only.
    if (duty === 'lining')
      expect(recipe.pieces.some((each) => each.name === 'Brim' && each.cuts[0]!.duty === 'lining')).toBe(false);
    const brim = duty === 'lining' ? [tip] : opened(piece('Brim', duty)).seam;
    expect(perimeter(tip)).toBeCloseTo(joint(words), 0);
    expect(Math.max(...band.map(([x]) => x)) - Math.min(...band.map(([x]) => x))).toBeCloseTo(joint(words), 6);
    expect(Math.min(...brim.map(perimeter))).toBeCloseTo(joint(words), 0);
  });

  it('has allowances by the rule of each layer', () => {
    expect(piece('Brim', 'base').allowances).toEqual([0, 0, 0, 0, 10]);
    expect(piece('Brim', 'shell').allowances).toEqual([10, 10, 10, 10, 10]);
    expect(piece('Side band', 'base').allowances).toEqual([0, 10, 0, 10]);
    expect(piece('Tip', 'base').allowances).toEqual([10, 10, 10, 10]);
  });

  it('has marks that meet: front, back and sides on every piece', () => {
    for (const { name, marks } of recipe.pieces) {
      const kinds = new Set(marks.map(({ kind }) => kind));
      expect([name, [...kinds].sort()]).toEqual([name, ['centre-back', 'centre-front', 'side']]);
    }
    const band = piece('Side band', 'shell');
    const at = (kind: string) => band.marks.filter((mark) => mark.kind === kind && mark.at[1] === 0).map(({ at: [x] }) => x);
    const length = joint('outer cloth');
    expect(at('side')[1]! - at('side')[0]!).toBeCloseTo(length / 2, 6);
    expect(at('centre-front')[0]).toBeCloseTo(length / 2, 6);
  });

  it('whose base is cut from a layer of the cupboard has it as its stack, and no cloth', () => {
    const buckram = LIBRARY_LAYERS.find(({ family }) => family === 'buckram')!;
    const pieces = recipePieces(recipe, { cloths: { shell: 'felt' }, layers: { base: buckram } }, 'none');
    const cuts = pieces.flatMap((each) => each.cuts);
    const base = cuts.filter(({ duty }) => duty === 'base');
    expect(base).toHaveLength(3);
    for (const { clothId, jobs } of base) {
      expect(clothId).toBeNull();
      expect(jobs[0]).toMatchObject({ wish: { care: 'none' }, stack: { layers: [{ materialId: buckram.id, extent: 'full' }] } });
    }
    expect(cuts.filter(({ duty }) => duty === 'shell').every(({ clothId }) => clothId === 'felt')).toBe(true);
  });
});

describe('a piece that is its own layer', () => {
  const stack = { title: 'Buckram' } as KeptStack;
  it.each([
    ['base', null, stack, true],
    ['soft-interlining', null, stack, true],
    // What has lost its cloth has to be given one.
    ['shell', null, stack, false],
    ['base', null, null, false],
    ['base', 'canvas', stack, false],
  ] as const)('a %s of cloth %s is one or not', (duty, clothId, of, is) =>
    expect(isOfLayer({ cut: { duty, clothId }, stack: of })).toBe(is),
  );
});

describe('a panel', () => {
  it('is cut rough, and its corner marks lie where it is squared to: so much inside the rough edge on every side', () => {
    const { pieces, facts } = made('panel', { width: 250, height: 400, margin: 30, allowance: 7, motif: 1 });
    const [panel] = pieces;
    const open = openPiece({ ...panel!, line: 'sew', fold: null });
    const corners = panel!.marks.slice(0, 4).map(({ at }) => at);
    for (const at of corners) expect(Math.round(1e6 * distanceToBorder(open.outline, at)) / 1e6).toBe(30);
    const xs = corners.map(([x]) => x);
    expect(Math.max(...xs) - Math.min(...xs)).toBe(264);
    expect(facts.map(({ length }) => length)).toEqual([324, 474, 264, 414]);
    // The motif lies on the middle mark.
    expect(panel!.cuts[0]!.jobs[1]!.place).toEqual({ kind: 'field', at: panel!.marks[4]!.at });
  });
});

describe('a godet', () => {
  it('adds to the hem what is left of it between its two seams, times how many there are', () => {
    const { facts } = made('godet', { adds: 230, count: 5, allowance: 10 });
    // Five of 230 mm, each without the allowances that its seams eat.
    expect(facts.find(({ words }) => words.startsWith('All of them'))!.length).toBeCloseTo(5 * 210, 6);
  });

  it('has sides as long as its slash, and adds what was asked', () => {
    const [godet] = made('godet', { slash: 280, adds: 210 }).pieces;
    const [line] = opened(godet!).seam;
    expect(arcAt(line!, 280)).toBeCloseTo(210, 0);
    expect(Math.max(...line!.map(([x, y]) => Math.hypot(x, y)))).toBeCloseTo(280, 1);
    expect(() => made('godet', { slash: 100, adds: 320 })).toThrow(/^adds/);
    expect(() => made('godet', { count: 2.5 })).toThrow(/^count/);
  });

  it('has a strip on each seam line that covers the allowance and ends 2 mm within', () => {
    const [godet] = made('godet', { slash: 280, adds: 210, allowance: 12 }).pieces;
    const piece = opened(godet!);
    const jobs = godet!.cuts[0]!.jobs;
    expect(jobs).toHaveLength(2);
    for (const { place } of jobs) {
      const { outlines } = layerOutline(piece, 'strip', { rollWidth: 900 }, { ...DEFAULT_LAYER_OUTLINE, ...placeCut(place) });
      const strip = outlines.flat();
      // How far each corner lies within the seam line, which runs from the point at the origin.
      const side = Math.sign(strip.reduce((sum, [x]) => sum + x, 0));
      const half = 210 / 280 / 2;
      const within = strip.map(([x, y]) => -(side * x * Math.cos(half) + y * Math.sin(half)));
      expect(Math.max(...within)).toBeCloseTo(2, 1);
      expect(Math.min(...within)).toBeCloseTo(-12, 1);
      expect(Math.max(...strip.map(([x, y]) => Math.hypot(x, y)))).toBeGreaterThan(280);
    }
  });
});

describe('bands', () => {
  it('a waistband is cut 2 × finished and 2 × allowance, as long as waist and overlap', () => {
    const { pieces, facts } = made('waistband', { waist: 700, overlap: 40, width: 30, allowance: 12 });
    const { outline } = opened(pieces[0]!);
    const size = (axis: 0 | 1) =>
      Math.max(...outline.map((point) => point[axis])) - Math.min(...outline.map((point) => point[axis]));
    expect([size(0), size(1)]).toEqual([700 + 40 + 24, 60 + 24]);
    expect(facts.find(({ words }) => words === 'Strip')!.length).toBe(740);
  });
  it('a neckband is a share of its edge, its length across the knit', () => {
    const { pieces } = made('neckband', { edge: 600, share: 0.85 });
    const { shape, grain } = pieces[0]!;
    expect([(shape as { width: number }).width, grain]).toEqual([510, 0]);
  });
});

describe('what is typed', () => {
  const flare = kindOf('flare');
  const typed = (circles: string | number) => valuesOf(flare, { [keyOf(flare, 'circles')]: circles })['circles'];
  it.each([
    ['1.5', 1.5],
    ['0,75', 0.75],
    ['½', 0.5],
    ['1½', 1.5],
    ['2¼', 2.25],
    [3, 3],
  ])('%s circles are %d', (text, circles) => expect(typed(text)).toBe(circles));
  it.each(['', 'two', ' '])('“%s” is no number, and says so at its field', (text) => {
    expect(tryRecipe(flare, { [keyOf(flare, 'circles')]: text }, { thickness: {} })).toMatchObject({
      field: 'circles',
      message: expect.stringMatching(/write a number/) as string,
    });
  });
  it.each(RECIPES.map((kind) => [kind.id, kind] as const))(
    'nothing yet: %s stands there whatever cloth is in hand',
    (_, kind) => {
      for (const rollWidth of [900, 1500])
        expect(tryRecipe(kind, {}, { thickness: {}, rollWidth })).toMatchObject({
          recipe: { pieces: expect.any(Array) as unknown },
        });
    },
  );
  it('what was typed into a measure that is asked for no more stands in nobody’s way', () => {
    const hat = kindOf('hat');
    const typed = (domed: number) => ({ [keyOf(hat, 'gores')]: 'many', [keyOf(hat, 'domed')]: domed });
    expect(tryRecipe(hat, typed(1), { thickness: {} })).toMatchObject({ field: 'gores' });
    expect(tryRecipe(hat, typed(0), { thickness: {} }).recipe!.pieces.length).toBeGreaterThan(0);
  });
  it('the width of the cloth is taken from the cloth, less its selvedges', () => {
    expect(valuesOf(flare, {}, { thickness: {}, rollWidth: 1120 })['clothWidth']).toBe(1100);
    expect(valuesOf(flare, { [keyOf(flare, 'clothWidth')]: 900 }, { thickness: {}, rollWidth: 1120 })['clothWidth']).toBe(900);
  });
});
