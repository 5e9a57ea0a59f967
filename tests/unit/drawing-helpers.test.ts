import { expose } from 'comlink';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { COLOUR, JUMP, MotifBuilder, STITCH } from '../../src/core/motif';
import { GivenUp } from '../../src/ui/beside';
import { LayoutRunner } from '../../src/ui/layout-runner';
import { ApiError, call, plainMessage } from '../../src/ui/api';
import { drawStitches, shadesOf } from '../../src/ui/motif/draw-motif';
import { NEW_PIECE, sizedPiece, tryOpen, withKind, withShape } from '../../src/ui/piece/piece-draft';
import { closedPath, closedPaths, openPath } from '../../src/ui/svg-path';
import { counted, keepUnits, readableDate, today } from '../../src/ui/text';
import { edgeWords } from '../../src/core/hoop';
import type { Layouts } from '../../src/workers/cut-table.worker';
import type { TablePlan, TablePlanOptions } from '../../src/core/cutplan';

afterEach(() => vi.unstubAllGlobals());

describe('paths on the screen', () => {
  it('turn y over, and keep openings as paths of their own', () => {
    expect(openPath([[1, 2], [3, -4]])).toBe('M1 -2L3 4'); // prettier-ignore
    expect(closedPath([[0, 0], [5, 0], [5, 5]])).toBe('M0 0L5 0L5 -5Z'); // prettier-ignore
    expect(closedPaths([[[0, 0], [1, 1]], [[2, 2]]]).match(/Z/g)).toHaveLength(2); // prettier-ignore
  });

  it('name an edge by where it lies', () => {
    const leaning: [number, number][] = [[0, 0], [100, 5], [150, 60], [100, 120], [0, 118]]; // prettier-ignore
    expect([0, 1, 2, 3, 4].map((edge) => edgeWords(leaning, edge))).toEqual([
      'lower edge',
      'edge 2',
      'edge 3',
      'upper edge',
      'left edge',
    ]);
  });
});

describe('words with figures', () => {
  it('keep a figure and its unit together, and count in the singular', () => {
    expect(keepUnits('62 g, 40 mm wide')).toBe('62\u00a0g, 40\u00a0mm wide');
    expect(keepUnits('10 great things')).toBe('10 great things');
    expect([counted(1, 'piece'), counted(0, 'piece'), counted(2, 'leaf', 'leaves')]).toEqual(['1 piece', '0 pieces', '2 leaves']);
    expect(readableDate('2026-05-31T22:00:00Z')).toBe('31 May 2026');
    expect(today()).toMatch(/^\d{4}-\d\d-\d\d$/);
  });
});

