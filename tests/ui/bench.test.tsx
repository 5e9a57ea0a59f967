import { act, fireEvent, render, screen, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { benchMoved, type BenchMove, type BenchPlan, type BenchState, type BenchStep } from '../../src/core/bench';
import type { BenchRun } from '../../src/store/bench-runs';
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
} from '../../src/core/bench/moves';
import PressDrawing from '../../src/views/bench/PressDrawing';
import { fakeServer } from './fake-server';

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

/** The run as a server keeps it, for any number of tablets. */
function benchServer(worked: BenchPlan, at: Partial<BenchState> = {}) {
  const kept = { id: 'b', version: 1, jobId: 'p', scrapId: null, plan: worked, state: { ...state, ...at }, finishedAt: null };
  const heard = new Map<string, BenchMove>();
  const server = { kept: kept as unknown as BenchRun, heard, away: false, answersLost: 0 };
  fakeServer(({ method, body }) => {
    if (server.away) return 'away';
    if (method === 'POST')
      for (const { id, at: when, move: made } of body['moves'] as { id: string; at: string; move: BenchMove }[]) {
        if (heard.has(id)) continue;
        heard.set(id, made);
        const was = { state: server.kept.state, finished: server.kept.finishedAt !== null };
        const now = benchMoved(worked, was, made, Date.parse(when));
        server.kept = {
          ...server.kept,
          state: now.state,
          finishedAt: now.finished ? when : null,
          version: server.kept.version + 1,
        };
      }
    return method === 'POST' && server.answersLost-- > 0 ? 'away' : [200, server.kept];
  });
  return server;
}

