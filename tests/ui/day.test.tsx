import { act, renderHook } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { client } from '../../src/ui/query';
import type { DayPlan } from '../../src/store/day-plan';
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
});