describe('thread as it is drawn', () => {
  const strokes = () => {
    const drawn: { style: string; lines: number[][] }[] = [];
    let from: number[] = [];
    const context = {
      strokeStyle: '',
      beginPath: () => drawn.push({ style: context.strokeStyle, lines: [] }),
      moveTo: (x: number, y: number) => (from = [x, y]),
      lineTo: (x: number, y: number) => drawn.at(-1)!.lines.push([...from, x, y]),
      stroke: () => {},
    };
    return { drawn, context: context as unknown as CanvasRenderingContext2D };
  };
  const builder = new MotifBuilder();
  for (const [command, x, y] of [
    [STITCH, 0, 0],
    [STITCH, 2, 0],
    [STITCH, 2, 2],
    [JUMP, 9, 9],
    [STITCH, 10, 9],
    [STITCH, 12, 9],
    [COLOUR, 12, 9],
    [STITCH, 0, 5],
    [STITCH, 3, 5],
  ] as const)
    // prettier-ignore
    builder.add(command, x, y);
  const motif = builder.motif('m');
  const view = { scale: 10, x: 100, y: 200 };

  it('runs from stitch to stitch, not over jumps, y upward', () => {
    const { drawn, context } = strokes();
    drawStitches(context, motif, ['#102030', '#ff0000'], view, 0, motif.command.length);
    expect(drawn.flatMap(({ lines }) => lines)).toEqual([[100, 200, 120, 200], [120, 200, 120, 180], [200, 110, 220, 110], [100, 150, 130, 150]]); // prettier-ignore
    const last = drawn.at(-1)!.style;
    expect(shadesOf('#ff0000')).toContain(last);
    expect(shadesOf('#102030')).not.toContain(last);
  });

  it('drawn in two goes is drawn the same, in the colour of its block', () => {
    const [whole, parts] = [strokes(), strokes()];
    drawStitches(whole.context, motif, ['#102030', '#ff0000'], view, 0, motif.command.length);
    for (const [from, to] of [
      [0, 2],
      [2, 8],
      [8, motif.command.length],
    ] as const)
      // prettier-ignore
      drawStitches(parts.context, motif, ['#102030', '#ff0000'], view, from, to);
    const flat = ({ drawn }: ReturnType<typeof strokes>) =>
      drawn.flatMap(({ style, lines }) => lines.map((line) => [style, ...line]));
    expect(flat(parts)).toEqual(flat(whole));
  });

  it('has shades from dark to light around its colour', () => {
    const light = shadesOf('#808080').map((shade) => Number(/rgb\((\d+)/.exec(shade)![1]));
    expect([...light].sort((a, b) => a - b)).toEqual(light);
    expect(light[0]).toBeLessThan(128);
    expect(light.at(-1)).toBeGreaterThan(128);
  });
});

describe('a piece that is being described', () => {
  it('opens out, or says which field stands in the way', () => {
    expect(tryOpen(sizedPiece(200, 80)).piece!.outline.length).toBeGreaterThan(3);
    const wrong = tryOpen(sizedPiece(-5, 80));
    expect(wrong.piece).toBeUndefined();
    expect(wrong.field).toContain('width');
    expect(wrong.message).not.toContain(wrong.field!);
  });

  it('keeps the allowances of edges that stay, gives new ones the first, and lets a fold go with its edge', () => {
    const draft = { ...NEW_PIECE, allowances: [5, 6, 7, 8], fold: 3 };
    const three = withShape(draft, { kind: 'drawn', edges: [{ from: [0, 0] }, { from: [50, 0] }, { from: [0, 50] }] });
    expect(three.allowances).toEqual([5, 6, 7]);
    expect(three.fold).toBeNull();
    const shuffled = withShape(draft, three.shape, [3, 2, 0]);
    expect(shuffled.allowances).toEqual([8, 7, 5]);
    expect(shuffled.fold).toBe(0);
  });

  it('keeps its measures from one kind of rectangle to the next, and starts others anew', () => {
    const round = withKind({ ...sizedPiece(222, 99), marks: [] }, 'rounded');
    expect(round.shape).toMatchObject({ kind: 'rounded', width: 222, height: 99 });
    const ring = withKind(round, 'ring');
    expect(ring.shape.kind).toBe('ring');
    expect(tryOpen(ring).piece).toBeDefined();
  });
});

describe('asking the server', () => {
  const answering = (response: Partial<Response> & { json?: () => Promise<unknown> }) =>
    vi.stubGlobal(
      'fetch',
      vi.fn(() => Promise.resolve({ ok: true, status: 200, json: () => Promise.resolve({}), ...response })),
    );

  it('hands on the field, the words and the row as it is now', async () => {
    answering({
      ok: false,
      status: 409,
      json: () => Promise.resolve({ error: { message: 'width: must be less', field: 'width' }, current: { version: 3 } }),
    });
    const error = await call('PUT', '/api/x', {}).catch((problem: unknown) => problem as ApiError);
    expect(error).toMatchObject({ status: 409, field: 'width', current: { version: 3 } });
    expect(plainMessage(error as ApiError)).toBe('must be less');
    expect(plainMessage(new ApiError('Nothing to do.', 400, null))).toBe('Nothing to do.');
  });

  it('never takes an answer that broke off for an empty one', async () => {
    answering({ json: () => Promise.reject(new SyntaxError('end')) });
    await expect(call('GET', '/api/x')).rejects.toThrow('broke off');
    answering({ ok: false, status: 502, json: () => Promise.reject(new SyntaxError('html')) });
    await expect(call('GET', '/api/x')).rejects.toThrow('The server answered 502.');
  });

  it('says that nothing is lost when nobody answers, and lets a question be taken back', async () => {
    vi.stubGlobal(
      'fetch',
      vi.fn(() => Promise.reject(new TypeError('refused'))),
    );
    await expect(call('GET', '/api/x')).rejects.toThrow('What you typed is still here');
    const gone = new AbortController();
    gone.abort();
    await expect(call('GET', '/api/x', undefined, gone.signal)).rejects.toThrow('refused');
  });
});

describe('asking for a layout', () => {
  /** A worker that answers when it is told to; what it exposes goes over a channel as it does from a thread. */
  class FakeWorker {
    static last: FakeWorker;
    asked: { heard: (plan: TablePlan) => void; done: (plan: TablePlan | undefined) => void; fail: (error: Error) => void }[] = [];
    stops = 0;
    ended = false;
    private readonly channel = new MessageChannel();
    constructor() {
      FakeWorker.last = this;
      const layouts: Layouts = {
        lay: (_options, heard) => new Promise((done, fail) => this.asked.push({ heard, done, fail })),
        stop: () => void this.stops++,
      };
      expose(layouts, this.channel.port2 as never);
      this.channel.port1.start();
    }
    postMessage(message: unknown, transfer: never[] = []) {
      this.channel.port1.postMessage(message, transfer);
    }
    terminate() {
      this.ended = true;
      this.channel.port1.close();
    }
    addEventListener(kind: string, hear: (event: Event) => void) {
      if (kind === 'error') this.break = () => hear(new Event('error', { cancelable: true }));
      else this.channel.port1.addEventListener(kind as 'message', hear as never);
    }
    removeEventListener() {}
    break = () => {};
    /** The question that came in as number `n`, once it is there. */
    async question(n: number) {
      await vi.waitFor(() => expect(this.asked.length).toBeGreaterThan(n), { timeout: 15_000 });
      return this.asked[n]!;
    }
  }
  const plan = (done: number): TablePlan => ({ laid: [], unplaced: [], done });
  const options = { seconds: 1 } as TablePlanOptions;
  const opened: LayoutRunner[] = [];
  const runner = () => {
    vi.stubGlobal('Worker', FakeWorker);
    opened.push(new LayoutRunner());
    return opened.at(-1)!;
  };
  afterEach(() => opened.splice(0).forEach((each) => each.close()));

  it('hears every better one, and has the last', async () => {
    const heard: number[] = [];
    const asked = runner().lay(options, ({ done }) => heard.push(done));
    const question = await FakeWorker.last.question(0);
    question.heard(plan(0.3));
    question.heard(plan(0.6));
    await vi.waitFor(() => expect(heard).toEqual([0.3, 0.6]), { timeout: 15_000 });
    question.done(plan(1));
    expect((await asked).done).toBe(1);
  });

  it('takes nothing that comes after the last: reports and the answer travel on ports of their own', async () => {
    const heard: number[] = [];
    const asked = runner().lay(options, ({ done }) => heard.push(done));
    const question = await FakeWorker.last.question(0);
    question.done(plan(1));
    await asked;
    question.heard(plan(0.6));
    await new Promise((resolve) => setTimeout(resolve, 50));
    expect(heard).toEqual([]);
  });

  it('gives an open question up for the next, and does not take its late answers for it', async () => {
    const both = runner();
    const early: number[] = [];
    const first = both.lay(options, ({ done }) => early.push(done));
    const failed = expect(first).rejects.toBeInstanceOf(GivenUp);
    const heard: number[] = [];
    const second = both.lay(options, ({ done }) => heard.push(done));
    await failed;
    const [one, two] = [await FakeWorker.last.question(0), await FakeWorker.last.question(1)];
    one.heard(plan(0.9));
    one.done(plan(0.9));
    two.done(plan(0.5));
    expect((await second).done).toBe(0.5);
    expect([early, heard]).toEqual([[], []]);
  });

  it('fails with the words of the worker, and is closed with it', async () => {
    const one = runner();
    const asked = one.lay(options);
    (await FakeWorker.last.question(0)).fail(new Error('pieces: must be at most 400'));
    await expect(asked).rejects.toThrow('at most 400');
    const open = one.lay(options);
    const gone = expect(open).rejects.toBeInstanceOf(GivenUp);
    one.stop();
    await vi.waitFor(() => expect(FakeWorker.last.stops).toBe(1), { timeout: 15_000 });
    one.close();
    await gone;
    expect(FakeWorker.last.ended).toBe(true);
  });

  it('fails when its worker dies, and asks another one the next time', async () => {
    const one = runner();
    const asked = one.lay(options);
    const dead = FakeWorker.last;
    dead.break();
    await expect(asked).rejects.toThrow('broke off');
    const next = one.lay(options);
    expect(FakeWorker.last).not.toBe(dead);
    (await FakeWorker.last.question(0)).done(plan(1));
    expect((await next).done).toBe(1);
  });
});
