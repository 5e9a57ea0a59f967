import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { judgeStack } from '../../src/core/choose';
import { stackStiffness, type Material } from '../../src/core/layers';
import { gluingFactor, gluingOf } from '../../src/core/learn';
import { LIBRARY_CLOTHS } from '../../src/core/library';
import { openSeeded } from '../../src/server/database';
import { askingOf } from '../../src/server/asking';
import { allLearnt, forgetLearnt } from '../../src/server/learnt';
import { cloths } from '../../src/store/cloths';
import { layers } from '../../src/store/layers';
import { logEntries } from '../../src/store/log';

const db = openSeeded(':memory:');
const layer: Material = layers.get(db, 'medium-firm-non-woven-fusible-62-g');
/** Cloths on which the glue makes up enough to be read. */
const READ = LIBRARY_CLOTHS.filter((cloth) => gluingOf({ model: stackStiffness(cloth, [layer]), measured: 50 }) !== undefined);

/** What would be read on a cloth if the glue were so many times as firm: by the rigidities of the parts, and the cube root over the weight. */
function readOn(cloth: (typeof READ)[number], firm: number, error = 1) {
  const model = stackStiffness(cloth, [layer]);
  const rigidity = model.clothRigidity + model.layerRigidity + firm * model.couplingRigidity;
  return { model, measured: error * Math.cbrt(rigidity / (model.arealDensity * 9.81e-6)) };
}

describe('how firmly a glue holds', () => {
  it('is as usual where nothing was read, and comes to what is so with every cloth', () => {
    expect(READ.length).toBeGreaterThan(15);
    expect(gluingFactor([])).toEqual({ factor: 1, times: 0 });
    for (const firm of [0.4, 2.5]) {
      const [one, five, many] = [1, 5, READ.length].map((n) => gluingFactor(READ.slice(0, n).map((cloth) => readOn(cloth, firm))).factor); // prettier-ignore
      const off = (factor: number | undefined) => Math.abs(Math.log(factor! / firm));
      expect(off(five)).toBeLessThan(off(one));
      expect(off(many)).toBeLessThan(off(five));
      expect(off(many)).toBeLessThan(0.5);
      expect(off(one)).toBeLessThan(Math.abs(Math.log(firm)));
    }
  });

  it('lies between the usual and what was read, and makes the next cloth’s figure better', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 4, noNaN: true }),
        fc.array(fc.double({ min: 0.92, max: 1.09, noNaN: true }), { minLength: 6, maxLength: 6 }),
        fc.integer({ min: 0, max: READ.length - 14 }),
        (firm, half, from) => {
          // A ruler errs to both sides.
          const errors = half.flatMap((each) => [each, 1 / each]);
          const read = errors.map((error, i) => readOn(READ[from + i]!, firm, error));
          const { factor } = gluingFactor(read);
          const told = read.map((each) => gluingOf(each)!);
          expect(factor).toBeGreaterThanOrEqual(Math.min(1, ...told) - 1e-9);
          expect(factor).toBeLessThanOrEqual(Math.max(1, ...told) + 1e-9);
          if (Math.abs(Math.log(firm)) < 0.5) return;
          const next = READ[from + 13]!;
          const truth = readOn(next, firm).measured;
          const off = (gluing: number) => Math.abs(Math.log(stackStiffness(next, [layer], new Map([[layer.id, gluing]])).bendingLength / truth)); // prettier-ignore
          expect(off(factor)).toBeLessThan(off(1));
        },
      ),
      { numRuns: 60 },
    );
  });

  it('is learnt from other cloths for a cloth on which it was not read, told with its readings, and forgotten', () => {
    const named = READ.slice(0, 4).map(({ name }) => cloths.list(db, 'name = ?', [name])[0]!);
    const before = askingOf(db, { clothId: named[3]!.id }).gluing!;
    expect(before.size).toBe(0);
    named.slice(0, 3).forEach((cloth) => {
      const { measured } = readOn(cloth, 3);
      logEntries.insert(db, {
        ...{ jobId: null, benchRunId: null, kind: 'piece', doneOn: '2026-05-02', title: 'Front', clothId: cloth.id },
        ...{ clothName: cloth.name, stackTitle: layer.name, layerIds: [layer.id], checks: { held: [], failed: [] } },
        ...{ settings: { ironDots: 2, seconds: 10, steam: false, cover: 'none' }, outcome: 'good', note: '', causes: [] },
        ...{
          predictedBendingLength: null,
          predictedLow: null,
          predictedHigh: null,
          measuredBendingLength: measured,
          overhang: null,
        },
        ...{ shape: null, stitched: null },
      } as never);
    });
    const other = askingOf(db, { clothId: named[3]!.id }).gluing!.get(layer.id)!;
    expect(other).toBeGreaterThan(1.3);
    // What was read on a cloth itself counts for its pair already.
    expect(askingOf(db, { clothId: named[0]!.id }).gluing!.get(layer.id)).toBeLessThan(other);
    const told = allLearnt(db).learnt.find(({ subject }) => subject === `glue/${layer.id}`)!;
    expect(told).toMatchObject({ kind: 'glue', title: layer.name, before: 1, now: other });
    told.readings.forEach(({ value }) => expect(value).toBeCloseTo(3, 6));
    forgetLearnt(db, told.subject, true, '2999-01-01T00:00:00.000Z');
    expect(askingOf(db, { clothId: named[3]!.id }).gluing!.size).toBe(0);
    forgetLearnt(db, told.subject, false, '2999-01-01T00:00:00.000Z');
    expect(askingOf(db, { clothId: named[3]!.id }).gluing!.get(layer.id)).toBe(other);
  });

  it('is said with the answer, in the share of the stiffness that is its own', () => {
    const cloth = READ[0]!;
    const part = { role: 'collar', cut: 'straight', stretch: 'any', care: 'wash-warm' } as const;
    const of = (gluing: Map<string, number>) =>
      judgeStack(cloth, part, [{ material: layer, extent: 'full', angle: 0 }], { gluing });
    const [usual, firm] = [of(new Map()), of(new Map([[layer.id, 2], ['another', 3]]))]; // prettier-ignore
    expect(usual.gluing).toBeUndefined();
    expect(firm.gluing).toEqual([{ name: layer.name, firm: 2 }]);
    expect(firm.terms.couplingRigidity / usual.terms.couplingRigidity).toBeCloseTo(2, 9);
    expect(firm.predicted.bendingLength).toBeGreaterThan(usual.predicted.bendingLength);
  });
});
