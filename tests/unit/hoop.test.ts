import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  AFTER_CHECKS,
  atCorner,
  edgeDistance,
  fromEdge,
  heldBy,
  hoopPreparation,
  hoopOutlines,
  hoopOver,
  hullOf,
  judgeMotif,
  motifLoad,
  mayHold,
  measuringEdges,
  mirroredPlace,
  placedMotif,
  proposals,
  requireHoop,
  sheetRecipe,
  sheetSources,
  splitMotif,
  starching,
  type HoopWork,
  troublesAt,
  type Ground,
  type Hoop,
  type MotifPlace,
  holesBorne,
  needleHoles,
  NEEDLES,
} from '../../src/core/hoop';
import { carryFactor } from '../../src/core/learn';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';
import { Machine, readWhere } from '../../src/core/machine';
import { COLOUR, islandsOf, motifFigures, stitchedMotif } from '../../src/core/motif';
import { DEFAULT_SCHOOLS } from '../../src/core/schools';
import { bounds, polygonArea, transformed, type Outline, type Point } from '../../src/core/shape';
import { isInside } from '../files/geometry';

const hoop: Hoop = {
  ...{ name: 'Small', shape: 'rectangle', fieldWidth: 100, fieldHeight: 100, outerWidth: 150, outerHeight: 150, clamp: 12 },
  ...{ kind: 'screw', mount: 'arm', mountSide: 'left' },
};
const large: Hoop = { ...hoop, name: 'Large', fieldWidth: 130, fieldHeight: 180, outerWidth: 190, outerHeight: 240 };
const slim: Hoop = {
  ...hoop,
  name: 'Slim',
  fieldWidth: 60,
  fieldHeight: 60,
  outerWidth: 84,
  outerHeight: 84,
  clamp: 8,
  kind: 'magnetic',
};
const rectangle = (width: number, height: number): Outline => [[0, 0], [width, 0], [width, height], [0, height]]; // prettier-ignore
const centredBox = (width: number, height: number): Outline => [[-width / 2, -height / 2], [width / 2, -height / 2], [width / 2, height / 2], [-width / 2, height / 2]]; // prettier-ignore
const napkin: Ground = { outline: rectangle(400, 400), obstacles: [], marks: false };
const motif = centredBox(50, 40);
const at = (x: number, y: number, angle = 0): MotifPlace => ({ x, y, angle, flipped: false });

