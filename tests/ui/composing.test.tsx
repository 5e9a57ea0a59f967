import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { judgeStack, type Part } from '../../src/core/choose';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';
import type { KeptStack } from '../../src/store/jobs';
import type { BenchRun } from '../../src/store/bench-runs';
import BenchDone from '../../src/views/bench/BenchDone';
import { addableOf, added, composedFrom } from '../../src/views/compose/composed';
import ComposeStack from '../../src/views/compose/ComposeStack';
import OwnSheets from '../../src/views/compose/OwnSheets';
import { UnitsProvider } from '../../src/ui/units-context';
import { fakeServer } from './fake-server';
import { press } from './typing';

const cloth = LIBRARY_CLOTHS.find(({ construction }) => construction === 'woven')!;
const part: Part = { role: 'collar', cut: 'straight', stretch: 'any', care: 'wash-warm' };
const fusible = LIBRARY_LAYERS.filter(({ form }) => form === 'fusible');
const [first, second] = [fusible[0]!, fusible[1]!];
const asked = { clothId: cloth.id, weights: {}, schools: {}, piece: { width: 300, height: 100, count: 1 } } as never;

describe('a stack of one\u2019s own', () => {
  const compose = (start: ReturnType<typeof added>[]) => {
    const onTake = vi.fn<(stack: KeptStack) => void>();
    let release: (() => void) | undefined;
    const sent = fakeServer(async ({ path, body }) => {
      if (!path.endsWith('/judge')) return [200, { rows: [], total: 0 }];
      const layers = (body['layers'] as { materialId: string; extent: 'full'; angle: number }[]).map((layer) => ({
        ...layer,
        material: LIBRARY_LAYERS.find(({ id }) => id === layer.materialId)!,
      }));
      if (sent.filter((each) => each.path.endsWith('/judge')).length > 1) await new Promise<void>((go) => (release = go));
      return [200, judgeStack(cloth, part, layers)];
    });
    render(<ComposeStack fabric={cloth} part={part} asked={asked} cloths={[]} start={start} onTake={onTake} />);
    return { onTake, sent, answer: () => release!() };
  };
  const take = () => screen.getByRole('button', { name: 'Take this stack' });
  const acceptAll = async () => {
    for (const box of screen.queryAllByRole('checkbox', { name: /I know, and take it/ })) await userEvent.click(box);
  };

  it('is never taken with what was said of other layers', async () => {
    const { onTake, answer } = compose([added(addableOf(first)), added(addableOf(second))]);
    await waitFor(() => expect(screen.getByText(/of 100/)).toBeVisible());
    await press(`Leave ${second.name} out`);
    expect(take()).toBeDisabled();
    answer();
    await waitFor(() => expect(screen.getByText(/of 100/).closest('[aria-busy]')).toHaveAttribute('aria-busy', 'false'));
    await acceptAll();
    await userEvent.click(take());
    const [stack] = onTake.mock.calls[0]!;
    expect(stack.layers.map(({ materialId }) => materialId)).toEqual([first.id]);
    expect(stack.predicted).toEqual(judgeStack(cloth, part, [{ material: first, extent: 'full', angle: 0 }]).predicted);
  });

  it('changes places by its arrows, and keeps how each layer is cut', async () => {
    const kept = {
      layers: [
        { materialId: first.id, extent: 'trimmed', angle: 0, cut: { trim: 3 } },
        { materialId: second.id, extent: 'full', angle: 45 },
      ],
    } as unknown as KeptStack;
    const known = new Map([first, second].map((each) => [each.id, addableOf(each)]));
    const { sent, answer, onTake } = compose(composedFrom(kept, known));
    await waitFor(() => expect(screen.getByText(/of 100/)).toBeVisible());
    await press(`${second.name} farther out`);
    await waitFor(() => expect(sent.filter(({ path }) => path.endsWith('/judge'))).toHaveLength(2));
    answer();
    await waitFor(() => expect(screen.getByText(/of 100/).closest('[aria-busy]')).toHaveAttribute('aria-busy', 'false'));
    await acceptAll();
    await userEvent.click(take());
    expect(onTake.mock.calls[0]![0].layers).toEqual([
      { materialId: second.id, extent: 'full', angle: 45 },
      { materialId: first.id, extent: 'trimmed', angle: 0, cut: { trim: 3 } },
    ]);
  });
});

