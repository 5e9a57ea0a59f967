import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';
import { joinedAs } from '../../src/core/layers';
import { DEFAULT_SCHOOLS } from '../../src/core/schools';
import { actOf } from '../../src/core/bench';
import { pressWords } from '../../src/core/steps';
import { workSteps } from '../../src/core/techniques';
import {
  AMOUNTS,
  bestCell,
  candidatesPlan,
  faultsOf,
  SETTING_GRIDS,
  outcomeOf,
  PEELS,
  scoreReading,
  scrapPlan,
  scrapSteps,
  sprayPlan,
  type ScrapReading,
} from '../../src/core/scrap';

const cloth = (name: string) => LIBRARY_CLOTHS.find((each) => each.name === name)!;
const chosen = (id: string) => [{ material: LIBRARY_LAYERS.find((each) => each.id === id)!, extent: 'full' as const, angle: 0 }];
const perfect: ScrapReading = {
  overhangBefore: 44,
  overhangAfter: 60,
  peel: 5,
  bubbles: 'none',
  showThrough: 'none',
  glueThrough: 'none',
  shrink: 0,
  feel: 'firm',
  note: '',
};

describe('scrapPlan', () => {
  const poplin = cloth('Shirting poplin');
  const fusible = chosen('medium-woven-fusible-60-g');

  it('full: three times of pressing by the iron settings next to the leaflet’s', () => {
    const { cells, rows, columns, width, height } = scrapPlan(poplin, fusible, DEFAULT_SCHOOLS, 'full');
    expect([rows, columns, cells.length]).toEqual([3, 3, 9]);
    expect(cells.map(({ name }) => name).join()).toBe('A1,A2,A3,B1,B2,B3,C1,C2,C3');
    expect(new Set(cells.map(({ setting }) => setting.ironDots))).toEqual(new Set([1, 2, 3]));
    expect([width, height]).toEqual([150, 360]);
  });

  it('never asks more heat than the cloth bears, and refuses what needs more', () => {
    for (const fabric of LIBRARY_CLOTHS) {
      for (const material of LIBRARY_LAYERS) {
        for (const grid of SETTING_GRIDS) {
          const layers = [{ material, extent: 'full' as const, angle: 0 }];
          if (material.leaflet.seconds > 0 && material.leaflet.ironDots > fabric.ironDots) {
            expect(() => scrapPlan(fabric, layers, DEFAULT_SCHOOLS, grid)).toThrow('needs more heat');
            continue;
          }
          const { cells } = scrapPlan(fabric, layers, DEFAULT_SCHOOLS, grid);
          expect(cells.length).toBeGreaterThan(0);
          for (const { setting } of cells) expect(setting.ironDots).toBeLessThanOrEqual(fabric.ironDots);
        }
      }
    }
  });

  it('tries the settings of the layer that is fused, not of a liquid that is pressed dry before it', () => {
    const starch = chosen('starch')[0]!;
    expect(scrapPlan(poplin, [starch, ...fusible], DEFAULT_SCHOOLS, 'seconds').materialId).toBe(fusible[0]!.material.id);
    const alone = scrapPlan(poplin, [starch], DEFAULT_SCHOOLS, 'seconds');
    expect(alone.materialId).toBe(starch.material.id);
    expect(alone.cells[1]!.setting.seconds).toBe(starch.material.leaflet.seconds);
  });

  it('seconds: one iron setting, the leaflet’s time in the middle', () => {
    const { cells } = scrapPlan(poplin, fusible, DEFAULT_SCHOOLS, 'seconds');
    expect(cells.map(({ setting }) => setting.seconds)).toEqual([7, 12, 18]);
  });

  it.each(['organza', 'cotton-organdy-72-g'])('what is sewn needs one field, whatever is asked (%s)', (start) => {
    const material = LIBRARY_LAYERS.find(({ id }) => id.startsWith(start) || id.includes(start))!;
    const { cells, width } = scrapPlan(poplin, [{ material, extent: 'full', angle: 0 }], DEFAULT_SCHOOLS, 'full');
    expect(cells).toHaveLength(1);
    expect([cells[0]!.setting.seconds, width]).toEqual([0, 150]);
  });
});

