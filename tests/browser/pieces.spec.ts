import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';

import { anotherJob, pieces, start, takeFirst } from './making';
import { alive, open, pickCloth, takeOwn } from './open';

test('a jacket front: interfaced all over, a stay along the armhole, a square behind the buttonhole', async ({ page }) => {
  await start(page, 'Quay jacket');
  await page.getByLabel('Name of the piece').fill('Front');
  await pickCloth(page, 'Charcoal felted wool');
  await page.getByLabel('It is a').selectOption({ label: 'jacket front' });
  await page.getByLabel('Care').selectOption({ label: 'dry-cleaned' });
  await page.getByRole('button', { name: 'Add the piece' }).click();

  // 1. The whole of it: the first answer.
  await expect(page.getByRole('heading', { name: 'What to put behind “Front”' })).toBeVisible();
  await takeFirst(page);

  // 2. A stay along one edge, 12 mm wide, of the cloth's own making.
  await anotherJob(page, 'armhole', 'shoulder seam', 'along edges', async () => {
    await page
      .getByRole('checkbox', { name: 'right edge' })
      .or(page.getByRole('checkbox', { name: 'right' }))
      .first()
      .check();
    await page.getByLabel('How wide').fill('12 mm');
  });
  await expect(page.getByRole('heading', { name: 'What to put behind “Front: armhole”' })).toBeVisible();
  await takeFirst(page);

  // 3. A square behind the buttonhole, put together by hand: organdy.
  await anotherJob(page, 'top buttonhole', 'buttonhole', 'a patch around a point', () => page.getByLabel('Size').fill('40 mm'));
  await page.getByRole('button', { name: 'Put a stack of your own together' }).click();
  const own = page.getByRole('region', { name: 'A stack of your own' });
  await own.getByRole('searchbox').fill('organdy');
  await own
    .getByRole('button', { name: /organdy/i })
    .first()
    .click();
  await own.getByLabel('Reaches').selectOption({ label: 'a patch around the point' });
  await expect(own.getByText(/of 100/)).toBeVisible();
  const stops = own.getByRole('checkbox', { name: /I know, and take it all the same/ });
  for (const stop of await stops.all()) await stop.check();
  await own.getByRole('button', { name: 'Take this stack' }).click();
  await expect(page).toHaveURL(/stage=scrap/);
  await alive(page);

  // Each lies where it was said, on one and the same piece.
  await page.getByRole('navigation', { name: 'Stages of the project' }).getByRole('button', { name: /Cut/ }).click();
  await expect(page.getByLabel('Size').first()).toHaveValue('40 mm');
  await expect(page.getByText('16 cm² a piece')).toBeVisible();
  await pieces(page)
    .getByRole('button', { name: /^Armhole/ })
    .click();
  await expect(page.getByText(/Along the edge/)).toBeVisible();
  await expect(page.getByText(/all 3 jobs|3 of 3 jobs/).first()).toBeVisible();
});