describe('sheets of one\u2019s own for the hoop', () => {
  const sheets = LIBRARY_LAYERS.filter(({ family }) => family === 'mesh' || family === 'starch');
  const compose = (stops: { id: string; words: string; layer: number }[]) => {
    const onTake = vi.fn();
    const sent = fakeServer(({ path, body }) => {
      if (!path.endsWith('/judge')) return [200, { rows: sheets.slice(0, 6), total: 6 }];
      const titles = (body['layers'] as { materialId: string }[]).map(({ materialId }) => materialId).join(' + ');
      return [200, { asked: { title: titles, verdict: { verdict: 'near', share: 0.9, topping: { why: 'Its face is flat.' } }, stops } }]; // prettier-ignore
    });
    const question = { clothId: cloth.id, role: 'badge' };
    render(<OwnSheets motifId="m" asked={question} cloths={[]} take="Take this" onTake={onTake} />);
    return { onTake, sent };
  };
  const add = async (name: string) => {
    const list = await screen.findByRole('list', { name: 'What is in the cupboard' });
    await userEvent.click(await within(list).findByRole('button', { name: new RegExp(`^${name}`) }));
  };

  it('are judged as they are put together, turned, and taken in their order', async () => {
    const { onTake, sent } = compose([]);
    await add(sheets[0]!.name);
    await add(sheets[0]!.name);
    await userEvent.selectOptions(screen.getAllByLabelText('Turned')[1]!, '45');
    // In the hoop the hoop says how far a sheet reaches.
    expect(screen.queryByLabelText('Reaches')).toBeNull();
    await waitFor(() => expect(screen.getByText(/about 90 % of what it bears/)).toBeVisible());
    await waitFor(() => expect(screen.getByRole('button', { name: 'Take this' })).toBeEnabled());
    await userEvent.click(screen.getByRole('button', { name: 'Take this' }));
    const layers = [{ materialId: sheets[0]!.id, angle: 0 }, { materialId: sheets[0]!.id, angle: 45 }]; // prettier-ignore
    expect(onTake).toHaveBeenCalledWith({ title: `${sheets[0]!.id} + ${sheets[0]!.id}`, layers });
    expect(sent.filter(({ path }) => path.endsWith('/judge')).at(-1)!.body).toEqual({ clothId: cloth.id, role: 'badge', layers });
  });

  it('that break a rule are only taken knowingly', async () => {
    const { onTake } = compose([{ id: 'no-iron', words: 'It must not be ironed.', layer: 0 }]);
    await add(sheets[0]!.name);
    await waitFor(() => expect(screen.getAllByText(/It must not be ironed/)).toHaveLength(2));
    expect(screen.getByRole('button', { name: 'Take this' })).toBeDisabled();
    await userEvent.click(screen.getByRole('checkbox', { name: /I know, and take it/ }));
    await userEvent.click(screen.getByRole('button', { name: 'Take this' }));
    expect(onTake).toHaveBeenCalledOnce();
  });
});

describe('a batch that is finished', () => {
  it('files each job with its own boxes, also where one name begins with another', async () => {
    const sent = fakeServer(() => [201, { id: 'entry' }]);
    const work = (jobId: string, name: string) => ({ jobId, name, clothName: 'Poplin', stackTitle: 'A layer', outline: [] });
    const box = (id: string, of: number, check: string) => ({ id, stage: 'check', kind: 'check', title: id, detail: '', work: of, checks: [check] }); // prettier-ignore
    const run = {
      id: 'run',
      jobId: 'a',
      scrapId: null,
      plan: {
        pieceName: '2 jobs',
        works: [work('a', 'Front'), work('b', 'Front: armhole')],
        steps: [box('1', 0, 'Front: Corners hold'), box('2', 1, 'Front: armhole: Corners hold')],
      },
      state: { checks: ['Front: armhole: Corners hold'] },
    } as unknown as BenchRun;
    const log = {
      clothId: null,
      layerIds: [],
      settings: { ironDots: 1, seconds: 10, steam: false, cover: 'none' },
      predicted: {},
    };
    render(
      <UnitsProvider value="metric">
        <BenchDone run={run} projectId="p" logs={{ a: log, b: log } as never} filed={[]} />
      </UnitsProvider>,
    );
    for (const button of screen.getAllByRole('button', { name: 'File it in the logbook' })) await userEvent.click(button);
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent.map(({ body }) => [body['jobId'], body['checks']])).toEqual([
      ['a', { held: [], failed: ['Corners hold'] }],
      ['b', { held: ['Corners hold'], failed: [] }],
    ]);
  });
});
