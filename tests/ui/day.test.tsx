import { act, render, renderHook, screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { browserClient } from '../../src/ui/query';
import { dayMoved, type DayMove, type DayPlan } from '../../src/core/schedule';
import PlanNow, { Meanwhile } from '../../src/views/bench/PlanNow';
import { useDayPlan } from '../../src/views/day/use-day-plan';
import { fakeServer } from './fake-server';

const done = (id: string): DayMove => ({ kind: 'done', id });
const NO_RUNS: string[] = [];

describe('the plan of the day', () => {
  /** What the server keeps. */
  let kept: { plan: DayPlan | null; version: number };
  let away = false;
  beforeEach(() => {
    vi.useFakeTimers();
    browserClient().clear();
    kept = { plan: null, version: 0 };
    away = false;
    const heard = new Set<string>();
    fakeServer(({ method, body }) => {
      if (away) return 'away';
      if (method === 'GET') return [200, kept];
      const moves = body['moves'] as { id: string; move: DayMove }[];
      if (moves.some(({ move }) => 'id' in move && move.id === 'refused'))
        return [400, { error: { message: 'moves[0].move.id: is too much', field: 'moves[0].move.id' } }];
      const fresh = moves.filter(({ id }) => !heard.has(id));
      for (const { id } of fresh) heard.add(id);
      kept = { plan: fresh.reduce<DayPlan | null>((was, { move }) => dayMoved(was, move), kept.plan), version: kept.version + 1 };
      return [200, kept];
    });
  });
  const pass = (ms: number) => act(() => vi.advanceTimersByTimeAsync(ms));
  const open = () => renderHook(() => useDayPlan(kept, NO_RUNS)).result;

  it('is kept with every change', async () => {
    const tablet = open();
    act(() => tablet.current.make(done('a')));
    act(() => tablet.current.make(done('b')));
    expect(tablet.current.now.done).toEqual(['a', 'b']);
    await pass(50);
    expect(kept.plan!.done).toEqual(['a', 'b']);
  });

  it('changed on two tablets at once loses neither change; late twice is late by both', async () => {
    const [one, other] = [open(), open()];
    act(() => one.current.make({ kind: 'late', id: 'a', minutes: 5 }));
    act(() => other.current.make({ kind: 'late', id: 'a', minutes: 5 }));
    act(() => other.current.make(done('b')));
    await pass(10);
    expect(kept.plan).toMatchObject({ done: ['b'], late: [{ id: 'a', minutes: 10 }] });
    // The first sees it too, within a few seconds.
    await pass(5000);
    expect(one.current.now.done).toEqual(['b']);
  });

  it('says when the server is away, keeps what was changed over a reload, and sends it by itself', async () => {
    const { result: tablet, unmount } = renderHook(() => useDayPlan(kept, NO_RUNS));
    away = true;
    act(() => tablet.current.make(done('a')));
    await pass(50);
    expect(tablet.current.trouble).toContain('not answering');
    expect(tablet.current.now.done).toEqual(['a']);
    unmount();
    const anew = open();
    expect(anew.current.now.done).toEqual(['a']);
    away = false;
    await pass(9000);
    expect(anew.current.trouble).toBeUndefined();
    expect(kept.plan!.done).toEqual(['a']);
  });

  it('takes back what is refused for itself, so that the next change is not lost with it', async () => {
    const tablet = open();
    act(() => tablet.current.make(done('refused')));
    act(() => tablet.current.make(done('b')));
    await pass(50);
    expect(tablet.current.trouble).toContain('too much');
    expect(tablet.current.now.done).toEqual(['b']);
    expect(kept.plan!.done).toEqual(['b']);
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