test('one pattern, three cloths: allowances of its own, lining without a job, twice as many when two are made', async ({
  page,
}) => {
  await start(page, 'Lamp pouch');
  await page.getByLabel('Name of the piece').fill('Panel');
  await pickCloth(page, 'Natural duck canvas');
  await page.getByLabel('It is a').selectOption({ label: 'bag panel' });
  await page.getByLabel('How many').fill('2');
  await page.getByRole('button', { name: 'Add the piece' }).click();
  await expect(page.getByRole('heading', { name: 'What to put behind “Panel”' })).toBeVisible();

  // The same piece as lining, with nothing to do on it.
  await pieces(page).getByRole('button', { name: 'Cut it from another cloth too' }).click();
  const dialog = page.getByRole('dialog', { name: 'Cut Panel from another cloth' });
  await pickCloth(dialog, 'Straw-yellow poplin');
  await dialog.getByRole('button', { name: 'Cut it so too' }).click();
  await expect(dialog).toBeHidden();
  await expect(pieces(page)).toContainText('Lining: Straw-yellow poplin, 2 pieces');

  // Its own allowance at one edge: none. The seam line stays, the cut piece is smaller by what the pattern has there.
  await page.getByText(/^Seam allowances of this cut/).click();
  const name = await page
    .getByRole('combobox', { name: /^Allowance of/ })
    .first()
    .getAttribute('aria-label');
  await page.getByRole('combobox', { name: name! }).selectOption({ label: 'none' });
  await page.getByRole('button', { name: 'Save the piece' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  const shell = await page.evaluate(async () => {
    const id = location.pathname.split('/')[2]!;
    const { cuts } = (await (await fetch(`/api/projects/${id}/pieces`)).json()) as { cuts: { id: string; own: unknown }[] };
    const size = async (cut: string) => {
      const svg = await (await fetch(`/api/cuts/${cut}/files/piece.svg`)).text();
      return /viewBox="([^"]+)"/.exec(svg)![1]!.split(' ').map(Number).slice(2);
    };
    return { own: cuts.map((cut) => cut.own), sizes: await Promise.all(cuts.map((cut) => size(cut.id))) };
  });
  expect(shell.own.filter((own) => own !== null)).toHaveLength(1);
  const [[w0, h0], [w1, h1]] = shell.sizes as [[number, number], [number, number]];
  expect(w0 - w1 + (h0 - h1)).toBeCloseTo(10, 1);

  // Two are made: everything is needed twice.
  await page.getByRole('button', { name: 'Rename or make more' }).click();
  await page.getByRole('textbox', { name: 'How many' }).first().fill('2');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('2 pieces of it are made')).toBeVisible();
  const project = page.url().split('/projects/')[1]!.split('?')[0]!;
  await open(page, `/tables/${project}/cloth/tq-duck`);
  await expect(page.getByRole('region', { name: 'What it comes to' })).toContainText(/4 pieces/);

  // And sewn again, with nothing done.
  await open(page, `/projects/${project}`);
  await page.getByRole('button', { name: 'Sew it again' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Lamp pouch, again' })).toBeVisible();
  await expect(pieces(page)).toContainText('Lining: Straw-yellow poplin, 2 pieces');
});

test('ten jobs get three materials, and the list of what to buy follows', async ({ page }) => {
  const project = (await (await page.request.post('/api/projects', { data: { name: 'Choir smocks' } })).json()) as { id: string };
  const rectangle = { kind: 'rectangle', width: 300, height: 120, corners: [false, false, false, false], corner: 0 };
  const roles = [
    'collar',
    'cuff',
    'button-band',
    'pocket-flap',
    'neck-facing',
    'armhole-facing',
    'welt',
    'waistband',
    'hem',
    'bodice',
  ];
  const data = {
    pieces: roles.map((role, i) => ({
      ...{ name: `Piece ${i + 1}`, shape: rectangle, allowances: [10, 10, 10, 10], fold: null },
      cuts: [
        {
          ...{ clothId: i < 7 ? 'tq-lining-poplin' : 'tq-harbour-linen', count: 2, orientation: 'straight' },
          jobs: [{ place: { kind: 'usual' }, wish: { role, stretch: 'any', care: 'wash-warm' } }],
        },
      ],
    })),
  };
  expect((await page.request.post(`/api/projects/${project.id}/pieces/many`, { data })).status()).toBe(201);

  // One touch opens the plan, one takes it.
  await open(page, `/projects/${project.id}`);
  await page.getByRole('link', { name: 'Plan all jobs at once' }).click();
  await alive(page);
  const heading = page.getByRole('heading', { level: 1 });
  await expect(heading).toHaveText(/^[123] materials? for 10 jobs$/);
  const count = Number((await heading.textContent())!.split(' ')[0]);
  const columns = page.getByRole('button', { name: /^Do without / });
  expect(await columns.count()).toBe(count);

  // Without one of them another is found for its jobs.
  const dropped = (await columns.first().getAttribute('aria-label'))!.replace('Do without ', '');
  await columns.first().click();
  await expect(page.getByRole('button', { name: `Do without ${dropped}` })).toBeHidden();
  await expect(heading).toHaveText(/ for 10 jobs$/);
  await page.getByRole('button', { name: 'Plan it anew, without my changes' }).click();
  await expect(page.getByRole('button', { name: `Do without ${dropped}` })).toBeVisible();

  // A job that is held keeps its stack.
  const select = page.getByRole('combobox', { name: 'Stack of Piece 1', exact: true });
  const other = await select.locator('option').nth(2).getAttribute('value');
  await select.selectOption(other!);
  await expect(page.getByRole('button', { name: 'Let Piece 1 be chosen again', exact: true })).toBeVisible();
  await expect(select).toHaveValue(other!);
  await page.getByRole('button', { name: 'Let Piece 1 be chosen again', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Hold the stack of Piece 1', exact: true })).toBeVisible();

  await page.getByRole('button', { name: 'Take the whole plan' }).click();
  await page.getByRole('link', { name: 'What to buy' }).click();
  await alive(page);
  const { jobs } = (await (await page.request.get(`/api/projects/${project.id}/pieces`)).json()) as {
    jobs: { stack: { layers: { materialId: string }[] } | null }[];
  };
  expect(jobs.every(({ stack }) => stack !== null)).toBe(true);
  const taken = new Set(jobs.flatMap(({ stack }) => stack!.layers.map(({ materialId }) => materialId)));
  expect(taken.size).toBeLessThanOrEqual(3);
});

test('two jobs of two projects go over the bench as one batch, every copy ticked, each filed', async ({ page }) => {
  await open(page, '/bench');
  const next = page.getByRole('region', { name: 'What can be done next' });
  await next.getByRole('checkbox', { name: /Pocket welt/ }).check();
  await next.getByRole('checkbox', { name: /Hanging tab/ }).check();
  await next.getByRole('button', { name: 'Start 2 jobs as one batch' }).click();
  await expect(page).toHaveURL(/\/bench\/[\w-]+$/);
  await alive(page);
  const id = page.url().split('/bench/')[1]!;
  const run = (await (await page.request.get(`/api/bench/${id}`)).json()) as {
    version: number;
    plan: {
      works: { name: string }[];
      steps: { title: string; work?: number; kind: string; copies?: number; checks?: string[] }[];
    };
    state: object;
  };
  expect(run.plan.works.map(({ name }) => name)).toEqual(['Pocket welt', 'Hanging tab']);
  const pressed = (work: number) =>
    run.plan.steps.filter((step) => step.kind === 'press' && step.work === work).reduce((sum, { copies = 1 }) => sum + copies, 0);
  expect(pressed(0)).toBeGreaterThanOrEqual(16);
  const boxes = (name: string) =>
    run.plan.steps.flatMap((step) => step.checks ?? []).filter((check) => check.startsWith(`${name}: Piece `));
  expect([boxes('Pocket welt').length, boxes('Hanging tab').length]).toEqual([16, 5]);
  await expect(page.getByText(`· step 1 of ${run.plan.steps.length}`)).toBeVisible();

  // While it is open it stands on the board, and its jobs are not offered again.
  await open(page, '/bench');
  await expect(page.getByRole('region', { name: 'Open at the bench' })).toContainText('Pocket welt and 1 more');
  await expect(next.getByRole('checkbox', { name: /Pocket welt/ })).toBeHidden();

  // At its end each job is filed for itself, with its own ticks.
  const checks = run.plan.steps.flatMap((step) => step.checks ?? []).filter((check) => check.startsWith('Pocket welt: '));
  const state = { ...run.state, step: run.plan.steps.length - 1, checks };
  expect((await page.request.put(`/api/bench/${id}`, { data: { state, finished: true, version: run.version } })).status()).toBe(
    200,
  );
  await open(page, `/bench/${id}`);
  await expect(page.getByRole('heading', { name: '2 jobs are done' })).toBeVisible();
  const welt = page.getByRole('region', { name: 'Pocket welt' });
  await welt.getByRole('button', { name: 'File it in the logbook' }).click();
  await page.getByRole('link', { name: 'To the bench' }).click();
  await alive(page);
  await expect(next.getByRole('checkbox', { name: /Pocket welt/ })).toBeHidden();
  // What was worked and not filed yet is not offered anew.
  await expect(next.getByRole('checkbox', { name: /Hanging tab/ })).toBeHidden();
  await expect(page.getByRole('region', { name: 'Done, to be filed' })).toContainText('Hanging tab');
});

test('a seam whose edges do not fit is walked and mended, and put back by one touch', async ({ page }) => {
  const project = (await (await page.request.post('/api/projects', { data: { name: 'Neck gusset' } })).json()) as { id: string };
  const rectangle = (width: number) => ({
    kind: 'rectangle',
    width,
    height: 80,
    corners: [false, false, false, false],
    corner: 0,
  });
  const piece = (name: string, width: number) => ({
    ...{ name, shape: rectangle(width), allowances: [10, 10, 10, 10], fold: null },
    cuts: [{ clothId: 'tq-lining-poplin', count: 1, orientation: 'straight' }],
  });
  const data = { pieces: [piece('Band', 320), piece('Edge', 360)] };
  expect((await page.request.post(`/api/projects/${project.id}/pieces/many`, { data })).status()).toBe(201);
  await open(page, `/projects/${project.id}`);
  await page.getByRole('link', { name: 'Do the seams fit?' }).click();
  await alive(page);
  const another = page.getByRole('region', { name: 'Another seam' });
  for (const [label, name] of [
    ['Sew', 'Band'],
    ['to', 'Edge'],
  ] as const) {
    await another.getByRole('combobox', { name: `${label}: piece` }).selectOption({ label: name });
    await another.getByRole('group', { name: label, exact: true }).getByRole('checkbox').first().check();
  }
  await another.getByRole('button', { name: 'Compare them' }).click();
  const seam = page.getByRole('listitem').filter({ hasText: 'Band to Edge' });
  await expect(seam).toContainText('40 mm do not fit.');
  await expect(seam).toContainText('30 cm and 34 cm along the line that is sewn');
  await seam.getByRole('button', { name: 'Walk the seam' }).click();
  await seam.getByLabel('Place along the seam').fill('500');
  await expect(seam).toContainText('Along the seam: 15 cm of Band, 17 cm of Edge');
  await seam.getByRole('button', { name: 'Mend it' }).click();
  await seam.getByRole('radio', { name: 'where it ends' }).check();
  await seam.getByRole('button', { name: 'Shorten Edge by 40 mm' }).click();
  await expect(seam).toContainText('They fit.');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(seam).toContainText('40 mm do not fit.');
  await seam.getByRole('button', { name: 'Shorten Edge by 40 mm' }).click();
  await expect(seam).toContainText('They fit.');
  await page.reload();
  await alive(page);
  await expect(seam).toContainText('30 cm and 30 cm along the line that is sewn');
  await seam.getByRole('button', { name: /^Take out the seam/ }).click();
  await expect(seam).toBeHidden();
});

test('marks are touched, typed and drawn to the axes; the template shows them where they were wanted', async ({ page }) => {
  await start(page, 'Quay skirt');
  await page.getByLabel('Name of the piece').fill('Skirt front');
  const drawing = page.getByRole('img', { name: /^The piece Skirt front/ });
  const put = async (kind: string, x: number, y: number) => {
    await page.getByLabel('Mark to put on the piece').selectOption({ label: kind });
    const box = (await drawing.boundingBox())!;
    await drawing.click({ position: { x: x * box.width, y: y * box.height } });
  };
  const marks = page.getByRole('group', { name: 'Marks' });
  // Near the centre is on the centre: the piece is 300 mm wide.
  await put('centre front', 0.52, 0.5);
  await expect(page.getByLabel('From the left')).toHaveValue('15 cm');
  await put('fold line', 0.4, 0.45);
  await page.getByLabel('One end: from the bottom').fill('1/2 in');
  await page.getByLabel('Other end: from the bottom').fill('1/2 in');
  await put('quarter points of an edge', 0.5, 0.93);
  await expect(marks.getByRole('button', { name: /^Quarter point,/ })).toHaveCount(3);
  for (const [i, place] of ['75 mm', '15 cm', '22.5 cm'].entries())
    await expect(marks.getByRole('button', { name: /^Quarter point,/ }).nth(i)).toContainText(`${place} in`);
  await pickCloth(page, 'Straw-yellow poplin');
  await page.getByRole('button', { name: 'Add the piece' }).click();
  await expect(page.getByRole('heading', { name: /behind “Skirt front”/ })).toBeVisible();
  const id = /projects\/([^/?]+)/.exec(page.url())![1]!;
  const { pieces: kept } = (await (await page.request.get(`/api/projects/${id}/pieces`)).json()) as {
    pieces: { marks: { kind: string; at: number[]; to?: number[] }[] }[];
  };
  const [front, fold] = kept[0]!.marks;
  expect(front!.at[0]! - kept[0]!.marks[2]!.at[0]!).toBeCloseTo(75, 6);
  // Half an inch stays half an inch, from the lower edge on which the quarter points lie.
  expect(fold!.at[1]! - kept[0]!.marks[2]!.at[1]!).toBeCloseTo(12.7, 6);
  expect(fold!.to![1]).toBe(fold!.at[1]);
});

test('several pieces get another cloth at once, which is taken back by one touch; the form shows what is true', async ({
  page,
}) => {
  await open(page, '/projects/tq-waistcoats?stage=pieces');
  await alive(page);
  const clothOf = async () => {
    const { cuts } = (await (await page.request.get('/api/projects/tq-waistcoats/pieces')).json()) as {
      cuts: { clothId: string }[];
    };
    return [...new Set(cuts.map(({ clothId }) => clothId))];
  };
  const before = await clothOf();
  const shown = page.getByRole('group', { name: 'How it is cut' }).getByLabel('Cut from');
  const stood = await shown.inputValue();
  await page.getByRole('button', { name: 'Change several at once' }).click();
  const dialog = page.getByRole('dialog', { name: 'Change several pieces' });
  await dialog.getByRole('button', { name: 'All of them' }).click();
  await pickCloth(dialog, 'Charcoal felted wool');
  await expect(dialog.getByText('4 jobs on them have layers for another cloth and will be asked again.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Change 4 cuts' }).click();
  await expect.poll(async () => (await clothOf()).length).toBe(1);
  await expect(shown).toHaveValue('Charcoal felted wool');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(async () => (await clothOf()).join()).toBe(before.join());
  await expect(shown).toHaveValue(stood);
});

test('a peplum: interfaced all over, and braid in its hem that is as long as the hem', async ({ page }) => {
  await start(page, 'Harbour peplum');
  await page.getByLabel('Name of the piece').fill('Peplum');
  await page.getByLabel('Shape', { exact: true }).selectOption({ label: 'Ring sector' });
  await pickCloth(page, 'Charcoal felted wool');
  await page.getByLabel('It is a').selectOption({ label: 'fitted bodice' });
  await page.getByLabel('Care').selectOption({ label: 'dry-cleaned' });
  await page.getByRole('button', { name: 'Add the piece' }).click();
  await takeFirst(page);

  await anotherJob(page, 'hem', 'flared hem', 'along edges', async () => {
    await expect(page.getByRole('checkbox', { name: 'outer edge' })).toBeChecked();
    await page.getByLabel('How wide').fill('25 mm');
  });
  const stages = page.getByRole('navigation', { name: 'Stages of the project' });
  await page.getByRole('button', { name: 'Put a stack of your own together' }).click();
  const own = page.getByRole('region', { name: 'A stack of your own' });
  await own.getByRole('searchbox').fill('horsehair braid, 25');
  await own.getByRole('button', { name: /^Horsehair braid, 25 mm/ }).click();
  await expect(own.getByText(/of 100/)).toBeVisible();
  for (const stop of await own.getByRole('checkbox', { name: /I know, and take it all the same/ }).all()) await stop.check();
  await own.getByRole('button', { name: 'Take this stack' }).click();
  await expect(page).toHaveURL(/stage=scrap/);
  await alive(page);

  // The braid lies along the sewn hem, a seam allowance inside the edge of a quarter of a ring of 320 mm.
  const hem = (Math.PI / 2) * 310;
  await stages.getByRole('button', { name: /Cut/ }).click();
  const tables = page.getByRole('region', { name: 'Cutting tables of this project' });
  const [, cm] = /([\d.]+) cm of tape/.exec((await tables.textContent())!)!;
  expect(10 * Number(cm)).toBeGreaterThan(hem - 1);
  expect(10 * Number(cm)).toBeLessThan(hem + 40);
  // What is bought is what is cut.
  await page.getByRole('link', { name: 'What to buy' }).click();
  await expect(
    page.getByRole('listitem').or(page.getByRole('row')).filter({ hasText: 'Horsehair braid, 25 mm' }).first(),
  ).toBeVisible();
});

test('a piece becomes round in one save, though a job lay along an edge that is gone; its notions and care are kept', async ({
  page,
}) => {
  await start(page, 'Round lid');
  await page.getByLabel('Name of the piece').fill('Lid');
  await page.getByLabel('Where', { exact: true }).selectOption({ label: 'along edges' });
  await page.getByRole('checkbox', { name: 'top' }).first().check();
  await pickCloth(page, 'Straw-yellow poplin');
  await page.getByRole('button', { name: 'Add the piece' }).click();
  await expect(page.getByRole('heading', { name: /behind “Lid”/ })).toBeVisible();
  await page
    .getByRole('navigation', { name: 'Stages of the project' })
    .getByRole('button', { name: /Pieces/ })
    .click();
  await page.getByLabel('Shape', { exact: true }).selectOption({ label: 'Circle' });
  await page.getByRole('button', { name: 'Save the piece' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();

  await page.getByRole('button', { name: 'Rename or make more' }).click();
  await page.locator('header').getByLabel('Care').selectOption({ label: 'dry-cleaned' });
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await page.getByText('Notions: none noted').click();
  await page.getByLabel('Notion', { exact: true }).fill('zip, 30 cm');
  await page.getByRole('button', { name: 'Add it' }).click();
  await page.getByRole('checkbox', { name: '1 × zip, 30 cm' }).check();
  await expect(page.getByText('1 notion, 1 there')).toBeVisible();
  await page.reload();
  await alive(page);
  await expect(page.getByText('1 notion, 1 there')).toBeVisible();
  await expect(page.locator('header').getByText('dry-cleaned')).toBeVisible();
});

/** Describes one more piece of a project in hand. */
async function anotherPiece(page: Page, name: string, [width, height]: [string, string], count: string) {
  await pieces(page).getByRole('button', { name: 'Add a piece' }).click();
  await page.getByLabel('Name of the piece').fill(name);
  await page.getByLabel('Width', { exact: true }).fill(width);
  await page.getByLabel('Height', { exact: true }).fill(height);
  await page.getByLabel('How many').fill(count);
}

test('a clutch bag, from an empty project to the last cut-out', async ({ page }) => {
  test.slow();
  await start(page, 'Lantern clutch');
  await page.getByLabel('Name of the piece').fill('Panel');
  await page.getByLabel('Width', { exact: true }).fill('280 mm');
  await page.getByLabel('Height', { exact: true }).fill('180 mm');
  await pickCloth(page, 'Natural duck canvas');
  await page.getByLabel('It is a').selectOption({ label: 'bag panel' });
  await page.getByLabel('How many').fill('2');
  await page.getByRole('button', { name: 'Add the piece' }).click();
  await expect(page.getByRole('heading', { name: 'What to put behind “Panel”' })).toBeVisible();

  // Two outer panels: a firm layer, and wadding that is sprayed on, as two jobs of one cut.
  await takeOwn(page, 'firm non-woven fusible', /^Firm non-woven fusible/i);
  await anotherJob(page, 'padding', 'bag panel', 'all of the piece', async () => undefined);
  await takeOwn(page, 'thin cotton wadding', /^Thin cotton wadding/i, 'held with spray glue');

  // The lining of the same pattern, with a soft woven layer.
  await pieces(page).getByRole('button', { name: 'Cut it from another cloth too' }).click();
  const dialog = page.getByRole('dialog', { name: 'Cut Panel from another cloth' });
  await pickCloth(dialog, 'Straw-yellow poplin');
  await dialog.getByRole('button', { name: 'Cut it so too' }).click();
  await expect(dialog).toBeHidden();
  await anotherJob(page, 'lining', 'bag lining', 'all of the piece', async () => undefined);
  await takeOwn(page, 'light woven fusible', /woven fusible/i);

  // A pocket and a tab with the same firm layer.
  await anotherPiece(page, 'Pocket', ['160 mm', '120 mm'], '1');
  await page.getByRole('button', { name: 'Add the piece' }).click();
  await takeOwn(page, 'firm non-woven fusible', /^Firm non-woven fusible/i);
  await anotherPiece(page, 'Tab', ['120 mm', '60 mm'], '1');
  await page.getByRole('button', { name: 'Add the piece' }).click();
  await takeOwn(page, 'firm non-woven fusible', /^Firm non-woven fusible/i);

  // The firm layer is laid whole, the cloth pieces on it; the table is the person's, the bench goes by it.
  const project = page.url().split('/projects/')[1]!.split('?')[0]!;
  type Kept = { jobs: { id: string; stack: { layers: { materialId: string }[] } }[] };
  const { jobs } = (await (await page.request.get(`/api/projects/${project}/pieces`)).json()) as Kept;
  const firm = jobs[0]!.stack.layers[0]!.materialId;
  const withFirm = jobs.filter(({ stack }) => stack.layers.some(({ materialId }) => materialId === firm));
  expect(withFirm).toHaveLength(3);
  await open(page, `/tables/${project}/layer/${firm}`);
  await page.getByLabel('Way of working').selectOption({ label: 'lay whole cloth pieces on it' });
  await page.getByRole('button', { name: /^(Lay|Look for a shorter)/ }).click();
  await expect(page.getByRole('region', { name: 'What it comes to' })).toContainText(/4 pieces/);
  await expect.poll(async () => {
    const { tables } = (await (await page.request.get(`/api/projects/${project}/tables`)).json()) as { tables: { laid: { placements: unknown[] }[] }[] };
    return tables.flatMap(({ laid }) => laid.flatMap(({ placements }) => placements)).length;
  }).toBe(4); // prettier-ignore

  // All jobs as one batch.
  await open(page, '/bench');
  const next = page.getByRole('region', { name: 'What can be done next' }).getByRole('group', { name: 'Lantern clutch' });
  for (const box of await next.getByRole('checkbox').all()) await box.check();
  await page.getByRole('button', { name: 'Start 5 jobs as one batch' }).click();
  await expect(page).toHaveURL(/\/bench\/[\w-]+$/);
  await alive(page);
  const id = page.url().split('/bench/')[1]!;
  type Run = {
    plan: { sheets: { pieces: { name: string }[] }[]; steps: { title: string; kind: string; on?: number; checks?: string[] }[] };
    state: { step: number };
    finishedAt: string | null;
  };
  const run = async () => (await (await page.request.get(`/api/bench/${id}`)).json()) as Run;
  const { plan } = await run();
  expect(plan.sheets[0]!.pieces.map(({ name }) => name).sort()).toEqual(['Panel 1', 'Panel 2', 'Pocket', 'Tab']);
  const titles = plan.steps.map(({ title }) => title);
  const at = (pattern: RegExp) => titles.findIndex((title) => pattern.test(title));
  expect(at(/lay 4 pieces on firm/)).toBeGreaterThan(-1);
  expect(at(/cut the pieces loose/)).toBeGreaterThan(at(/feel along the edges/));
  expect(at(/spray .*wadding/i)).toBeGreaterThan(at(/cut the pieces loose/));

  // Walked through with the space bar, the clock running forward, until the last piece is cut out.
  await page.clock.install();
  await page.reload();
  await alive(page);
  const out = at(/cut the pieces loose/);
  const shown = async () => Number(/step (\d+) of/.exec((await page.locator('header').textContent())!)![1]) - 1;
  for (let now = await shown(); now < out; now = await shown()) {
    const { kind, checks = [] } = plan.steps[now]!;
    if (checks.length > 3) await page.getByRole('button', { name: `All ${checks.length} are right` }).click({ force: true });
    else for (const check of checks) await page.getByRole('checkbox', { name: check, exact: true }).check({ force: true });
    // A box that has the focus takes the space bar for itself.
    await page.evaluate(() => (document.activeElement as HTMLElement).blur());
    await page.keyboard.press('Space');
    if (kind === 'press' || kind === 'wait') await page.clock.fastForward(700_000);
  }
  await expect(page.getByRole('heading', { name: /cut the pieces loose, then out/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /4 pieces on the layer: / })).toBeVisible();
});

test('pieces are put into another order by keys, and a patch is put at a mark by choosing it', async ({ page }) => {
  await open(page, '/projects/tq-waistcoats?stage=pieces');
  await alive(page);
  const names = () => pieces(page).getByRole('heading', { level: 3 }).allTextContents();
  const before = await names();
  await page.getByRole('button', { name: `Drag ${before[0]}` }).focus();
  await page.keyboard.press('ArrowDown');
  await expect.poll(names).toEqual([before[1], before[0], ...before.slice(2)]);
  // Each piece is saved by itself; the page is left when all of them are.
  type Kept = { pieces: { name: string; position: number }[] };
  await expect
    .poll(async () => {
      const { pieces: kept } = (await (await page.request.get('/api/projects/tq-waistcoats/pieces')).json()) as Kept;
      return kept.sort((a, b) => a.position - b.position).map(({ name }) => name)[0];
    })
    .toBe(before[1]);
  await page.reload();
  await alive(page);
  expect(await names()).toEqual([before[1], before[0], ...before.slice(2)]);

  await start(page, 'Tab with a ring');
  await page.getByLabel('Name of the piece').fill('Tab');
  const drawing = page.getByRole('img', { name: /^The piece Tab/ });
  await page.getByLabel('Mark to put on the piece').selectOption({ label: 'snap or ring' });
  const box = (await drawing.boundingBox())!;
  await drawing.click({ position: { x: 0.3 * box.width, y: 0.7 * box.height } });
  await page.getByLabel('Where', { exact: true }).selectOption({ label: 'a patch around a point' });
  await page.getByLabel('At the mark').selectOption({ label: 'snap or ring' });
  await page.getByRole('button', { name: 'Add the piece' }).click();
  // A new project has no cloth yet: that is asked next.
  await expect(page.getByRole('heading', { name: 'Which cloth is “Tab” cut from?' })).toBeVisible();
  const id = /projects\/([^/?]+)/.exec(page.url())![1]!;
  const kept = (await (await page.request.get(`/api/projects/${id}/pieces`)).json()) as {
    pieces: { marks: { at: number[] }[] }[];
    jobs: { place: { at: number[] } }[];
  };
  expect(kept.jobs[0]!.place.at).toEqual(kept.pieces[0]!.marks[0]!.at);
});

test('a curved facing that came out 3 mm long is told so, filed, and remembered for the pair', async ({ page }) => {
  await open(page, '/projects/tq-waistcoats?job=tq-wc-front&stage=file');
  const shape = page.getByRole('group', { name: 'Does it still have its shape?' });
  const along = shape.getByLabel(/^1 Along/);
  const hint = await shape.getByText(/by the pattern$/).first().innerText(); // prettier-ignore
  const centimetres = Number(/^([\d.]+) cm/.exec(hint)![1]);
  await along.fill(`${10 * centimetres + 3} mm`);
  await expect(shape.getByRole('status')).toContainText(/3 mm too long\. Lay the pattern on, trim it/);
  await along.fill(`${10 * centimetres - 3} mm`);
  await expect(shape.getByRole('status')).toContainText(/3 mm short/);
  await page.getByRole('button', { name: 'File it in the logbook' }).click();
  await expect(page.getByRole('heading', { name: 'File another' })).toBeVisible();
  const { log } = (await (await page.request.get('/api/log')).json()) as { log: { shape: { along: number } | null }[] };
  const along100 = log.find((entry) => entry.shape !== null)!.shape!.along;
  expect(Math.abs(along100 - 30 / centimetres)).toBeLessThan(0.05);
  // Choosing for this cloth says so from now on.
  await open(page, '/projects/tq-waistcoats?job=tq-wc-front&stage=choose');
  await page.getByRole('link', { name: 'All reasons, comparison and drape' }).click();
  await expect(page.getByText(/this cloth shrank by .* along the grain on your pieces/).first()).toBeVisible({ timeout: 20_000 });
});

test('pieces come out of a photograph, with their sizes, and are brought in', async ({ page }) => {
  const answer = await page.request.post('/api/projects', { data: { name: 'Pocket patterns' } });
  const { id } = (await answer.json()) as { id: string };
  await open(page, `/projects/${id}`);
  await page.getByRole('button', { name: /^Pieces from a file/ }).click();
  const dialog = page.getByRole('dialog', { name: /^Pieces from a file/ });
  await dialog
    .locator('input[type=file]')
    .first()
    .setInputFiles({ name: 'empty.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') });
  await expect(dialog.getByRole('alert')).toBeVisible();
  await expect(dialog.getByRole('alert')).toHaveText(/must be a whole PNG or JPEG/);
  // One in which there is nothing but the side of a box says why nothing comes of it.
  await dialog.locator('input[type=file]').first().setInputFiles('public/samples/hang.jpg');
  await expect(dialog.getByText(/reaches the picture’s edge and was left out/)).toBeVisible({ timeout: 60_000 });
  await dialog.getByRole('button', { name: 'Try a made-up photograph' }).click();
  await expect(dialog.getByRole('button', { name: 'Bring in 3 pieces' })).toBeVisible({ timeout: 60_000 });
  await expect(dialog.getByText('Take it, 16 × 4 cm')).toBeVisible();
  await expect(dialog.getByLabel('Take 2 notches')).toBeChecked();
  await dialog.getByLabel('Take 1 notch').uncheck();
  // The print was larger than it was said: everything is.
  await dialog.getByLabel('Side of a card’s black square').fill('63 mm');
  await expect(dialog.getByText('Take it, 16.8 × 4.2 cm')).toBeVisible();
  await dialog.getByLabel('Side of a card’s black square').fill('60 mm');
  await dialog.getByLabel('Name of piece 3').fill('Welt');
  await dialog.getByLabel('How many of piece 3').fill('2');
  // A picture that does not belong to the table is refused, and takes nothing away.
  await dialog.getByLabel('The rest of it in a second picture').setInputFiles('public/samples/hang.jpg');
  await expect(dialog.getByRole('alert')).toHaveText(/second photograph must show a card that a picture before it shows too/, { timeout: 60_000 }); // prettier-ignore
  await expect(dialog.getByLabel('Name of piece 3')).toHaveValue('Welt');
  await dialog.getByRole('button', { name: 'Bring in 3 pieces' }).click();
  await expect(dialog).toBeHidden();
  const { pieces } = (await (await page.request.get(`/api/projects/${id}/pieces`)).json()) as { pieces: { name: string; marks: { kind: string }[] }[] }; // prettier-ignore
  expect(pieces.map(({ name }) => name)).toEqual(['Piece 1', 'Piece 2', 'Welt']);
  expect(pieces.map(({ marks }) => marks.map(({ kind }) => kind))).toEqual([['notch', 'notch'], [], []]);
});

test('a strip and a swatch are read off photographs, and kept', async ({ page }) => {
  await open(page, '/cupboard/cloths/tq-harbour-linen?test=overhang');
  const photo = page.getByRole('region', { name: 'By a photograph' });
  await photo.getByRole('button', { name: 'Try a made-up one' }).click();
  await expect(photo.getByText(/^Bending length 2[34]\.\d mm/)).toBeVisible({ timeout: 60_000 });
  await photo.getByLabel('It is the reading').selectOption({ label: 'Across: face up, one end' });
  const { violations } = await new AxeBuilder({ page }).include('[aria-label="By a photograph"]').analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical').map(({ id }) => id)).toEqual([]);
  await photo.getByRole('button', { name: 'Put it in' }).click();
  // It is read as the others are: on the jig.
  const across = page.getByRole('group', { name: 'Across' }).getByLabel('Face up, one end');
  await expect(across).toHaveValue(/^4[78](\.\d)? mm$/);
  await page.getByRole('button', { name: 'Keep these readings' }).click();
  await expect(page.getByText('Kept.')).toBeVisible();
  await open(page, '/cupboard/cloths/tq-harbour-linen?test=see-through');
  await page.getByText('by a photograph with card 8').click();
  await photo.getByRole('button', { name: 'Try a made-up one' }).click();
  await expect(photo.getByText(/^Opacity 7[789] %/)).toBeVisible({ timeout: 60_000 });
  await photo.getByRole('button', { name: 'Put it in' }).click();
  await expect(page.getByText('Sheer: layers must be sheer themselves')).toBeVisible();
  await page.getByRole('button', { name: 'Keep these readings' }).click();
  await expect(page.getByText('Kept.')).toBeVisible();
  const cloth = (await (await page.request.get('/api/cloths/tq-harbour-linen')).json()) as { sheer: string };
  expect(cloth.sheer).toBe('sheer');
});

test('pieces typed in lines, with their linings and folds, in few touches', async ({ page }) => {
  const answer = await page.request.post('/api/projects', { data: { name: 'Tool bag' } });
  const { id } = (await answer.json()) as { id: string };
  await open(page, `/projects/${id}`);
  await page.getByRole('button', { name: 'Pieces typed in lines' }).click();
  const dialog = page.getByRole('dialog', { name: 'Pieces typed in lines' });
  const field = dialog.getByLabel('Pieces', { exact: true });
  await field.fill('2 flap 26 x 16 canvas, lining lawn\ncollar 45x9 fold\n4 tabs 6 x 8 3/8 seam\nwelt 15 by');
  const read = dialog.getByRole('list', { name: 'What was read' });
  await expect(read.getByRole('listitem')).toHaveCount(4);
  await expect(read.getByText(/^2 × Flap, 26 × 16 cm/)).toContainText('lining');
  await expect(read.getByText('write how large it is, such as 26 x 16')).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Add 3 pieces' })).toBeDisabled();
  await field.fill('2 flap 26 x 16 canvas, lining lawn\ncollar 45x9 fold\n4 tabs 6 x 8 3/8 seam\nwelt 15 by 4');
  // A slip of the hand, and a reload: what was typed is there again.
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
  await page.reload();
  await alive(page);
  await page.getByRole('button', { name: 'Pieces typed in lines' }).click();
  await expect(field).toHaveValue(/welt 15 by 4$/);
  await dialog.getByLabel('What Tabs is').selectOption({ label: 'bag strap' });
  const { violations } = await new AxeBuilder({ page }).include('dialog[open]').analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical').map(({ id: rule }) => rule)).toEqual(
    [],
  );
  await dialog.getByRole('button', { name: 'Add 4 pieces' }).click();
  await expect(dialog).toBeHidden();
  const kept = (await (await page.request.get(`/api/projects/${id}/pieces`)).json()) as {
    pieces: { name: string; fold: number | null; allowances: number[] }[];
    cuts: { duty: string; count: number }[];
    jobs: { wish: { role: string } }[];
  };
  expect(kept.pieces.map(({ name, fold }) => [name, fold])).toEqual([
    ['Flap', null],
    ['Collar', 2],
    ['Tabs', null],
    ['Welt', null],
  ]);
  expect(kept.pieces[2]!.allowances[0]).toBeCloseTo(9.525, 6);
  expect(kept.cuts.map(({ duty, count }) => `${count} ${duty}`).sort()).toEqual(['1 shell', '1 shell', '2 lining', '2 shell', '4 shell']); // prettier-ignore
  expect(kept.jobs.map(({ wish }) => wish.role).sort()).toEqual(['bag-strap', 'collar', 'pocket-flap', 'welt']);
});
