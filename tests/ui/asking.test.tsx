import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { choose } from '../../src/core/choose';
import type { Fabric } from '../../src/core/cloth';
import { LIBRARY_CLOTHS, LIBRARY_LAYERS } from '../../src/core/library';
import { beginningOf, groupAnswers } from '../../src/views/choose/answers';
import { apart } from '../../src/views/choose/AnswerList';
import ChooseView from '../../src/views/choose/ChooseView';
import { START, partOf } from '../../src/views/choose/sentence-state';
import TakeToProject from '../../src/views/choose/TakeToProject';
import { fakeServer } from './fake-server';
import { pick, press, type } from './typing';

const cloths = LIBRARY_CLOTHS.map((cloth) => ({ ...cloth, own: false, measured: [] }));
const linen = cloths.find(({ id }) => id === START.clothId)!;
const answer = choose(linen, partOf(START), LIBRARY_LAYERS, { limit: 60 });

describe('reasons in the list', () => {
  it('tell the answers apart where they can', () => {
    const stack = (...reasons: string[]) => ({ reasons });
    expect(
      apart([stack('Helps a collar.', 'Sharp.', 'Cheap.'), stack('Sharp.', 'Soft.'), stack('Sharp.'), stack('Hangs firm.')]),
    ).toEqual(['Sharp.', 'Soft.', 'Sharp.', 'Hangs firm.']);
  });
});

describe('the beginning of a choice, which comes with the page', () => {
  it('holds the best of each kind and what it is compared with, in their order, and how many are refused', () => {
    const begun = beginningOf(answer);
    expect(begun.ranked[0]).toBe(answer.ranked[0]);
    expect(begun.ranked.length).toBeLessThan(answer.ranked.length);
    expect(begun.ranked).toEqual(answer.ranked.filter((stack) => begun.ranked.includes(stack)));
    const kinds = groupAnswers(answer.ranked).map(({ best }) => best.id);
    expect(groupAnswers(begun.ranked).map(({ best }) => best.id)).toEqual(kinds.slice(0, 10));
    expect(begun.ruledOutGroups).toEqual(answer.ruledOutGroups);
    expect(JSON.stringify(begun).length).toBeLessThan(JSON.stringify(answer).length / 2);
  });

  it('is filled by itself, and what is open stays open meanwhile', async () => {
    let release: (() => void) | undefined;
    fakeServer(async ({ path }) => {
      if (path === '/api/choose') await new Promise<void>((go) => (release = go));
      return [200, answer];
    });
    const begun = beginningOf(answer);
    const all = { units: 'metric', currency: 'EUR', ways: {}, cloths, from: null, trim: 6, start: START } as const;
    render(<ChooseView {...all} startChoice={begun} />);
    const list = () => screen.getByRole('list', { name: 'Answers, best first' });
    const answers = () => within(list()).getAllByRole('listitem');
    const second = within(answers()[1]!).getAllByRole('button')[0]!;
    await userEvent.click(second);
    expect(second).toHaveAttribute('aria-pressed', 'true');
    const before = answers().length;
    await waitFor(() => expect(release).toBeDefined());
    release!();
    await waitFor(() => expect(answers().length).toBe(groupAnswers(answer.ranked).length));
    expect(answers().length).toBeGreaterThanOrEqual(before);
    expect(within(answers()[1]!).getAllByRole('button')[0]!).toHaveAttribute('aria-pressed', 'true');
  });
});