describe('the bench', () => {
  let server: ReturnType<typeof benchServer>;
  beforeEach(() => {
    localStorage.clear();
    vi.useFakeTimers();
    vi.stubGlobal('AudioContext', class {});
  });
  /** One more tablet at the run as it is kept. */
  const tablet = () =>
    render(
      <BenchView {...{ run: server.kept, units: 'metric', sound: false, projectId: 'x', logs: {}, filed: [], changed: [] }} />,
    );
  const open = (at: Partial<BenchState> = {}, worked: BenchPlan = plan) => {
    server = benchServer(worked, at);
    return tablet();
  };
  const pass = (ms: number) => act(() => vi.advanceTimersByTimeAsync(ms));
  const last = () => server.kept.state;

  it('goes on with the space bar and back with backspace: what was done is sent, not where it led to', async () => {
    open();
    fireEvent.keyDown(document.body, { key: ' ', code: 'Space' });
    await pass(10);
    expect(last()).toMatchObject({ step: 1, stop: 0 });
    fireEvent.keyUp(document.body, { key: ' ', code: 'Space' });
    fireEvent.keyDown(document.body, { key: 'Backspace', code: 'Backspace' });
    await pass(10);
    expect(last()).toMatchObject({ step: 0 });
    expect([...server.heard.values()]).toEqual([
      { kind: 'next', step: 0 },
      { kind: 'back', step: 1, stop: 0 },
    ]);
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
    expect(localStorage.getItem('nembrel-bench-tapped')).toBe('yes');
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
    expect(last().paused).toEqual([{ step: 1, stop: 5, left: expect.closeTo(3, 0) as number }]);
  });

  it('a touch on what was pressed marks a place and is no step done', async () => {
    const look = step('look', { kind: 'check', act: 'check', checks: ['Flat'], troubles: { Flat: ['lifts'] } });
    Object.assign(SVGElement.prototype, { getScreenCTM: () => ({ inverse: () => undefined }) });
    vi.stubGlobal('DOMPoint', class { constructor(public x: number, public y: number) {} matrixTransform() { return this; } }); // prettier-ignore
    open({ step: 2 }, { ...plan, steps: [...STEPS.slice(0, 2), look, step('on', { kind: 'do' })] });
    fireEvent.click(screen.getByRole('button', { name: 'It lifts at an edge or a corner' }));
    fireEvent.click(screen.getByRole('img', { name: /^What was pressed/ }), { clientX: -5, clientY: -5 });
    expect(screen.getByText('Under stop 1: press it again.')).toBeVisible();
    fireEvent.click(screen.getByRole('img', { name: /^What was pressed/ }), { clientX: 50, clientY: -5 });
    expect(screen.getByText('Under stop 1: press it again.')).toBeVisible();
    fireEvent.change(screen.getByLabelText(/or by its stop/), { target: { value: '2' } });
    fireEvent.click(screen.getByLabelText(/or by its stop/));
    await pass(10);
    expect(screen.getByText('Under stop 2: press it again.')).toBeVisible();
    expect(last().step).toBe(2);
    // Beside it, anywhere, is the one big button.
    fireEvent.click(screen.getByRole('main'));
    await pass(10);
    expect(last().step).toBe(3);
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

  it('goes by the scale from the second weighing on, and is ready when it is light enough', async () => {
    const steps = [
      step('starch-dry', { kind: 'wait', seconds: 3600, until: 'damp', dryMass: 200 }),
      step('press', { kind: 'do' }),
    ];
    open({}, { ...plan, steps });
    expect(screen.queryByRole('button', { name: 'Put it on a scale' })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Start the clock' }));
    await pass(100);
    const weigh = async (grams: string) => {
      fireEvent.click(screen.getByRole('button', { name: /on a scale|Weigh it again/ }));
      fireEvent.change(screen.getByLabelText('All of it weighs, g'), { target: { value: grams } });
      fireEvent.click(screen.getByRole('button', { name: 'Weighed' }));
      await pass(100);
    };
    fireEvent.click(screen.getByRole('button', { name: 'Put it on a scale' }));
    fireEvent.change(screen.getByLabelText('All of it weighs, g'), { target: { value: 'a lot' } });
    expect(screen.getByRole('alert')).toHaveTextContent('Write grams, 1 to 100,000.');
    expect(screen.getByRole('button', { name: 'Weighed' })).toBeDisabled();
    fireEvent.change(screen.getByLabelText('All of it weighs, g'), { target: { value: '400' } });
    fireEvent.click(screen.getByRole('button', { name: 'Weighed' }));
    await pass(100);
    expect(screen.getByText(/^400 g\. It is ready at about 250 g/)).toBeVisible();
    await pass(1_800_000);
    await weigh('300');
    // A hundred grams in half an hour; fifty more, the last of them slower.
    expect(screen.getByText(/^300 g\. By the scale about 15 minutes more/)).toBeVisible();
    expect(last()).toMatchObject({ step: 0, weighed: [{ step: 0, grams: 400 }, { step: 0, grams: 300 }] }); // prettier-ignore
    const left = (Date.parse(last().endsAt!) - Date.now()) / 60_000;
    expect(left).toBeGreaterThan(14.5);
    expect(left).toBeLessThan(16);
    await pass(300_000);
    await weigh('249');
    expect(screen.getByText('How damp is it?')).toBeVisible();
    expect(screen.getByText(/^249 g\. That is damp enough\./)).toBeVisible();
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

  it('keeps every tick of two tablets that tick in the same second', async () => {
    const many = { ...plan, steps: [step('look', { kind: 'check', checks: ['edges', 'corners'] }), step('end', { kind: 'do' })] };
    const [one, other] = [open({}, many), tablet()];
    fireEvent.click(within(one.container).getByLabelText('edges'));
    fireEvent.click(within(other.container).getByLabelText('corners'));
    await pass(10);
    expect([...last().checks].sort()).toEqual(['corners', 'edges']);
    await pass(1500);
    expect(within(one.container).getByLabelText('corners')).toBeChecked();
  });

  it('a step that two tablets go on from is gone on from once', async () => {
    const [one, other] = [open(), tablet()];
    fireEvent.click(within(one.container).getByRole('button', { name: 'Done, next step' }));
    fireEvent.click(within(other.container).getByRole('button', { name: 'Done, next step' }));
    await pass(10);
    expect(last().step).toBe(1);
  });

  it('goes on without the server, says so, and sends all of it when it is back, on another page too', async () => {
    const first = open();
    server.away = true;
    fireEvent.click(screen.getByLabelText('grain runs straight'));
    await pass(10);
    expect(screen.getByRole('alert')).toHaveTextContent('kept on this tablet');
    const leaving = new Event('beforeunload', { cancelable: true });
    dispatchEvent(leaving);
    expect(leaving.defaultPrevented).toBe(true);
    // Reloaded while the server is still away: it stands there ticked, and arrives when it can.
    first.unmount();
    tablet();
    await pass(10);
    expect(screen.getByLabelText('grain runs straight')).toBeChecked();
    server.away = false;
    await pass(9000);
    expect(last().checks).toEqual(['grain runs straight']);
    expect(screen.queryByRole('alert')).toBeNull();
    expect(localStorage.length).toBe(0);
  });

  it('an answer that was lost does not let a move count twice', async () => {
    open();
    server.answersLost = 1;
    fireEvent.click(screen.getByRole('button', { name: 'Done, next step' }));
    await pass(3000);
    expect(last().step).toBe(1);
    expect(server.heard.size).toBe(1);
  });
});

it('the piece lies face down under the iron: up is up, and what is right on the pattern is left', () => {
  render(<PressDrawing outline={plan.outline} plate={plan.plate} stops={[stop(0, 0), stop(60, 100)]} region={[]} current={0} />);
  const svg = screen.getByRole('img', { name: /2 iron stops; number 1 is next/ });
  const [first, second] = [...svg.querySelectorAll('text')].map((text) => Number(text.getAttribute('y')));
  expect(second!).toBeLessThan(first! - 50);
  const [left, right] = [...svg.querySelectorAll('text')].map((text) => Number(text.getAttribute('x')));
  expect(right!).toBeLessThan(left! - 50);
  // The piece and the soles stand where their numbers do: the same way up, the same way round.
  const path = svg.querySelectorAll('path')[1]!.getAttribute('d')!;
  const ys = [...path.matchAll(/[ML]-?[\d.]+ (-?[\d.]+)/g)].map(([, y]) => Number(y));
  expect([Math.min(...ys), Math.max(...ys)]).toEqual([-10, 0]);
});