describe('a field’s score', () => {
  const reading = fc.record<ScrapReading>({
    overhangBefore: fc.constant(null),
    overhangAfter: fc.constant(null),
    peel: fc.constantFrom(null, 1, 2, 3, 4, 5),
    bubbles: fc.constantFrom(...AMOUNTS),
    showThrough: fc.constantFrom(...AMOUNTS),
    glueThrough: fc.constantFrom(...AMOUNTS),
    shrink: fc.constantFrom(null, 0, 1, 3),
    feel: fc.constant(null),
    note: fc.constant(''),
  });

  it('falls with every fault and stays within 0 and 100', () => {
    fc.assert(
      fc.property(reading, (one) => {
        const score = scoreReading(one);
        expect(score >= 0 && score <= 100).toBe(true);
        expect(scoreReading({ ...one, bubbles: 'much' })).toBeLessThanOrEqual(score);
        if (one.peel !== null && one.peel < 5) expect(scoreReading({ ...one, peel: one.peel + 1 })).toBeGreaterThanOrEqual(score);
      }),
    );
  });

  it.each([
    [{}, 'good', []],
    [{ peel: 4 }, 'good', []],
    [{ peel: 3 }, 'fair', ['peels, and pulls a little']],
    [{ peel: 1 }, 'poor', ['comes off by itself']],
    [{ bubbles: 'some' }, 'fair', ['a few bubbles']],
    [{ glueThrough: 'much' }, 'poor', ['glue came through']],
    [{ shrink: 3 }, 'fair', ['shrank 3 %']],
    [{ peel: null }, 'good', []],
  ] as [Partial<ScrapReading>, string, string[]][])('%j is %s', (change, outcome, faults) => {
    expect(outcomeOf({ ...perfect, ...change })).toBe(outcome);
    expect(faultsOf({ ...perfect, ...change })).toEqual(faults);
  });

  it('of equals, the field that was pressed least is best', () => {
    const cells = [
      { name: 'A1', setting: { ironDots: 2, seconds: 6 } },
      { name: 'A2', setting: { ironDots: 2, seconds: 12 } },
      { name: 'B1', setting: { ironDots: 3, seconds: 6 } },
    ];
    expect(bestCell(cells, { A2: perfect, B1: perfect })).toBe('A2');
    expect(bestCell(cells, { A1: { ...perfect, peel: 2 }, B1: perfect })).toBe('B1');
    expect(bestCell(cells, {})).toBeUndefined();
  });

  it('peeling has five steps in words of their own', () => {
    expect(PEELS.map(({ step }) => step)).toEqual([1, 2, 3, 4, 5]);
    expect(new Set(PEELS.map(({ words }) => words)).size).toBe(5);
  });
});

describe('a spray scrap', () => {
  const quilting = { water: 'safe' as const, ironDots: 3 };
  const starch = LIBRARY_LAYERS.find(({ id }) => id === 'starch')!;
  const spray = LIBRARY_LAYERS.find(({ family }) => family === 'pressing-spray')!;

  it('has a row for each way of using the bottle, lightest first, and a column for each round', () => {
    const { cells, rows, columns } = sprayPlan(quilting, starch, 3);
    expect([rows, columns]).toEqual([3, 3]);
    expect(cells.map(({ name, dose }) => `${name} ${dose!.join} ${dose!.rounds}`)).toEqual([
      ...['A1 liquid 1', 'A2 liquid 2', 'A3 liquid 3', 'B1 damp 1', 'B2 damp 2', 'B3 damp 3'],
      ...['C1 full 1', 'C2 full 2', 'C3 full 3'],
    ]);
    // A spray that has one use has one row.
    expect(sprayPlan(quilting, spray, 2).cells).toHaveLength(2);
  });

  it.each([
    ['a layer that is no liquid', quilting, LIBRARY_LAYERS.find(({ form }) => form === 'fusible')!, 1, 'grid'],
    ['cloth that does not drink', { ...quilting, water: 'resists' as const }, starch, 1, 'grid'],
    ['cloth that bears no iron', { ...quilting, ironDots: 0 }, starch, 1, 'stack'],
    ['no round', quilting, starch, 0, 'rounds'],
    ['too many rounds', quilting, starch, 4, 'rounds'],
  ] as const)('is refused for %s', (_, fabric, liquid, rounds, field) => {
    expect(() => sprayPlan(fabric, liquid, rounds)).toThrow(field);
  });

  it('the least that holds is best; when nothing holds, what comes nearest', () => {
    const { cells } = sprayPlan(quilting, starch, 2);
    const pulled = (biasAfter: number, curlAfter = 0): ScrapReading => ({
      ...{ ...perfect, peel: null, biasBefore: 14, biasAfter, curlBefore: 20, curlAfter },
    });
    // 14 mm bare: up to 7 holds. Damp once and a mist twice both do, and a mist twice leaves as much.
    expect(bestCell(cells, { A1: pulled(11), A2: pulled(9), B1: pulled(6), B2: pulled(4), C1: pulled(2), C2: pulled(1) })).toBe(
      'B1',
    );
    expect(bestCell(cells, { A1: pulled(6.9), B1: pulled(2) })).toBe('A1');
    expect(bestCell(cells, { A1: pulled(12), C2: pulled(9) })).toBe('C2');
    // An edge that rolls counts as well as bias that gives.
    expect(bestCell(cells, { A1: pulled(3, 12), C1: pulled(3, 5) })).toBe('C1');
    expect(faultsOf(pulled(12))).toEqual(['still gives or rolls too much']);
    // Water marks are worse than another round.
    expect(bestCell(cells, { A1: { ...pulled(3), showThrough: 'much' }, C2: pulled(3) })).toBe('C2');
  });

  it('more give is never better', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 40, noNaN: true }), fc.double({ min: 0, max: 40, noNaN: true }), (a, b) => {
        const score = (biasAfter: number) => scoreReading({ ...perfect, biasBefore: 12, biasAfter });
        expect(score(Math.max(a, b))).toBeLessThanOrEqual(score(Math.min(a, b)));
      }),
    );
  });

  it('is worked round by round: every dose wetted, then pressed, and only those go on that get another round', () => {
    const poplin = cloth('Shirting poplin');
    const plan = sprayPlan(poplin, starch, 2);
    const steps = scrapSteps(plan, { fabric: poplin, layers: chosen('starch'), schools: DEFAULT_SCHOOLS, liquid: starch });
    const titles = steps.map(({ title }) => title);
    expect(titles[0]).toContain('6 pairs of strips');
    const wetted = titles.filter((title) => /spray|wet the cloth/i.test(title));
    expect(wetted.map((title) => title.split(':')[0])).toEqual(['A1 to A2', 'B1 to B2', 'C1 to C2', 'A2', 'B2', 'C2']);
    const pressed = titles.flatMap((title, i) => (/press it dry/i.test(title) ? [i] : []));
    expect(pressed).toHaveLength(6);
    expect(Math.max(...wetted.slice(0, 3).map((title) => titles.indexOf(title)))).toBeLessThan(pressed[0]!);
    expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
  });
});

