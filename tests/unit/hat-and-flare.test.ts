import { describe, expect, it } from 'vitest';
import { openPiece, sewnOutline } from '../../src/core/pieces';
import { RECIPES, recipeOf, toldRecipe, type RecipePiece } from '../../src/core/recipes';
import { perimeter, type Outline, type Point } from '../../src/core/shape';

const kindOf = (id: string) => RECIPES.find((each) => each.id === id)!;
const made = (id: string, values: Record<string, number>) => recipeOf(kindOf(id), values);
const sewn = (piece: RecipePiece) => sewnOutline({ ...piece, line: 'sew', fold: null });
/** Length of one edge of a piece, by its chords. */
function edgeOf(piece: RecipePiece, edge: number): Point[] {
  const { outline, edges } = sewn(piece);
  const own = edges.flatMap((each, i) => (each === edge ? [i] : []));
  return [...own.map((i) => outline[i]!), outline[(own.at(-1)! + 1) % outline.length]!];
}
const long = (line: Outline) => line.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - line[i]![0], y - line[i]![1]), 0);
const of = (pieces: readonly RecipePiece[], name: string, duty = 'base') =>
  pieces.find((each) => each.name === name && each.cuts[0]!.duty === duty)!;
/** A quarter of an ellipse, by very many chords. */
function quarter(a: number, b: number): number {
  const at = (k: number): Point => [a * Math.cos((Math.PI / 2) * (k / 50_000)), b * Math.sin((Math.PI / 2) * (k / 50_000))];
  return long(Array.from({ length: 50_001 }, (_, k) => at(k)));
}

describe('the head that a hat is for', () => {
  const oval = (values: Record<string, number>) =>
    ['Oval, length', 'Oval, width', 'Joined round, base'].map((words) => made('hat', { ease: 0, ...values }).facts.find((each) => each.words === words)!.length!); // prettier-ignore
  it('is as long and as wide as was read, however long round that is', () => {
    const [length, width, round] = oval({ lengthRead: 1, headLength: 200, widthRead: 1, headWidth: 160, head: 900 });
    expect([length, width]).toEqual([expect.closeTo(200, 6), expect.closeTo(160, 6)]);
    expect(round).toBeCloseTo(4 * quarter(100, 80), 2);
  });
  it.each([
    ['length', { lengthRead: 1, headLength: 200 }, 0, 200],
    ['width', { widthRead: 1, headWidth: 160 }, 1, 160],
  ])('has the %s that was read and its circumference, and the other follows', (_, read, at, mm) => {
    const found = oval({ head: 570, ...read });
    expect(found[at]).toBeCloseTo(mm, 4);
    expect(4 * quarter(found[0]! / 2, found[1]! / 2)).toBeCloseTo(570, 2);
  });
  it.each([
    ['headWidth', { lengthRead: 1, headLength: 160, widthRead: 1, headWidth: 200 }],
    ['headLength', { head: 570, lengthRead: 1, headLength: 120 }],
    ['headWidth', { head: 570, widthRead: 1, headWidth: 300 }],
    ['gores', { domed: 1, gores: 7 }],
    ['bandHeight', { bandHeight: 0 }],
    ['taper', { bandHeight: 0, domed: 1, taper: 20 }],
    ['taper', { bandHeight: 300, taper: 1 }],
    ['brimWidth', { brimWidth: 10, dip: 80, interlining: 3 }],
  ])('and says so at %s where it cannot be', (field, values) => {
    expect(() => made('hat', values)).toThrow(new RegExp(`^${field}`));
  });
});