describe('the question', () => {
  const ask = () => {
    const sent = fakeServer(() => [200, answer]);
    render(
      <ChooseView
        units="metric"
        currency="EUR"
        ways={{}}
        cloths={cloths}
        from={null}
        trim={6}
        start={START}
        startChoice={answer}
      />,
    );
    return sent;
  };
  const asked = async (sent: ReturnType<typeof ask>) => {
    await waitFor(() => expect(sent.filter(({ path }) => path === '/api/choose').length).toBeGreaterThan(0));
    return sent.filter(({ path }) => path === '/api/choose').at(-1)!.body as { fabric: object; part: object };
  };

  it.each([
    ['Part', 'hem', { role: 'hem' }],
    ['Feel', 'crisp', { hand: 'crisp' }],
    ['Stretch', 'stop', { stretch: 'stop' }],
    ['Care', 'dry-clean', { care: 'dry-clean' }],
    ['Grain', 'bias', { cut: 'bias' }],
  ])('is asked again at once when its word for %s is changed', async (word, option, part) => {
    const sent = ask();
    if (word === 'Grain') await press(/^Wishes/);
    await pick(word, option);
    await waitFor(async () => expect((await asked(sent)).part).toMatchObject(part));
  });

  it('takes another cloth with its own figures', async () => {
    const sent = ask();
    const other = cloths.find(({ construction }) => construction === 'knit')!;
    await userEvent.type(screen.getByLabelText('Cloth'), other.name);
    await userEvent.click((await screen.findAllByRole('option'))[0]!);
    await waitFor(async () =>
      expect((await asked(sent)).fabric).toMatchObject({ construction: 'knit', arealDensity: other.arealDensity }),
    );
  });

  it('of a feel that is left as usual sends none', async () => {
    const sent = ask();
    await pick('Part', 'collar');
    await pick('Care', 'wash-hot');
    await waitFor(async () => expect((await asked(sent)).part).not.toHaveProperty('hand'));
  });

  it('leaves out what is ticked, and takes it in again', async () => {
    const sent = ask();
    expect(screen.getByRole('button', { name: 'Wishes: none besides' })).toBeVisible();
    await press(/^Wishes/);
    await userEvent.click(screen.getByLabelText('fusing'));
    await waitFor(async () => expect((await asked(sent)).part).toMatchObject({ avoid: ['fusible'] }));
    // Folded or not, what was asked stands on the chip.
    expect(screen.getByRole('button', { name: 'Wishes: without fusing' })).toBeVisible();
    await userEvent.click(screen.getByLabelText('fusing'));
    await waitFor(() => expect(sent.at(-1)!.body['part']).not.toMatchObject({ avoid: ['fusible'] }));
  });

  it('is walked through with j and k, from the first answer to the next and back, not beyond', async () => {
    ask();
    const best = () => screen.getByText(/^Best answer: /).textContent;
    const first = best();
    await userEvent.keyboard('k');
    expect(best()).toBe(first);
    await userEvent.keyboard('j');
    const second = best();
    expect(second).not.toBe(first);
    await userEvent.keyboard('k');
    expect(best()).toBe(first);
  });

  it('takes a cloth like the one that is named, but for its weight; its log and tests are not taken over', async () => {
    const sent = ask();
    await press(/^Cloth: as named/);
    await type('It weighs', '220');
    await waitFor(async () => expect((await asked(sent)).fabric).toMatchObject({ arealDensity: 220 }));
    const { fabric, part: _part, ...rest } = await asked(sent);
    expect(fabric).not.toHaveProperty('overhang');
    expect(rest).not.toHaveProperty('clothId');
    // The bench of the known cloth would measure another one.
    expect(screen.queryByRole('link', { name: 'Test the cloth' })).toBeNull();
    await press('Keep it in the cupboard');
    await waitFor(() => expect(sent.find(({ path }) => path === '/api/cloths')?.body).toMatchObject({ arealDensity: 220 }));
    expect(String(sent.find(({ path }) => path === '/api/cloths')!.body['name'])).toMatch(/^Like /);
    await press('As it is named');
    await waitFor(() => expect(sent.at(-1)!.body).toMatchObject({ clothId: START.clothId }));
  });

  it('keeps the answer that stands there and says so when the server is away', async () => {
    const first = answer.ranked[0]!.title;
    fakeServer(() => 'away');
    render(
      <ChooseView
        units="metric"
        currency="EUR"
        ways={{}}
        cloths={cloths}
        from={null}
        trim={6}
        start={START}
        startChoice={answer}
      />,
    );
    await pick('Part', 'hem');
    // It is asked again twice before it is told; a busy machine takes its time.
    expect(await screen.findByRole('alert', {})).toBeVisible();
    expect(screen.getByText(`Best answer: ${first}`)).toBeInTheDocument();
  });
});