describe('stacks side by side', () => {
  const poplin = cloth('Shirting poplin');
  const one = chosen('medium-woven-fusible-60-g');
  const other = chosen(LIBRARY_LAYERS.find(({ family, form }) => family === 'tricot' && form === 'fusible')!.id);
  const both = [one, other].map((layers) => ({ title: layers[0]!.material.name, layers, schools: DEFAULT_SCHOOLS }));

  it('get a piece each, with the setting of each', () => {
    const { cells, columns, width } = candidatesPlan(poplin, both);
    expect([columns, cells.length, width]).toEqual([2, 2, 240]);
    expect(cells.map(({ candidate }) => candidate)).toEqual([0, 1]);
    expect(cells.map(({ setting }) => setting.seconds)).toEqual(both.map(({ layers }) => layers[0]!.material.leaflet.seconds));
  });

  it('are two to four, and the one that cannot be pressed is named', () => {
    expect(() => candidatesPlan(poplin, both.slice(0, 1))).toThrow('stacks');
    expect(() => candidatesPlan(poplin, [...both, ...both, ...both])).toThrow('stacks');
    const cool = { ...poplin, ironDots: 1 as const };
    const hot = both.findIndex(({ layers }) => layers[0]!.material.leaflet.ironDots > 1);
    expect(() => candidatesPlan(cool, both)).toThrow(`stacks[${hot}]`);
  });

  it('the one that feels as wanted wins, unless it has faults', () => {
    const { cells } = candidatesPlan(poplin, both);
    const felt = (feel: ScrapReading['feel'], change: Partial<ScrapReading> = {}) => ({ ...perfect, feel, ...change });
    expect(bestCell(cells, { A1: felt('rigid'), A2: felt('soft') }, 'soft')).toBe('A2');
    expect(bestCell(cells, { A1: felt('rigid'), A2: felt('soft') }, 'crisp')).toBe('A1');
    expect(bestCell(cells, { A1: felt('firm'), A2: felt('soft', { bubbles: 'much' }) }, 'soft')).toBe('A1');
    expect(outcomeOf(felt('rigid'), 'fluid')).toBe('poor');
  });

  it('are put on one after the other, each pressed once on its own piece, and then hung', () => {
    const plan = candidatesPlan(poplin, both);
    const steps = scrapSteps(plan, { fabric: poplin, layers: one, schools: DEFAULT_SCHOOLS, candidates: both });
    const stops = steps.filter(({ kind }) => kind === 'press').map(({ stops }) => stops!);
    expect(stops.map((each) => each.map(({ x }) => x))).toEqual([[0], [120]]);
    expect(steps[0]!.detail).toContain(`A2: ${both[1]!.title}`);
    expect(steps.at(-1)!.title).toContain('side by side');
    expect(steps.some(({ id }) => id.includes('prewash'))).toBe(false);
  });

  it('of which some get the same liquid each say so for their own piece', () => {
    const starched = { title: 'Starch', layers: chosen('starch'), schools: DEFAULT_SCHOOLS };
    const three = [starched, both[0]!, starched];
    const steps = scrapSteps(candidatesPlan(poplin, three), {
      fabric: poplin,
      layers: one,
      schools: DEFAULT_SCHOOLS,
      candidates: three,
    });
    const sprayed = steps.filter(({ id }) => id.endsWith('-wet')).map(({ title }) => title.slice(0, 2));
    expect(sprayed).toEqual(['A1', 'A3']);
    expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
  });
});