describe('what a hat takes', () => {
  it('is as thick as its pile under a ruler, shared as the figures of its layers are', () => {
    const joint = (values: Record<string, number>, words: string) => made('hat', { ease: 0, head: 570, ...values }).facts.find((each) => each.words === `Joined round, ${words}`)!.length!; // prettier-ignore
    const layers = { lining: 0.5, base: 1, interlining: 1.5, shell: 1 };
    // 4 mm by their figures, 6 mm under the ruler: each half as thick again.
    expect(joint({ ...layers, piled: 1, pile: 6 }, 'outer cloth')).toBeCloseTo(570 + 2 * Math.PI * 1.5 * 2.5, 6);
    expect(joint({ ...layers, piled: 1, pile: 6 }, 'lining')).toBeCloseTo(570 - 2 * Math.PI * 1.5 * 0.5, 6);
    expect(joint({ ...layers, piled: 0, pile: 6 }, 'outer cloth')).toBeCloseTo(570 + 2 * Math.PI * 2.5, 6);
  });

  it('is told as blanks along the grain that hold every piece with its allowances', () => {
    const { notes } = made('hat', {
      head: 600,
      ease: 0,
      oval: 1,
      bandHeight: 80,
      brimWidth: 50,
      allowance: 10,
      shell: 0.1,
      interlining: 0,
      base: 0.1,
    });
    const note = notes.find((each) => each.startsWith('Blanks of the outer cloth'))!;
    // A round tip is as wide on the bias as straight: 600/π and both allowances; the brim 50 mm further out.
    const round = 5 * Math.ceil((600 / Math.PI + 0.2 + 20) / 5);
    expect(note).toContain(`tip ${round} mm along, ${round} mm across`);
    expect(note).toContain('side band 625 mm along, 100 mm across');
    expect(note).toContain(`brim, 2 of ${5 * Math.ceil((600 / Math.PI + 120) / 5)} mm along`);
  });
});

describe('a hat that is not flat', () => {
  it('has gores whose seams are the dome’s own meridian, together as wide as it is round, closing flat at the top', () => {
    for (const [gores, crown] of [
      [4, 60],
      [6, 110],
      [12, 160],
    ] as const) {
      const { pieces } = made('hat', { head: 570, ease: 12, domed: 1, gores, crown });
      const gore = of(pieces, 'Gore');
      expect(gore.cuts[0]!.count).toBe(gores);
      const radius = 582 / (2 * Math.PI);
      expect(long(edgeOf(gore, 1))).toBeCloseTo(quarter(radius, crown), 1);
      expect(long(edgeOf(gore, 2))).toBeCloseTo(quarter(radius, crown), 1);
      expect(gores * long(edgeOf(gore, 0))).toBeCloseTo(582, 6);
      const side = edgeOf(gore, 1);
      const [[x, y], [, top]] = [side.at(-2)!, side.at(-1)!];
      expect(gores * 2 * Math.atan2(x, top - y)).toBeCloseTo(2 * Math.PI, 1);
    }
  });

  it('has a sloping band whose upper line is so much shorter, and a tip that is as long', () => {
    const { pieces } = made('hat', { head: 570, ease: 12, taper: 40, bandHeight: 90 });
    for (const duty of ['lining', 'base', 'shell']) {
      const band = of(pieces, 'Side band', duty);
      const [lower, upper] = [long(edgeOf(band, 0)), long(edgeOf(band, 2))];
      expect(lower - upper).toBeCloseTo(40, 1);
      expect(perimeter(sewn(of(pieces, 'Tip', duty)).outline)).toBeCloseTo(upper, 0);
      expect(long(edgeOf(band, 1))).toBeCloseTo(90, 6);
    }
    // Its marks lie on both lines, a quarter of each apart.
    const { shape, marks } = of(pieces, 'Side band');
    const { inner, outer, angle } = shape as { inner: number; outer: number; angle: number };
    for (const {
      at: [x, y],
    } of marks)
      expect([inner, outer].some((r) => Math.abs(Math.hypot(x, y) - r) < 1e-6)).toBe(true);
    const turns = marks.map(({ at: [x, y] }) => (Math.atan2(x, -y) * 180) / Math.PI / angle);
    for (const turn of turns) expect(Math.abs(4 * turn - Math.round(4 * turn))).toBeLessThan(1e-6);
  });

  it('has a steep brim that leaves the level by so many degrees, its outer cloth twice, no lining in it', () => {
    const { pieces, seams } = made('hat', { dip: 40, brimWidth: 70, allowance: 10 });
    const brim = of(pieces, 'Brim');
    const [outer, inner] = [long(edgeOf(brim, 0)), long(edgeOf(brim, 2))];
    // Round, the outer line's radius is the inner one's and 70 mm × cos 40°.
    expect((outer - inner) / (2 * Math.PI)).toBeCloseTo(70 * Math.cos((40 * Math.PI) / 180), 1);
    expect(of(pieces, 'Brim', 'shell').cuts[0]!.count).toBe(2);
    expect(of(pieces, 'Brim', 'lining')).toBeUndefined();
    const at = pieces.indexOf(of(pieces, 'Brim', 'shell'));
    expect(seams!.filter(({ first, second }) => first.piece === at && second.piece === at)).toHaveLength(2);
  });

  it('has a nearly flat brim in two halves, so that the allowances at its seams lie clear of each other', () => {
    const { pieces } = made('hat', { dip: 8, brimWidth: 70 });
    expect(of(pieces, 'Brim', 'shell').cuts[0]!.count).toBe(4);
    const { outline } = openPiece({ ...of(pieces, 'Brim', 'shell'), line: 'sew', fold: null });
    // A half lies below its middle but for its allowances: it cannot reach round to itself.
    expect(Math.max(...outline.map(([, y]) => y))).toBeLessThan(25);
  });

  it('goes without a band where it is all dome: the brim is sewn to the gores', () => {
    const told = toldRecipe(kindOf('hat'), { domed: 1, gores: 8, bandHeight: 0 });
    expect(told.pieces.some(({ name }) => name === 'Side band')).toBe(false);
    expect(told.seams.some(({ first, second }) => first.piece.startsWith('brim') && second.piece.startsWith('gore') && second.times === 8)).toBe(true); // prettier-ignore
  });
});

