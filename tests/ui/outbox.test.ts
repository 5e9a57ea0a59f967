import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Outbox, resendMoves, type OutboxState } from '../../src/ui/saving/outbox';
import { fakeServer } from './fake-server';

type Move = { kind: string };

describe('what is done while nobody listens', () => {
  /** What the server has heard, in its order; each name once. */
  let heard: string[];
  let away: boolean;
  let gone: boolean;
  beforeEach(() => {
    vi.useFakeTimers({ now: new Date('2026-05-02T10:00:00Z') });
    localStorage.clear();
    [heard, away, gone] = [[], false, false];
    const names = new Set<string>();
    fakeServer(({ body }) => {
      if (away) return 'away';
      if (gone) return [404, { error: { message: 'This run is gone.', field: null } }];
      const moves = body['moves'] as { id: string; move: Move }[];
      if (moves.some(({ move }) => move.kind === 'bad')) return [400, { error: { message: 'bad is no move', field: 'moves' } }];
      for (const { id, move } of moves) if (!names.has(id)) [names.add(id), heard.push(move.kind)]; // eslint-disable-line @typescript-eslint/no-unused-expressions
      return [200, {}];
    });
  });
  const pass = (ms: number) => vi.advanceTimersByTimeAsync(ms);
  const box = (path = '/api/bench/r/moves') => {
    let state: OutboxState<Move> | undefined;
    const own = new Outbox<Move, object>({ path, onState: (now) => (state = now), onAnswer: () => {} });
    return { own, state: () => state! };
  };

  it('is stuck while the server is away and something waits, and not before or after', async () => {
    const { own } = box();
    expect(own.stuck).toBe(false);
    away = true;
    own.add({ kind: 'tick' });
    await pass(10);
    expect(own.stuck).toBe(true);
    away = false;
    await pass(120_000);
    expect([own.stuck, heard]).toEqual([false, ['tick']]);
    own.close();
  });

  it('keeps its order over a reload, though all of it was done in one instant', async () => {
    away = true;
    const kinds = Array.from({ length: 12 }, (_, i) => `move ${i}`);
    const first = box();
    for (const kind of kinds) first.own.add({ kind });
    await pass(10);
    first.own.close();
    away = false;
    const second = box();
    second.own.open();
    await pass(50);
    expect(heard).toEqual(kinds);
    expect(localStorage).toHaveLength(0);
  });

  it('is sent by whatever page comes next, more than one request takes, for every address', async () => {
    away = true;
    const [one, other] = [box(), box('/api/day/moves')];
    for (let i = 0; i < 250; i++) one.own.add({ kind: `bench ${i}` });
    other.own.add({ kind: 'day' });
    await pass(10);
    one.own.close();
    other.own.close();
    const refused = vi.fn();
    const stop = resendMoves(refused);
    await pass(3000);
    expect(heard).toEqual([]);
    away = false;
    await pass(9000);
    stop();
    expect(heard.filter((kind) => kind.startsWith('bench'))).toEqual(Array.from({ length: 250 }, (_, i) => `bench ${i}`));
    expect(heard).toContain('day');
    expect(refused).not.toHaveBeenCalled();
    expect(localStorage).toHaveLength(0);
  });

  it('loses only the one that is refused', async () => {
    away = true;
    const first = box();
    for (const kind of ['a', 'bad', 'b', 'c']) first.own.add({ kind });
    await pass(10);
    first.own.close();
    away = false;
    const refused = vi.fn();
    const stop = resendMoves(refused);
    await pass(200);
    stop();
    expect(heard).toEqual(['a', 'b', 'c']);
    expect(refused).toHaveBeenCalledExactlyOnceWith('bad is no move');
  });

  it('made on what is gone is told of once', async () => {
    gone = true;
    const first = box();
    for (const kind of ['a', 'b', 'c']) first.own.add({ kind });
    await pass(200);
    expect(first.state()).toMatchObject({ waiting: [], away: false, refused: 'This run is gone.' });
    expect(localStorage).toHaveLength(0);
  });
});
