import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Machine, readWhere } from '../../src/core/machine';
import { COLOUR, MotifBuilder, STITCH, TRIM, type Motif } from '../../src/core/motif';

/** Two colours of straight lines, a trim between. */
function twoColours(stitches = 40): Motif {
  const builder = new MotifBuilder();
  for (let i = 0; i < stitches; i++) builder.add(STITCH, 2 * i, 0);
  builder.add(TRIM, 2 * stitches, 0);
  builder.add(COLOUR, 2 * stitches, 0);
  for (let i = 0; i < stitches; i++) builder.add(STITCH, 2 * (stitches - i), 3);
  return builder.motif('two');
}
const ready = (motif = twoColours(), ...lines: string[]) => {
  const machine = new Machine();
  machine.loaded(motif);
  for (const line of ['BREAKS 0', ...lines]) machine.receive(line);
  return machine;
};
const run = (machine: Machine, ms: number, step = 50) => {
  const lines: string[] = [];
  for (let t = 0; t < ms; t += step) lines.push(...machine.tick(step));
  return lines;
};

describe('a machine that is spoken to in lines', () => {
  it('answers anything with words it knows, and figures that are numbers', () => {
    const word = fc.constantFrom(
      'HELLO',
      'LOAD',
      'S',
      'J',
      'T',
      'C',
      'LOADED',
      'SEED',
      'BREAKS',
      'SPEED',
      'DRIFT',
      'GOTO',
      'START',
      'PAUSE',
      'WHERE',
      'JUMP',
      '',
      'AT',
    );
    const figure = fc.oneof(
      fc.integer({ min: -50, max: 2000 }).map(String),
      fc.double().map(String),
      fc.constantFrom('x', '1e999', '--', '0x10', '', 'Infinity', 'NaN'),
    );
    const line = fc.tuple(word, fc.array(figure, { maxLength: 3 })).map(([first, rest]) => [first, ...rest].join(' '));
    fc.assert(
      fc.property(fc.array(fc.oneof(line, fc.string()), { maxLength: 40 }), fc.integer({ min: 0, max: 4000 }), (lines, ms) => {
        const machine = new Machine();
        for (const answer of [
          ...lines.flatMap((each) => machine.receive(each)),
          ...run(machine, ms),
          ...machine.receive('WHERE'),
        ]) {
          expect(answer).toMatch(/^(READY|LOADED|SPEED|AT|STOP|DONE|ERROR)( |$)/);
          const where = readWhere(answer);
          if (where) for (const value of Object.values(where)) expect(Number.isFinite(value)).toBe(true);
        }
      }),
      { numRuns: 300 },
    );
  });

  it('refuses a line that is too long, a speed out of reach, and drift that runs backwards', () => {
    const machine = ready();
    expect(machine.receive('S '.repeat(200))[0]).toMatch(/^ERROR/);
    expect(machine.receive('SPEED 90')[0]).toMatch(/^ERROR/);
    expect(machine.receive('SPEED 1501')[0]).toMatch(/^ERROR/);
    expect(machine.receive('SPEED 800')).toEqual(['SPEED 800']);
    expect(machine.receive('DRIFT 20 0.4')).toEqual([]);
    expect(machine.receive('DRIFT 20 0.5')[0]).toMatch(/^ERROR/);
    expect(machine.receive('DRIFT 30 wide')[0]).toMatch(/^ERROR/);
    expect(machine.receive('DRIFT')[0]).toMatch(/^ERROR/);
  });

  it('sews at its speed, however time is dealt out', () => {
    const counts = [10, 50, 250].map((step) => {
      const machine = ready(twoColours(900), 'SPEED 600');
      machine.receive('START');
      run(machine, 30_000, step);
      return readWhere(machine.receive('WHERE')[0]!)!.stitches;
    });
    // Half a minute at 600 a minute.
    for (const count of counts) expect(Math.abs(count - 300)).toBeLessThanOrEqual(3);
    const fast = ready(twoColours(900), 'SPEED 1200');
    fast.receive('START');
    run(fast, 30_000);
    expect(readWhere(fast.receive('WHERE')[0]!)!.stitches).toBeGreaterThan(590);
  });

  it('stops for the second colour, and after it ends with every stitch sewn', () => {
    const machine = ready();
    machine.receive('START');
    const first = run(machine, 60_000);
    expect(first).toContain('STOP COLOUR 2');
    expect(readWhere(machine.receive('WHERE')[0]!)).toMatchObject({ stitches: 40, colour: 2 });
    expect(run(machine, 5000)).toEqual([]);
    machine.receive('START');
    expect(run(machine, 60_000).at(-1)).toBe('DONE');
    expect(readWhere(machine.receive('WHERE')[0]!)).toMatchObject({ stitches: 80, record: 82 });
  });

  it('waits while it is paused, and goes on where it was', () => {
    const machine = ready();
    machine.receive('START');
    run(machine, 1500);
    const [at, stop] = machine.receive('PAUSE');
    expect(stop).toBe('STOP PAUSE');
    expect(run(machine, 10_000)).toEqual([]);
    expect(machine.receive('WHERE')).toEqual([at]);
    expect(machine.receive('PAUSE')).toEqual([]);
    expect(readWhere(machine.receive('START')[0]!)).toEqual(readWhere(at!));
  });

  it('goes back over the end of a broken thread, never over a change of colour', () => {
    const machine = ready(twoColours(), 'SEED 4', 'BREAKS 1000');
    machine.receive('START');
    let broke = 0;
    for (let k = 0; k < 400 && broke < 12; k++) {
      const lines = run(machine, 500);
      if (lines.includes('DONE')) break;
      if (!lines.includes('STOP BREAK')) {
        machine.receive('START');
        continue;
      }
      broke++;
      const at = readWhere(lines.at(-2)!)!;
      const again = readWhere(machine.receive('START')[0]!)!;
      expect(again.colour).toBe(at.colour);
      expect(at.record - again.record).toBeLessThanOrEqual(8);
      expect(at.record - again.record).toBe(at.stitches - again.stitches);
      if (at.colour === 2) expect(again.record).toBeGreaterThanOrEqual(42);
    }
    expect(broke).toBeGreaterThan(3);
  });

  it('comes back to any record as if it had sewn up to it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 82 }), (record) => {
        const machine = ready();
        const { stitches, colour } = readWhere(machine.receive(`GOTO ${record}`)[0]!)!;
        expect(stitches).toBe([...twoColours().command].slice(0, record).filter((command) => command === STITCH).length);
        expect(colour).toBe(record > 41 ? 2 : 1);
      }),
    );
    expect(ready().receive('GOTO 83')[0]).toMatch(/^ERROR/);
    expect(new Machine().receive('GOTO 0')[0]).toMatch(/^ERROR/);
  });

  it('tells the drift that was foreseen, in between the records it was given for', () => {
    const machine = ready(twoColours(), 'DRIFT 20 0.4', 'DRIFT 60 1.2');
    const at = (record: number) => readWhere(machine.receive(`GOTO ${record}`)[0]!)!.drift;
    expect(at(0)).toBe(0);
    expect(at(10)).toBeCloseTo(0.2, 3);
    expect(at(20)).toBeCloseTo(0.4, 3);
    expect(at(40)).toBeCloseTo(0.8, 3);
    expect(at(82)).toBeCloseTo(1.2, 3);
  });

  it('is read only where it says where it is', () => {
    expect(readWhere('AT 3 2 1 4.00 5.00 0.120')).toEqual({ record: 3, stitches: 2, colour: 1, x: 4, y: 5, drift: 0.12 });
    expect(readWhere('STOP PAUSE')).toBeUndefined();
    expect(readWhere('AT 3 2')).toBeUndefined();
  });
});