describe('a flare that is longer behind', () => {
  /** How far each point of the hem is from the waist's line, by how far round the body it lies; parts put side by side. */
  it.each([
    ['two halves', { circles: 1, clothWidth: 2000, waist: 420, length: 300 }],
    ['three parts', { circles: 1.5, clothWidth: 1500, waist: 420, length: 300 }],
    ['many', { circles: 2, clothWidth: 600, waist: 420, length: 300 }],
    ['a ring', { circles: 1, clothWidth: 2000, waist: 420, length: 300, ring: 1 }],
    ['half a circle', { circles: 0.5, clothWidth: 2000, waist: 420, length: 300 }],
  ])('in %s: as long round the waist, shortest in front, longest behind, its neighbours’ sides alike', (_, values) => {
    const { pieces, seams, facts } = made('flare', { ...values, behind: 120, allowance: 6, hem: 6 });
    const copies = (piece: RecipePiece) => piece.cuts[0]!.count;
    const waist = pieces.reduce((sum, piece) => sum + copies(piece) * long(edgeOf(piece, 2)), 0);
    expect(waist).toBeCloseTo(420, 1);
    const sides = pieces.flatMap((piece) => [long(edgeOf(piece, 3)), long(edgeOf(piece, 1))]);
    expect(Math.max(...sides)).toBeCloseTo(420, 6);
    for (const { first, second } of seams!)
      expect(long(edgeOf(pieces[first.piece]!, first.edges[0]!))).toBeCloseTo(long(edgeOf(pieces[second.piece]!, second.edges[0]!)), 6); // prettier-ignore
    const radii = pieces.flatMap((piece) => edgeOf(piece, 0).map(([x, y]) => Math.hypot(x, y)));
    expect(Math.max(...radii) - Math.min(...radii)).toBeCloseTo(120, 0);
    const hem = pieces.reduce((sum, piece) => sum + copies(piece) * long(edgeOf(piece, 0)), 0);
    expect(facts.find(({ words }) => words === 'Hem, all round')!.length).toBeCloseTo(hem, 3);
    // What is not its own mirror image is cut left and right.
    for (const {
      cuts: [cut],
    } of pieces)
      expect(cut!.pairs ?? false).toBe(cut!.count === 2);
  });

  it('is the level flare where nothing is added', () => {
    const level = made('flare', { circles: 1, waist: 700, length: 300 });
    expect(level.pieces).toHaveLength(1);
    expect(level.pieces[0]!.shape.kind).toBe('sector');
  });
});