describe('placing', () => {
  it('says that it fits only when the motif lies in the field and the whole ring on cloth', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 380, noNaN: true }),
        fc.double({ min: 20, max: 380, noNaN: true }),
        fc.double({ min: 0, max: 360, noNaN: true }),
        fc.constantFrom(hoop, large, slim),
        (x, y, angle, each) => {
          const place = at(x, y, angle);
          const { at: there, troubles } = hoopOver(motif, each, napkin, place);
          const { field, outer } = hoopOutlines(each, there);
          const holds =
            placedMotif(motif, place).every((point) => isInside(point, field)) &&
            outer.every((point) => isInside(point, napkin.outline)) &&
            placedMotif(motif, place).every((point) => isInside(point, napkin.outline));
          if (troubles.length === 0) expect(holds).toBe(true);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('finds room on every cloth that is large enough', () => {
    expect(hoopOver(motif, hoop, napkin, at(200, 200)).troubles).toEqual([]);
    expect(hoopOver(motif, hoop, napkin, at(200, 200, 37)).troubles).toEqual([]);
    // The motif may lie off the middle of the field: 60 mm from both edges needs a hoop that is shifted.
    expect(hoopOver(centredBox(30, 30), { ...hoop, outerWidth: 130, outerHeight: 130 }, napkin, at(60, 60)).troubles).toEqual([]);
  });

  it('is told by points alone wherever a hoop holds it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 390, noNaN: true }),
        fc.double({ min: 10, max: 390, noNaN: true }),
        fc.constantFrom(hoop, slim),
        (x, y, each) => {
          const ground = { ...napkin, obstacles: [rectangle(400, 90)] };
          const holds = hoopOver(motif, each, ground, at(x, y)).troubles.length === 0;
          // A ring that only touches the edge may go either way.
          if (holds !== mayHold(motif, each, ground, at(x, y)))
            expect(
              hoopOver(motif, { ...each, outerWidth: each.outerWidth + 1, outerHeight: each.outerHeight + 1 }, ground, at(x, y))
                .troubles,
            ).not.toEqual([]);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('names what is in the way', () => {
    const kinds = (ground: Ground, place: MotifPlace, each = hoop) =>
      hoopOver(motif, each, ground, place).troubles.map(({ kind }) => kind);
    expect(kinds(napkin, at(40, 40))).toEqual(['clamp-past-cloth']);
    expect(kinds(napkin, at(5, 200))).toContain('motif-past-cloth');
    expect(kinds({ ...napkin, obstacles: [rectangle(400, 165)] }, at(200, 200))).toEqual(['obstacle-under-clamp']);
    expect(kinds(napkin, at(200, 200), { ...slim, fieldWidth: 45, fieldHeight: 45 })).toEqual(['motif-past-field']);
    const [short] = troublesAt(motif, hoop, napkin, at(40, 200), { x: 40, y: 200, angle: 0 });
    expect(short!.by).toBeCloseTo(35, 1);
  });

  it('proposes the nearest place, another hoop, a strip, floating, in this order', () => {
    const found = proposals(motif, [hoop, slim, large], 0, napkin, at(45, 45));
    expect(found.map(({ kind }) => kind)).toEqual(['moved', 'other-hoop', 'strip', 'float']);
    const [moved, other, strip] = found;
    if (moved?.kind !== 'moved' || other?.kind !== 'other-hoop' || strip?.kind !== 'strip') throw new Error('order');
    expect(troublesAt(motif, hoop, napkin, moved.place, moved.at)).toEqual([]);
    expect(moved.by).toBeLessThan(40);
    expect(other.hoopIndex).toBe(1);
    expect(troublesAt(motif, slim, napkin, other.place, other.at)).toEqual([]);
    const stripped: Ground = { ...napkin, strips: strip.strips };
    expect(troublesAt(motif, hoop, stripped, strip.place, strip.at)).toEqual([]);
    expect(hoopOver(motif, hoop, stripped, strip.place).troubles).toEqual([]);
    // The cloth itself, and so every distance from its edges, stays as it is; the motif may not lie on a strip.
    expect(measuringEdges(stripped.outline, strip.place).map(({ distance }) => distance)).toEqual([45, 45]);
    expect(hoopOver(motif, hoop, stripped, at(10, 45)).troubles.map(({ kind }) => kind)).toContain('motif-past-cloth');
  });

  it('floats what a hoop would mark, at once', () => {
    expect(proposals(motif, [hoop, slim], 0, { ...napkin, marks: true }, at(45, 45))).toMatchObject([
      { kind: 'float', because: 'marks' },
    ]);
  });

  it('measures from edges and corners, there and back', () => {
    const place = fromEdge(napkin.outline, 1, 60, 100);
    expect([place.x, place.y]).toEqual([340, 100]);
    expect(edgeDistance(napkin.outline, 1, [place.x, place.y])).toMatchObject({ distance: 60, along: 100 });
    const corner = atCorner(napkin.outline, 0, 60);
    expect([corner.x, corner.y].map(Math.round)).toEqual([60, 60]);
    // Its foot points to the corner: turned by 45° clockwise.
    expect(corner.angle).toBeCloseTo(315, 6);
    expect(measuringEdges(napkin.outline, corner).map(({ distance }) => Math.round(distance))).toEqual([60, 60]);
  });

  it('mirrors pairs exactly, and twice gives the same again', () => {
    const flip = (outline: Outline) => outline.map(([x, y]): Point => [-x, y]);
    fc.assert(
      fc.property(fc.double({ min: -200, max: 200, noNaN: true }), fc.double({ min: 0, max: 359, noNaN: true }), (x, angle) => {
        const place = at(x, 30, angle);
        const other = mirroredPlace(place);
        const [left, right] = [flip(placedMotif(motif, place)), placedMotif(motif, other)];
        left.forEach(([px, py], i) => {
          expect(right[i]![0]).toBeCloseTo(px, 9);
          expect(right[i]![1]).toBeCloseTo(py, 9);
        });
        const back = mirroredPlace(other);
        expect([back.x, back.angle % 360, back.flipped]).toEqual([place.x, expect.closeTo(angle % 360, 9), false]);
      }),
    );
  });

  it('draws the smallest convex outline', () => {
    const points = Array.from({ length: 200 }, (_, i): Point => [50 * Math.cos(i * 7.1) * ((i % 5) / 4), 30 * Math.sin(i * 7.1)]);
    const hull = hullOf(points);
    for (const point of points) expect(isInside(point, hull)).toBe(true);
    expect(polygonArea(hull)).toBeLessThanOrEqual(polygonArea(centredBox(100, 60)));
  });

  it('refuses a hoop whose field is larger than its ring', () => {
    expect(() => requireHoop({ ...hoop, outerWidth: 110 })).toThrow(/^outerWidth: .*124 mm/);
  });
});

describe('motifs that are too large', () => {
  const wide = stitchedMotif('sign', [
    { outlines: [rectangle(220, 60)], stitching: { kind: 'fill', spacing: 0.6, stitchLength: 3, angle: 0 } },
    { outlines: [rectangle(220, 60)], stitching: { kind: 'satin', spacing: 0.5, width: 4 }, newColour: true },
  ]);
  it('are split into parts that fit, with every stitch in one of them and crosses between', () => {
    const parts = splitMotif(wide, hoop);
    expect(parts.length).toBe(3);
    const sewn = parts.reduce((sum, part) => sum + motifFigures(part.motif).threadLength, 0);
    expect(sewn).toBeGreaterThan(motifFigures(wide).threadLength);
    expect(sewn).toBeLessThan(1.06 * motifFigures(wide).threadLength + 600);
    for (const { motif: part } of parts) {
      const box = motifFigures(part).bounds!;
      expect(box.maxX - box.minX).toBeLessThanOrEqual(hoop.fieldWidth + 1e-6);
    }
    expect(parts.map(({ crosses }) => crosses.map((each) => [each.with, each.laid]))).toEqual([
      [[1, false]],
      [[0, true], [2, false]],
      [[1, true]],
    ]); // prettier-ignore
  });
  it('take as few hoopings as the hoop allows, turned if need be', () => {
    const tall = { shape: 'rectangle', fieldWidth: 90, fieldHeight: 180 } as const;
    const parts = splitMotif(wide, tall);
    expect(parts.map(({ turned }) => turned)).toEqual([true, true]);
    for (const { motif: part } of parts) {
      const box = motifFigures(part).bounds!;
      expect(box.maxX - box.minX).toBeLessThanOrEqual(tall.fieldHeight + 1e-6);
      expect(box.maxY - box.minY).toBeLessThanOrEqual(tall.fieldWidth + 1e-6);
    }
    expect(splitMotif(wide, { shape: 'rectangle', fieldWidth: 22, fieldHeight: 22 })).toEqual([]);
  });
  it('stay whole when they fit', () => {
    expect(splitMotif(wide, { shape: 'rectangle', fieldWidth: 230, fieldHeight: 70 })).toHaveLength(1);
  });
});

describe('what a motif asks of a cloth', () => {
  const lawn = LIBRARY_CLOTHS.find(({ id }) => id === 'cotton-lawn')!;
  const part = { role: 'embroidery', cut: 'straight', stretch: 'any', care: 'wash-warm' } as const;
  const block = (spacing: number) =>
    stitchedMotif('b', [{ outlines: [rectangle(50, 50)], stitching: { kind: 'fill', spacing, stitchLength: 3, angle: 0 } }]);
  const judge = (spacing: number, layers: (typeof LIBRARY_LAYERS)[number][] = [], factor = 1) => {
    const figures = motifFigures(block(spacing));
    const chosen = layers.map((material) => ({ material, extent: 'field' as const, angle: 0 }));
    const load = motifLoad(islandsOf(block(spacing), figures.bounds!, false), figures.bounds!, 60);
    return judgeMotif(lawn, part, chosen, load, factor);
  };
  const island = (number: number, minX: number, minY: number, size: number, stitches: number, area = size * size) => ({
    number,
    stitches,
    threadLength: 3 * stitches,
    bounds: { minX, minY, maxX: minX + size, maxY: minY + size },
    area,
  });
  const cutAway = LIBRARY_LAYERS.filter(({ family }) => family === 'cut-away');

  it('is more the denser it is, and less with a sheet', () => {
    expect(judge(0.4).share).toBeGreaterThan(judge(0.8).share);
    expect(judge(0.4, [cutAway[0]!]).share).toBeLessThan(judge(0.4).share);
    expect(judge(0.4).verdict).toBe('too-much');
    expect(judge(0.4).change!.fewer).toBeGreaterThan(0);
    expect(judge(3).verdict).toBe('easily');
  });

  it('is told zone by zone, where what is sewn inside a ring pulls on the same ground', () => {
    // A ring 5 mm wide, a square within it, one beside it.
    const islands = [island(1, 0, 0, 60, 500, 1100), island(2, 20, 20, 20, 800), island(3, 150, 0, 30, 200)];
    const load = motifLoad(islands, { minX: 0, minY: 0, maxX: 180, maxY: 60 }, 40);
    expect(load.whole).toMatchObject({ stitches: 1500, threadLength: 4500, width: 180, height: 60, area: 2400 });
    expect(load.islands.map(({ embroidery }) => embroidery.stitches)).toEqual([1300, 800, 200]);
    const { zones, share } = judgeMotif(lawn, part, [], load);
    expect(zones.map(({ perSquare }) => Math.round(perSquare))).toEqual([87, 200, 22]);
    expect(share).toBe(Math.max(...zones.map((zone) => zone.share)));
    expect(zones[1]!.share).toBeGreaterThan(zones[0]!.share);
  });

  it('looks at the heaviest islands on their own when there are very many, and at all of them together', () => {
    const many = Array.from({ length: 5000 }, (_, i) => island(i + 1, 5 * (i % 100), 5 * Math.floor(i / 100), 2, 1 + (i % 7)));
    many[4321] = island(4322, 100, 215, 2, 400);
    const load = motifLoad(many, { minX: 0, minY: 0, maxX: 497, maxY: 247 }, 20);
    expect(load.islands.length).toBeLessThanOrEqual(200);
    expect(load.islands.map(({ number }) => number)).toContain(4322);
    expect([...load.islands].sort((a, b) => a.number - b.number)).toEqual(load.islands);
    expect(load.whole.stitches).toBe(many.reduce((sum, { stitches }) => sum + stitches, 0));
  });

  it('takes what was learnt, and keeps what the model said', () => {
    const plain = judge(0.6, [cutAway[0]!]);
    const learnt = judge(0.6, [cutAway[0]!], 0.5);
    expect(learnt.share).toBeCloseTo(2 * plain.share, 9);
    expect(learnt.modelShare).toBeCloseTo(plain.share, 9);
  });

  it('is corrected by results: up when a heavy motif held, down when a light one did not', () => {
    expect(carryFactor([])).toBe(1);
    expect(carryFactor([{ share: 1.3, held: true }])).toBeGreaterThan(1.1);
    expect(carryFactor([{ share: 0.6, held: false }])).toBeLessThan(0.75);
    // A result that was to be expected changes little.
    expect(Math.abs(carryFactor([{ share: 0.3, held: true }]) - 1)).toBeLessThan(0.05);
    const many = Array.from({ length: 8 }, () => ({ share: 0.7, held: false }));
    expect(carryFactor(many)).toBeLessThan(carryFactor(many.slice(0, 1)));
  });

  it('is told apart by checks that speak of load', () => {
    expect(heldBy(['marks', 'thread'])).toBe(true);
    expect(heldBy(['outline'])).toBe(false);
    expect(new Set(AFTER_CHECKS.map(({ id }) => id)).size).toBe(AFTER_CHECKS.length);
  });

  it('comes with sheets that reach past ring or field, and off the roll for the whole set', () => {
    const tear = LIBRARY_LAYERS.find(({ family, form }) => family === 'tear-away' && form === 'loose')!;
    const need = (floats: boolean, material = tear) =>
      sheetRecipe(hoop, [{ material, extent: 'field', angle: 0 }], floats, 7)[0]!;
    expect(need(false)).toMatchObject({
      width: 130,
      height: 130,
      count: 7,
      how: 'slid under the hoop once it is on the machine',
    });
    expect(need(true)).toMatchObject({ width: 190, height: 190, how: 'hooped alone, the cloth laid on it' });
    expect(need(false).rollLength).toBe(3 * 130);
    const kept = [
      { id: 'a', kind: 'leftover', width: 140, length: 135 },
      { id: 'b', kind: 'leftover', width: 120, length: 500 },
      { id: 'c', kind: 'roll', width: 500, length: 900 },
      { id: 'd', kind: 'sheet', width: 270, length: 140, count: 2 },
    ];
    const sources = (needs: (typeof recipe)[]) => sheetSources(needs, () => kept, () => 500); // prettier-ignore
    const recipe = need(false);
    // One from the leftover, two from each of two sheets; the other two off the roll. Asked for twice, nothing is promised twice.
    const [first, second] = sources([recipe, recipe]);
    expect(first!.from.map(({ piece, sheets }) => [piece.id, sheets])).toEqual([['a', 1], ['d', 4]]); // prettier-ignore
    expect([first!.left, first!.rollLength]).toEqual([2, 130]);
    expect([second!.from, second!.left]).toEqual([[], 7]);
    // Turned by half a right angle it needs its diagonal.
    const turned = sources([{ ...recipe, angle: 45 }])[0]!;
    expect(turned.from).toEqual([]);
  });

  it('is prepared: starch under the whole ring, steps with their checks', () => {
    const starch = LIBRARY_LAYERS.find(({ family }) => family === 'starch')!;
    const layers = [{ material: starch, extent: 'full' as const, angle: 0 }];
    const work: HoopWork = {
      ...{ fabric: lawn, part, layers, hoop, at: { x: 200, y: 200, angle: 0 }, ground: napkin, floats: false, count: 1 },
      schools: DEFAULT_SCHOOLS,
    };
    const wet = starching(work)!;
    expect(wet.area).toBeGreaterThan(170 * 170 * 0.95);
    expect(wet.area).toBeLessThan(172 * 172);
    // Wet to the touch, 80 to 120 % of its own weight, in every round, on every piece.
    const once = wet.area * 1e-6 * lawn.arealDensity;
    expect(wet.each).toBeGreaterThan(0.8 * once);
    expect(wet.each).toBeLessThan(1.2 * once);
    expect(wet.rounds).toBe(3);
    // A set is sprayed ahead, once; whoever works in rounds does so with a set too.
    const set = starching({ ...work, count: 6 })!;
    expect(set.millilitres).toBeCloseTo(6 * wet.each, 9);
    const rounds = starching({ ...work, count: 6, schools: { ...DEFAULT_SCHOOLS, strongStarch: 'rounds' } })!;
    expect(rounds.millilitres).toBeCloseTo(6 * 3 * wet.each, 9);
    expect(set.rinsed).toBe(true);
    expect(starching({ ...work, fabric: { ...lawn, water: 'spots' } })).toBeUndefined();
    const steps = hoopPreparation(work);
    expect(steps.find(({ id }) => id === 'hoop')!.checks!.join()).toMatch(/corner/);
    expect(steps.at(-1)!.safety).toMatch(/moving hoop/);
  });
});

describe('the simulated machine', () => {
  const motifOf = () =>
    stitchedMotif('m', [
      { outlines: [rectangle(20, 20)], stitching: { kind: 'fill', spacing: 0.8, stitchLength: 3, angle: 0 } },
      { outlines: [rectangle(20, 20)], stitching: { kind: 'running', stitchLength: 2 }, newColour: true },
    ]);
  const run = (machine: Machine, ms: number, step = 100) => {
    const lines: string[] = [];
    for (let t = 0; t < ms; t += step) lines.push(...machine.tick(step));
    return lines;
  };

  it('sews through a stop for colour to the end, and tells where it is', () => {
    const machine = new Machine();
    const whole = motifOf();
    expect(machine.receive('HELLO')).toEqual(['READY nembrel-machine 1']);
    expect(machine.loaded(whole)).toEqual([`LOADED ${whole.command.length}`]);
    machine.receive('BREAKS 0');
    machine.receive(`DRIFT ${whole.command.length} 0.8`);
    machine.receive('START');
    const first = run(machine, 120_000);
    expect(first.at(-1)).toBe('STOP COLOUR 2');
    machine.receive('START');
    const second = run(machine, 60_000);
    expect(second.at(-1)).toBe('DONE');
    const end = readWhere(second.at(-2)!)!;
    expect(end).toMatchObject({ record: whole.command.length, colour: 2, drift: 0.8 });
    expect(end.stitches).toBe(motifFigures(whole).stitches);
    expect(machine.receive('START')[0]).toMatch(/^ERROR/);
  });

  it('breaks its thread at the same places for the same seed, goes back a little, and goes on where it was left', () => {
    const sew = (seed: number) => {
      const machine = new Machine();
      machine.loaded(motifOf());
      machine.receive(`SEED ${seed}`);
      machine.receive('BREAKS 200');
      machine.receive('START');
      return { machine, lines: run(machine, 60_000) };
    };
    const [a, b] = [sew(5), sew(5)];
    expect(a.lines).toEqual(b.lines);
    expect(a.lines.at(-1)).toBe('STOP BREAK');
    const stopped = readWhere(a.lines.at(-2)!)!;
    const again = readWhere(a.machine.receive('START')[0]!)!;
    expect(stopped.record - again.record).toBeGreaterThan(0);
    expect(stopped.record - again.record).toBeLessThanOrEqual(8);
    const other = new Machine();
    other.loaded(motifOf());
    expect(readWhere(other.receive('GOTO 30')[0]!)).toMatchObject({ record: 30 });
  });

  it('takes a motif line by line, and refuses what it does not know', () => {
    const machine = new Machine();
    for (const line of ['LOAD', 'J 1 2', 'S 1 2', 'S 4 2', 'C 4 2', 'S 5 5']) expect(machine.receive(line)).toEqual([]);
    expect(machine.receive('LOADED')).toEqual(['LOADED 5']);
    for (const line of ['DANCE', 'S 1', 'SPEED 9', 'GOTO 99', 'x'.repeat(999)])
      expect(machine.receive(line)[0]).toMatch(/^ERROR/);
    expect(motifOf().command.includes(COLOUR)).toBe(true);
    expect(bounds(transformed(centredBox(2, 2), false, 90)).maxX).toBeCloseTo(1, 9);
  });
});

describe('needle holes', () => {
  const of = (name: string) => LIBRARY_CLOTHS.find((cloth) => cloth.name === name)!;
  const cotton = of('Quilting cotton');

  it('are borne in greater number by heavier cloth, by threads that can move aside, and with a finer needle', () => {
    const heavier = holesBorne({ ...cotton, arealDensity: 250 }) / holesBorne({ ...cotton, arealDensity: 70 });
    expect(heavier).toBeGreaterThan(1.3);
    const by = (weave: 'loose' | 'plain' | 'satin') => holesBorne({ ...cotton, weave });
    expect(by('loose')).toBeGreaterThan(by('plain'));
    expect(by('plain')).toBeGreaterThan(by('satin'));
    expect(holesBorne({ ...cotton, construction: 'leather' })).toBeLessThan(0.4 * holesBorne(cotton));
    expect(holesBorne({ ...cotton, construction: 'knit' })).toBeLessThan(holesBorne(cotton));
    // A hole grows with the square of the needle.
    expect(holesBorne(cotton, 60) / holesBorne(cotton, 90)).toBeCloseTo((90 / 60) ** 2, 9);
    for (let i = 1; i < NEEDLES.length; i++)
      expect(holesBorne(cotton, NEEDLES[i]!)).toBeLessThan(holesBorne(cotton, NEEDLES[i - 1]!));
  });

  it('of daily embroidery do not cut a quilting cotton; on lawn a dense spot does, and the needle is named that spares it', () => {
    expect(needleHoles(cotton, 120).cuts).toBe(false);
    const thin = { ...cotton, arealDensity: 65 };
    const { cuts, finer } = needleHoles(thin, 120, 80);
    expect(cuts).toBe(true);
    expect(needleHoles(thin, 120, finer)).toMatchObject({ cuts: false });
    const next = NEEDLES[NEEDLES.indexOf(finer!) + 1]!;
    expect(needleHoles(thin, 120, next).cuts).toBe(true);
    // On leather no needle is fine enough.
    expect(needleHoles({ ...thin, construction: 'leather' }, 120, 80)).toMatchObject({ cuts: true, finer: undefined });
  });
});