describe('an answer put to a project', () => {
  const open = (projects: { id: string; name: string }[], refuse = false, newCloth?: Fabric & { name: string }) => {
    const sent = fakeServer(({ method, path }) => {
      if (method === 'GET') return [200, { projects }];
      if (path === '/api/projects') return [200, { id: 'new-one' }];
      if (path === '/api/cloths') return [200, { id: 'new-cloth' }];
      return refuse ? [400, { error: { message: 'name: is too long', field: 'name' } }] : [200, { jobs: [{ id: 'job-one' }] }];
    });
    const gone = vi.fn();
    vi.stubGlobal('location', { assign: gone });
    render(
      <TakeToProject
        stack={answer.ranked[0]!}
        clothId="linen-cotton"
        newCloth={newCloth}
        wish={partOf(START)}
        schools={{}}
        size={{ width: 300, height: 90, count: 4 }}
        onClose={() => {}}
      />,
    );
    return { sent, gone };
  };

  it('goes with its layers, its size and its wish to the one that is picked', async () => {
    const { sent, gone } = open([
      { id: 'a', name: 'Banner' },
      { id: 'b', name: 'Cap' },
    ]);
    await screen.findByRole('option', { name: 'Cap' });
    await pick('Project', 'b');
    await press('Put it there');
    await waitFor(() => expect(gone).toHaveBeenCalledWith('/projects/b?job=job-one&stage=cut'));
    const { path, body } = sent.at(-1)!;
    expect(path).toBe('/api/projects/b/pieces');
    const [cut] = body['cuts'] as { jobs: { wish: object; stack: { layers: { materialId: string }[] } }[] }[];
    expect(cut).toMatchObject({
      clothId: 'linen-cotton',
      count: 4,
      orientation: 'straight',
      jobs: [{ wish: { role: 'collar' } }],
    });
    const { layers } = cut!.jobs[0]!.stack;
    expect(layers.map(({ materialId }) => materialId)).toEqual(answer.ranked[0]!.layers.map((layer) => layer.materialId));
  });

  it('that is for a cloth like a known one brings the cloth with it, once', async () => {
    const { sent, gone } = open([{ id: 'a', name: 'Banner' }], false, { ...cloths[0]!, name: 'Like poplin', arealDensity: 160 });
    await screen.findByRole('option', { name: 'Banner' });
    await press('Put it there');
    await waitFor(() => expect(gone).toHaveBeenCalled());
    const made = sent.filter(({ path }) => path === '/api/cloths');
    expect(made.map(({ body }) => body['arealDensity'])).toEqual([160]);
    expect((sent.at(-1)!.body['cuts'] as { clothId: string }[])[0]!.clothId).toBe('new-cloth');
  });

  it('asks for a name of a new project before anything is sent', async () => {
    const { sent, gone } = open([]);
    await waitFor(() => expect(sent).toHaveLength(1));
    await press('Put it there');
    expect(screen.getByText('Give the project a name.')).toBeVisible();
    expect(sent).toHaveLength(1);
    await type('Name of the new project', 'Flags');
    await press('Put it there');
    await waitFor(() => expect(gone).toHaveBeenCalledWith('/projects/new-one?job=job-one&stage=cut'));
    expect(sent[1]).toMatchObject({ path: '/api/projects', body: { name: 'Flags' } });
  });

  it('stays open with all that was typed when it is refused', async () => {
    const { gone } = open([{ id: 'a', name: 'Banner' }], true);
    await screen.findByRole('option', { name: 'Banner' });
    const dialog = within(screen.getByRole('dialog'));
    await userEvent.clear(dialog.getByLabelText('Name of the piece'));
    await userEvent.type(dialog.getByLabelText('Name of the piece'), 'Under collar');
    await press('Put it there');
    expect(await screen.findByText(/is too long/)).toBeVisible();
    expect(dialog.getByLabelText('Name of the piece')).toHaveValue('Under collar');
    expect(gone).not.toHaveBeenCalled();
  });
});
