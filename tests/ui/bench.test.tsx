import { act, fireEvent, render, screen } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { BenchRun, BenchState, BenchStep } from '../../src/store/bench-runs';
import BenchView from '../../src/views/bench/BenchView';
import {
  act as move,
  actionFor,
  back,
  felt,
  mistedFirst,
  placeOf,
  ringOut,
  setAside,
  stamped,
  stillWet,
  stopsOf,
  type BenchAction,
} from '../../src/views/bench/bench-moves';
import PressDrawing from '../../src/views/bench/PressDrawing';
import { fakeServer, savesAll, type Sent } from './fake-server';

const stop = (x: number, y: number) => ({ x, y, rotation: 0 });
const step = (id: string, more: object): BenchStep => ({ id, title: id, detail: '', ...more }) as unknown as BenchStep;
const STEPS = [
  step('cut', { kind: 'do', checks: ['grain runs straight'] }),
  step('press', { kind: 'press', seconds: 5, stops: [stop(0, 0), stop(0, 100)], lifts: 2, copies: 3 }),
  step('cool', { kind: 'wait', seconds: 60 }),
  step('look', { kind: 'do' }),
];
const square = [[0, 0], [10, 0], [10, 10], [0, 10]] as [number, number][]; // prettier-ignore
const plan = { pieceName: 'Patch', clothName: 'Linen', stackTitle: 'Web', outline: square, plate: square, steps: STEPS };
const state: BenchState = { step: 0, stop: 0, endsAt: null, pausedLeft: null, timers: [], checks: [] };

describe('moves of the bench', () => {
  it('count every lift of every stop of every copy', () => {
    expect(stopsOf(STEPS[1]!)).toBe(12);
    expect([0, 1, 2, 3, 4, 11].map((done) => placeOf(STEPS[1]!, done))).toEqual([
      { stop: 0, lift: 0, copy: 0 },
      { stop: 0, lift: 1, copy: 0 },
      { stop: 1, lift: 0, copy: 0 },
      { stop: 1, lift: 1, copy: 0 },
      { stop: 0, lift: 0, copy: 1 },
      { stop: 1, lift: 1, copy: 2 },
    ]);
  });

  it('go on by themselves only when the last copy has had its last stop', () => {
    let now: BenchState = { ...state, step: 1 };
    for (let i = 0; i < 11; i++) {
      expect(actionFor(plan, now)).toEqual({ kind: 'start', seconds: 5 });
      now = ringOut(plan, now);
      expect(now.step).toBe(1);
    }
    expect(ringOut(plan, now)).toMatchObject({ step: 2, stop: 0 });
  });

  it('take one stop back, then one step; a running clock is only stopped', () => {
    expect(back({ ...state, step: 1, stop: 3, endsAt: '2026-01-01T00:00:00Z' })).toMatchObject({ stop: 3, endsAt: null });
    expect(back({ ...state, step: 1, stop: 3 })).toMatchObject({ step: 1, stop: 2 });
    expect(back({ ...state, step: 1 })).toMatchObject({ step: 0 });
  });

  it('let a wait run beside the next step', () => {
    const aside = setAside(plan, { ...state, step: 2 }, 0);
    expect(aside).toMatchObject({ step: 3, timers: [{ label: 'Patch: cool', endsAt: '1970-01-01T00:01:00.000Z' }] });
  });
});

describe('cloth on the line', () => {
  const hanging = {
    ...plan,
    steps: [
      step('wet', { kind: 'do' }),
      step('starch-dry', { kind: 'wait', seconds: 1200, until: 'damp' }),
      step('press', { kind: 'do' }),
    ],
  };
  const at = (minutes: number) => 60_000 * minutes;
  const start = (now: BenchState) => moved(now, { kind: 'start', seconds: 1200 }, at(10));
  const moved = (now: BenchState, action: BenchAction, time: number) => stamped(hanging, now, move(now, action, time), time);
  const hung = start({ ...state, step: 1, stamps: [{ step: 1, at: new Date(at(3)).toISOString() }] });

  it('is asked for by the clock, and does not go on by itself', () => {
    const rung = ringOut(hanging, hung, at(30));
    expect(rung).toMatchObject({ step: 1, stop: 1, endsAt: null });
    expect(actionFor(hanging, rung)).toEqual({ kind: 'next' });
    // A wait for something that cools goes on as ever.
    expect(ringOut(plan, { ...state, step: 2 })).toMatchObject({ step: 3 });
  });

  it('counts from when the clock was started, not from when the step was read', () => {
    const off = felt(hung, 'right', at(35));
    expect(off).toMatchObject({ step: 2, hung: [{ step: 1, seconds: 1500, found: 'right' }] });
    expect(mistedFirst(off)).toBe(false);
    expect(mistedFirst(felt(hung, 'too-dry', at(35)))).toBe(true);
  });

  it('that is still wet hangs a quarter longer, and counts from its beginning', () => {
    const rung = ringOut(hanging, hung, at(30));
    const more = stamped(hanging, rung, stillWet(hanging, rung, at(31)), at(31));
    expect(Date.parse(more.endsAt!)).toBe(at(36));
    expect(felt(ringOut(hanging, more, at(36)), 'right', at(37)).hung).toEqual([{ step: 1, seconds: 1620, found: 'right' }]);
  });

  it('another step is stamped when it is come to, the same one is not', () => {
    const next = stamped(hanging, state, { ...state, step: 1 }, at(1));
    expect(next.stamps).toEqual([{ step: 1, at: new Date(at(1)).toISOString() }]);
    expect(stamped(hanging, next, { ...next, checks: ['a'] }, at(2)).stamps).toHaveLength(1);
  });
});