describe('rounds that a scrap found', () => {
  const starch = chosen('starch');
  const input = {
    ...{ fabric: cloth('Shirting poplin'), layers: starch, stitched: false, floats: false, bias: true, washed: false },
    ...{ cutAlready: false, schools: DEFAULT_SCHOOLS },
  };
  const found = { materialId: 'starch', ironDots: 2, seconds: 10, steam: false, cover: 'cloth' };
  const wet = (rounds?: number, stitched = false) =>
    workSteps({ ...input, stitched, found: [{ ...found, ...(rounds ? { rounds } : {}) }] }).filter(({ id }) =>
      id.endsWith('-wet'),
    );

  it('are worked, each named', () => {
    expect(wet()).toHaveLength(1);
    expect(wet(2).map(({ title }) => title.split(':')[0])).toEqual(['Round 1 of 2', 'Round 2 of 2']);
    expect(wet(2).map((step) => actOf(step))).toEqual(['spray', 'spray']);
  });

  it('go before the usual three for the hoop', () => {
    const damp = [{ ...starch[0]!, material: joinedAs(starch[0]!.material, 'damp') }];
    const schools = { ...DEFAULT_SCHOOLS, strongStarch: 'rounds' as const };
    const rounds = (of?: number) =>
      workSteps({
        ...input,
        layers: damp,
        schools,
        stitched: true,
        ...(of ? { found: [{ ...found, rounds: of }] } : {}),
      }).filter(({ id }) => id.endsWith('-wet')).length;
    expect([rounds(), rounds(2)]).toEqual([3, 2]);
  });
});

describe('a layer whose leaflet asks for water', () => {
  const [{ material }] = chosen('medium-woven-fusible-60-g') as [ReturnType<typeof chosen>[0]];
  const steps = (mist: boolean, water: 'safe' | 'spots') =>
    workSteps({
      ...{ fabric: { ...cloth('Shirting poplin'), water }, stitched: false, floats: false, bias: false, washed: false },
      ...{ cutAlready: false, schools: DEFAULT_SCHOOLS },
      layers: [{ material: { ...material, leaflet: { ...material.leaflet, mist } }, extent: 'full', angle: 0 }],
    });

  it('is misted just before it is pressed, but never on cloth that water marks', () => {
    const asked = steps(true, 'safe');
    const at = asked.findIndex(({ id }) => id.endsWith('-mist'));
    expect(actOf(asked[at]!)).toBe('spray');
    expect(asked[at + 1]!.kind).toBe('press');
    for (const other of [steps(false, 'safe'), steps(true, 'spots')])
      expect(other.some(({ id }) => id.endsWith('-mist'))).toBe(false);
  });
});

describe('the person’s own iron', () => {
  const steamed = { ironDots: 2, seconds: 12, steam: true, cover: 'cloth' };
  const words = (setting: typeof steamed, iron?: { steam: boolean; weight: number }) =>
    pressWords(setting, DEFAULT_SCHOOLS, 0, iron);

  it('that gives no steam presses through a damp cloth instead', () => {
    expect(words(steamed)).toContain('with steam, under a thin cotton cloth');
    expect(words(steamed, { steam: true, weight: 1500 })).toBe(words(steamed));
    expect(words(steamed, { steam: false, weight: 1500 })).toContain('dry, under a damp cloth, since your iron gives no steam');
    const dry = { ...steamed, steam: false };
    expect(words(dry, { steam: false, weight: 1500 })).toBe(words(dry));
  });

  it('that is light is leaned on, and the bench says so', () => {
    expect(words(steamed, { steam: true, weight: 800 })).toContain('lean on it');
    const steps = workSteps({
      ...{
        fabric: cloth('Shirting poplin'),
        layers: chosen('medium-woven-fusible-60-g'),
        stitched: false,
        floats: false,
        bias: false,
      },
      ...{ washed: false, cutAlready: false, schools: DEFAULT_SCHOOLS, iron: { steam: true, weight: 800 } },
    });
    expect(steps.find(({ kind }) => kind === 'press')!.detail).toContain('lean on it');
  });
});
