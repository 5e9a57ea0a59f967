import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { choose } from '../../src/core/choose';
import { joinedAs, keptKey, type Join } from '../../src/core/layers';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';
import { candidatesPlan, sprayPlan, type ScrapReading } from '../../src/core/scrap';
import { DEFAULT_SCHOOLS } from '../../src/core/schools';
import type { Cloth } from '../../src/store/cloths';
import type { KeptStack } from '../../src/store/jobs';
import type { Scrap } from '../../src/store/scraps';
import { DEFAULT_SETTINGS } from '../../src/store/settings';
import { UnitsProvider } from '../../src/ui/units-context';
import { groupAnswers, keptStack } from '../../src/views/choose/answers';
import ScrapStage from '../../src/views/project/ScrapStage';
import { fakeServer, type Answerer } from './fake-server';
import { press } from './typing';

const poplin = { ...LIBRARY_CLOTHS.find(({ name }) => name === 'Shirting poplin')!, version: 1 } as unknown as Cloth;
const PART = { role: 'collar', cut: 'straight', stretch: 'any', care: 'none' } as const;
const answer = choose(poplin, PART, LIBRARY_LAYERS, { limit: 60 });
const best = groupAnswers(answer.ranked).map((group) => group.best);
const layerOf = (id: string) => LIBRARY_LAYERS.find((each) => each.id === id)!;

/** The stage of a job with a stack, and what the page is told. */
function open(stack: KeptStack, scraps: Scrap[], answers: Answerer) {
  const sent = fakeServer(answers);
  const told = vi.fn();
  const work = {
    ...{ id: 'w', cutId: 'c', pieceId: 'p', projectId: 'x', name: 'Collar', duty: 'shell', clothId: poplin.id, wish: PART },
    ...{ place: { kind: 'usual' }, count: 2, pairs: false, oneWay: false, own: null, done: false, stack, glueUp: true },
    ...{ shape: { kind: 'rectangle', width: 300, height: 90, corners: [false, false, false, false], corner: 0 } },
    ...{ line: 'cut', allowances: [10, 10, 10, 10], fold: null, grain: 0, marks: [], cutDone: false },
  };
  const layers = stack.layers.map((layer) => {
    const base = layerOf(layer.materialId);
    return { ...layer, base, material: joinedAs(base, layer.join) };
  });
  render(
    <UnitsProvider value="metric">
      <ScrapStage
        work={work as never}
        cloth={poplin}
        layers={layers}
        settings={DEFAULT_SETTINGS}
        scraps={scraps}
        log={[]}
        onScrap={told}
        onGone={() => {}}
        onChoose={() => {}}
        onNext={() => {}}
      />
    </UnitsProvider>,
  );
  return { sent, told };
}
const kept = (stack: KeptStack, plan: Scrap['plan'], readings: Record<string, ScrapReading>): Scrap => ({
  ...{ id: 's', version: 1, createdAt: '', updatedAt: '', jobId: 'w', clothId: poplin.id, clothName: poplin.name },
  ...{ stackTitle: stack.title, layerIds: stack.layers.map(keptKey), predicted: stack.predicted, plan, readings },
  ...{ chosen: null, filedOn: null, washDue: null, wash: null },
});
const READ: ScrapReading = {
  ...{ overhangBefore: 44, overhangAfter: 60, peel: 5, bubbles: 'none', showThrough: 'none', glueThrough: 'none' },
  ...{ shrink: null, feel: null, note: '' },
};