describe('the bench', () => {
  let sent: Sent[];
  beforeEach(() => {
    localStorage.clear();
    vi.useFakeTimers();
    vi.stubGlobal('AudioContext', class {});
    sent = fakeServer(savesAll);
  });
  const open = (at: Partial<BenchState> = {}, worked: object = plan) =>
    render(
      <BenchView
        {...{
          run: {
            id: 'b',
            version: 1,
            jobId: 'p',
            scrapId: null,
            plan: worked,
            state: { ...state, ...at },
            finishedAt: null,
          } as unknown as BenchRun,
        }}
        {...{ units: 'metric', sound: false, projectId: 'x', logs: {} }}
      />,
    );
  const pass = (ms: number) => act(() => vi.advanceTimersByTimeAsync(ms));
  const last = () => sent.at(-1)!.body['state'] as BenchState;

  it('goes on with the space bar and back with backspace, each move kept with its version', async () => {
    open();
    fireEvent.keyDown(document.body, { key: ' ', code: 'Space' });
    await pass(10);
    expect(last()).toMatchObject({ step: 1, stop: 0 });
    fireEvent.keyUp(document.body, { key: ' ', code: 'Space' });
    fireEvent.keyDown(document.body, { key: 'Backspace', code: 'Backspace' });
    await pass(10);
    expect(last()).toMatchObject({ step: 0 });
    expect(sent.map(({ body }) => body['version'])).toEqual([1, 2]);
  });

  it('goes from stop to stop by itself, with the time to move the iron', async () => {
    open({ step: 1, stop: 5 });
    fireEvent.click(screen.getByRole('button', { name: 'Next stop: start' }));
    await pass(5400);
    expect(last()).toMatchObject({ step: 1, stop: 6 });
    expect(last().endsAt).not.toBeNull();
    expect(screen.getByText('Move the iron on, set it down when it counts')).toBeVisible();
    await pass(4200);
    expect(screen.queryByText('Move the iron on, set it down when it counts')).toBeNull();
    await pass(5200);
    expect(last()).toMatchObject({ step: 1, stop: 7 });
  });

  it('says which stop, lift and piece comes, and pauses where it stood; each stop waits for a tap where that is wanted', async () => {
    open({ step: 1, stop: 5 });
    fireEvent.click(screen.getByRole('button', { name: 'Stops go on' }));
    expect(localStorage.length).toBe(1);
    expect(screen.getByText('Stop 1 of 2, lift 2 of 2, piece 2 of 3 here')).toBeVisible();
    fireEvent.click(screen.getByRole('button', { name: 'Next stop: start' }));
    await pass(2000);
    fireEvent.click(screen.getByRole('button', { name: 'Pause' }));
    await pass(10);
    expect(last().pausedLeft).toBeGreaterThan(2.5);
    expect(last().pausedLeft).toBeLessThan(3.5);
    fireEvent.click(screen.getByRole('button', { name: 'Go on' }));
    await pass(4000);
    expect(last()).toMatchObject({ step: 1, stop: 6, endsAt: null });
  });

  it('asks how damp the cloth is, and says to mist what has gone dry', async () => {
    const steps = [step('starch-dry', { kind: 'wait', seconds: 600, until: 'damp' }), step('press', { kind: 'do' })];
    open({}, { ...plan, steps });
    fireEvent.click(screen.getByRole('button', { name: 'Start the clock' }));
    await pass(100);
    expect(screen.getByRole('button', { name: 'It is damp already' })).toBeVisible();
    await pass(601_000);
    expect(screen.getByText('How damp is it?')).toBeVisible();
    fireEvent.click(screen.getByRole('button', { name: 'Still wet: 3 min more' }));
    await pass(181_000);
    fireEvent.click(screen.getByRole('button', { name: 'It has gone dry' }));
    await pass(10);
    expect(last()).toMatchObject({ step: 1, hung: [{ step: 0, found: 'too-dry' }] });
    expect(last().hung![0]!.seconds).toBeGreaterThan(770);
    expect(screen.getByText('It had gone dry: mist it with water first.')).toBeVisible();
  });

  it('keeps ticks', async () => {
    open();
    fireEvent.click(screen.getByLabelText('grain runs straight'));
    await pass(10);
    expect(last().checks).toEqual(['grain runs straight']);
    fireEvent.click(screen.getByLabelText('grain runs straight'));
    await pass(10);
    expect(last().checks).toEqual([]);
  });

  it('goes on without the server, and stands where another window left it', async () => {
    sent = fakeServer((_, count) =>
      count === 1 ? 'away' : [409, { error: {}, current: { version: 9, state: { ...state, step: 3 }, finishedAt: null } }],
    );
    open();
    fireEvent.click(screen.getByRole('button', { name: 'Done, next step' }));
    await pass(10);
    expect(screen.getByRole('alert')).toHaveTextContent('The bench goes on');
    fireEvent.click(screen.getByRole('button', { name: 'Set the iron down: start' }));
    await pass(10);
    expect(screen.getByRole('alert')).toHaveTextContent('moved this bench on in another window');
    expect(screen.getByText('step 4 of 4', { exact: false })).toBeVisible();
  });
});

it('the iron is drawn with up as up: a stop further up the piece lies higher in the drawing', () => {
  render(<PressDrawing outline={plan.outline} plate={plan.plate} stops={[stop(0, 0), stop(0, 100)]} current={0} />);
  const svg = screen.getByRole('img', { name: /2 iron stops; number 1 is next/ });
  const [first, second] = [...svg.querySelectorAll('text')].map((text) => Number(text.getAttribute('y')));
  expect(second!).toBeLessThan(first! - 50);
});
