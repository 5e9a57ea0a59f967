import { act, render, renderHook, screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { client } from '../../src/ui/query';
import type { DayPlan } from '../../src/store/day-plan';
import PlanNow, { Meanwhile } from '../../src/views/bench/PlanNow';
import { useDayPlan } from '../../src/views/day/use-day-plan';
import { fakeServer } from './fake-server';

const START: DayPlan = { jobIds: [], runIds: [], people: 1, irons: 1, evening: 0, from: '19:00', done: [], late: [] };
const done = (id: string) => (was: DayPlan) => ({ ...was, done: [...was.done, id] });

describe('the plan of the day', () => {
  /** What the server keeps. */
  let kept: { plan: DayPlan | null; version: number };
  let away = false;
  beforeEach(() => {
    vi.useFakeTimers();
    client.clear();
    kept = { plan: null, version: 0 };
    away = false;
    fakeServer(({ method, body }) => {
      if (away) return 'away';
      if (method === 'GET') return [200, kept];
      if ((body['plan'] as DayPlan).done.includes('refused')) return [400, { error: { message: 'plan.done: is too much', field: 'plan.done' } }]; // prettier-ignore
      if (body['version'] !== kept.version) return [409, { error: { message: 'stale', field: null }, current: kept }];
      kept = { plan: body['plan'] as DayPlan, version: kept.version + 1 };
      return [200, kept];
    });
  });
  const pass = (ms: number) => act(() => vi.advanceTimersByTimeAsync(ms));
  const open = () => renderHook(() => useDayPlan(kept, () => START)).result;

  it('is kept with every change', async () => {
    const tablet = open();
    act(() => tablet.current.set(done('a')));
    act(() => tablet.current.set(done('b')));
    expect(tablet.current.now.done).toEqual(['a', 'b']);
    await pass(50);
    expect(kept.plan!.done).toEqual(['a', 'b']);
  });

  it('changed on two tablets at once loses neither change', async () => {
    const [one, other] = [open(), open()];
    act(() => one.current.set(done('a')));
    await pass(10);
    act(() => other.current.set(done('b')));
    await pass(10);
    expect(kept.plan!.done).toEqual(['a', 'b']);
    expect(other.current.now.done).toEqual(['a', 'b']);
    // The first sees it too, within a few seconds.
    await pass(5000);
    expect(one.current.now.done).toEqual(['a', 'b']);
  });

  it('says when the server is away, keeps what was changed, and sends it with the next change', async () => {
    const tablet = open();
    away = true;
    act(() => tablet.current.set(done('a')));
    await pass(50);
    expect(tablet.current.trouble).toContain('not answering');
    expect(tablet.current.now.done).toEqual(['a']);
    away = false;
    act(() => tablet.current.set(done('b')));
    await pass(50);
    expect(tablet.current.trouble).toBeUndefined();
    expect(kept.plan!.done).toEqual(['a', 'b']);
  });

  it('takes back what is refused for itself, so that the next change is not lost with it', async () => {
    const tablet = open();
    act(() => tablet.current.set(done('refused')));
    await pass(50);
    expect(tablet.current.trouble).toContain('too much');
    expect(tablet.current.now.done).toEqual([]);
    act(() => tablet.current.set(done('b')));
    await pass(50);
    expect(kept.plan!.done).toEqual(['b']);
    expect(tablet.current.trouble).toBeUndefined();
  });
});

describe('the plan at the bench', () => {
  const task = (run: string, title: string, hands = true) => ({
    id: `${run}/0`,
    run,
    title,
    minutes: 12,
    uses: [],
    hands,
    after: [],
  });
  const planned = (more: object = {}) =>
    fakeServer(() => [
      200,
      { now: task('r', 'Collar: press it'), next: task('j', 'Cuff: lay it'), alongside: [task('r', 'Hem: it dries', false)], open: ['r'], ...more },
    ]); // prettier-ignore

  it('says what now, then and alongside; a run that is open is gone on with, a job is begun from the plan', async () => {
    planned();
    render(<PlanNow />);
    const now = await screen.findByRole('link', { name: 'Collar: press it' });
    expect(now).toHaveAttribute('href', '/bench/r');
    expect(screen.getByRole('link', { name: 'Cuff: lay it' })).toHaveAttribute('href', '/day');
    expect(screen.getByText('Alongside')).toBeVisible();
  });

  it('is nothing where no day is planned', async () => {
    const sent = planned({ now: null });
    render(<PlanNow />);
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(screen.queryByRole('region')).toBeNull();
  });

  it('says what hands can do while a run waits', async () => {
    const sent = planned();
    render(<Meanwhile run="mine" />);
    expect(await screen.findByRole('link', { name: 'Collar: press it' })).toBeVisible();
    expect(sent[0]!.path).toBe('/api/day/now?without=mine');
  });
});