describe('a scrap that is begun', () => {
  const starched = (join?: Join): KeptStack => ({
    ...{ title: 'Starch', predicted: best[0]!.predicted, reasons: [], cautions: [] },
    layers: [{ materialId: 'starch', extent: 'full', angle: 0, ...(join ? { join } : {}) }],
  });

  it('with doses asks for as many rounds as are picked, and says what is cut for them', async () => {
    const { sent } = open(starched(), [], () => [201, {}]);
    await userEvent.click(screen.getByRole('radio', { name: 'doses of the liquid, by rounds' }));
    await userEvent.selectOptions(screen.getByRole('combobox'), '3');
    expect(screen.getByText('9 pairs of strips, 5 × 20 cm')).toBeVisible();
    await press('Start the scrap test');
    await waitFor(() => expect(sent.at(-1)).toMatchObject({ path: '/api/jobs/w/scraps', body: { grid: 'spray', rounds: 3 } }));
  });

  it('without a liquid offers no doses', () => {
    open(keptStack(best[0]!), [], () => [200, answer]);
    expect(screen.queryByRole('radio', { name: 'doses of the liquid, by rounds' })).toBeNull();
  });

  it('with other stacks sends the job’s own and those that are ticked, at most three, and none with fewer than two', async () => {
    const own = keptStack(best[0]!);
    const { sent, told } = open(own, [], ({ path }) => (path === '/api/choose' ? [200, answer] : [201, { id: 's' }]));
    await userEvent.click(screen.getByRole('radio', { name: 'other stacks beside it, hung and felt' }));
    const boxes = await screen.findAllByRole('checkbox');
    // The stack of the job is among them anyhow.
    expect(screen.queryByRole('checkbox', { name: new RegExp(`^${best[0]!.title} `) })).toBeNull();
    expect(screen.getByRole('button', { name: 'Start the scrap test' })).toBeDisabled();
    for (const box of boxes.slice(0, 3)) await userEvent.click(box);
    expect(boxes[3]).toBeDisabled();
    expect(screen.getByText('4 pieces of 12 × 20 cm')).toBeVisible();
    await press('Start the scrap test');
    await waitFor(() => expect(told).toHaveBeenCalledWith({ id: 's' }));
    const { grid, stacks } = sent.at(-1)!.body as { grid: string; stacks: KeptStack[] };
    expect([grid, stacks.map(({ title }) => title)]).toEqual(['candidates', best.slice(0, 4).map(({ title }) => title)]);
  });

  it('that is refused says why, and keeps what was ticked', async () => {
    open(starched(), [], () => [400, { error: { message: 'grid: must be another one', field: 'grid' } }]);
    await userEvent.click(screen.getByRole('radio', { name: 'doses of the liquid, by rounds' }));
    await press('Start the scrap test');
    expect(await screen.findByRole('alert')).toHaveTextContent('must be another one');
    expect(screen.getByRole('radio', { name: 'doses of the liquid, by rounds' })).toBeChecked();
  });

  it('of doses shows the least that holds, and takes it by one touch', async () => {
    const stack = starched();
    const pulled = (biasAfter: number) => ({ ...READ, peel: null, biasBefore: 12, biasAfter });
    const scrap = kept(stack, sprayPlan(poplin, layerOf('starch'), 2), { A1: pulled(9), B1: pulled(5), C1: pulled(1) });
    const { sent } = open(stack, [scrap], () => [200, { ...scrap, filedOn: '2026-05-02', chosen: 'B1', version: 2 }]);
    expect(screen.getByText(/^Best so far:/)).toHaveTextContent(
      'Best so far: B1, sprayed damp, good. The least that holds is enough.',
    );
    const drawing = screen.getByRole('group', { name: /^The scrap/ });
    expect(within(drawing).getByRole('button', { name: /^C2/ })).toHaveTextContent('wet through, two rounds');
    await press('Take B1, the best, and file it');
    await waitFor(() => expect(sent.at(-1)).toMatchObject({ path: '/api/scraps/s/file', body: { chosen: 'B1', version: 1 } }));
  });

  it('of stacks names each, counts the feel that was wanted, and fetches the winner’s layers with the page', async () => {
    const stacks = best.slice(0, 2).map((each) => keptStack(each));
    const chosen = stacks.map(({ layers }) => ({
      layers: layers.map((layer) => ({ ...layer, material: joinedAs(layerOf(layer.materialId), layer.join) })),
      schools: DEFAULT_SCHOOLS,
    }));
    const plan = { ...candidatesPlan(poplin, chosen), stacks };
    const scrap = kept(stacks[0]!, plan, { A1: { ...READ, bubbles: 'much' }, A2: READ });
    const gone = vi.fn();
    vi.stubGlobal('location', { assign: gone });
    open(stacks[0]!, [scrap], () => [200, { ...scrap, version: 2 }]);
    expect(screen.getByText(/^Best so far:/)).toHaveTextContent(stacks[1]!.title.replace(/\s/g, ' '));
    await press('Take A2, the best, and file it');
    await waitFor(() => expect(gone).toHaveBeenCalledWith('?job=w&stage=scrap'));
  });
});
