import { expect, test, type Page } from '@playwright/test';
import AxeBuilder from '@axe-core/playwright';
import { alive, open, pickCloth, takeOwn } from './open';

interface BenchStep {
  id: string;
  stage: string;
  kind: string;
  title: string;
  copies?: number;
  checks?: string[];
}
interface Run {
  jobId: string;
  version: number;
  plan: { steps: BenchStep[] };
  state: object;
}

const stageBar = (page: Page) => page.getByRole('navigation', { name: 'Stages of the project' });

/** The run that is open on the screen, as the server has it. */
async function runOf(page: Page): Promise<Run> {
  await expect(page).toHaveURL(/\/bench\/[\w-]+$/);
  await alive(page);
  return (await (await page.request.get(`/api/bench/${page.url().split('/bench/')[1]!}`)).json()) as Run;
}

/** Starts a project with one piece on the screen. */
async function pieceOf(
  page: Page,
  project: string,
  piece: { name: string; cloth: string; role: string; many: string; cm: number },
) {
  await open(page, '/projects');
  await page.getByLabel('New project').fill(project);
  await page.getByRole('button', { name: 'Start it' }).click();
  await expect(page.getByRole('heading', { level: 1, name: project })).toBeVisible();
  await alive(page);
  await page.getByRole('button', { name: 'Add a piece' }).click();
  await page.getByLabel('Name of the piece').fill(piece.name);
  await page.getByLabel('Width', { exact: true }).fill(`${piece.cm} cm`);
  await page.getByLabel('Height', { exact: true }).fill(`${piece.cm} cm`);
  await pickCloth(page, piece.cloth);
  await page.getByLabel('It is a').selectOption({ label: piece.role });
  await page.getByLabel('How many').fill(piece.many);
}

/** Reads a pair of strips: how far it could be pulled bare, and now. */
async function readPair(page: Page, name: string, now: string, bare?: string) {
  await page.getByRole('group', { name: /^The scrap/ }).getByRole('button', { name: new RegExp(`^${name}`) }).click(); // prettier-ignore
  await expect(page.getByRole('heading', { name: new RegExp(`^Strips ${name}:`) })).toBeVisible();
  if (bare) await page.getByLabel('Bare: bias pulled').fill(bare);
  await page.getByLabel('Now: bias pulled').fill(now);
  await page.getByRole('button', { name: 'Keep this pair' }).click();
  await expect(page.getByText(`Piece ${name} is kept.`)).toBeVisible();
}

test('twenty-four bias patches: the dose is found on a scrap, then all are sprayed, pressed, cut, and none is forgotten', async ({
  page,
}) => {
  test.slow();
  await pieceOf(page, 'Bunting', { name: 'Patch', cloth: 'Straw-yellow poplin', role: 'bias-cut piece', many: '24', cm: 11 });
  await page.getByLabel('Cut', { exact: true }).selectOption('bias');
  await page.getByRole('button', { name: 'Add the piece' }).click();
  await expect(page.getByRole('heading', { name: 'What to put behind “Patch”' })).toBeVisible();
  await takeOwn(page, 'starch', /^Starch/);

  // Doses by rounds: what gives little enough is found by pulling, and the least of it is taken.
  await page.getByRole('radio', { name: 'doses of the liquid, by rounds' }).check();
  await expect(page.getByText('6 pairs of strips, 5 × 20 cm')).toBeVisible();
  await page.getByRole('button', { name: 'Start the scrap test' }).click();
  await readPair(page, 'A1', '9', '12');
  await readPair(page, 'A2', '8');
  await readPair(page, 'B1', '5');
  await readPair(page, 'C1', '2');
  await expect(page.getByText(/^Best so far: B1, sprayed damp/)).toBeVisible();
  await page.getByRole('checkbox', { name: 'look at it again after a wash' }).uncheck();
  await page.getByRole('button', { name: /^Take B1/ }).click();
  await expect(page.getByRole('button', { name: 'On to cutting' })).toBeVisible();

  // The job has that dose now, and its steps say so: wet, rest, press, then cut, with a tick for each of the twenty-four.
  await stageBar(page).getByRole('button', { name: /Apply/ }).click();
  await expect(page.getByText(/^Spray with starch until it feels wet/).first()).toBeVisible();
  await page.getByRole('button', { name: /^Start at the bench/ }).click();
  const { plan } = await runOf(page);
  const at = (test: (step: BenchStep) => boolean) => plan.steps.findIndex(test);
  const [wet, press, cut] = [
    at(({ id }) => id.endsWith('-wet')),
    at(({ id }) => id.endsWith('-press')),
    at(({ stage }) => stage === 'cut'),
  ];
  expect(wet).toBeGreaterThanOrEqual(0);
  expect(press).toBeGreaterThan(wet);
  expect(cut).toBeGreaterThan(press);
  // Nothing is tapped stop by stop where the iron is simply moved on; no copy is forgotten.
  expect(plan.steps.some(({ kind }) => kind === 'press')).toBe(false);
  const boxes = plan.steps.flatMap((step) => step.checks ?? []).filter((check) => /^Piece \d+ of 24|^Piece \d+/.test(check));
  expect(boxes).toHaveLength(24);
});

test('six napkins: sprayed ahead, dried until the hand says so, misted and pressed, handed to the hoop', async ({ page }) => {
  test.slow();
  await pieceOf(page, 'Harbour supper', {
    ...{ name: 'Napkin', cloth: 'White lawn', role: 'machine embroidery', many: '6', cm: 42 },
  });
  await page.getByRole('button', { name: 'Add the piece' }).click();
  await expect(page.getByRole('heading', { name: 'What to put behind “Napkin”' })).toBeVisible();
  await page.getByRole('button', { name: 'Put a stack of your own together' }).click();
  const own = page.getByRole('region', { name: 'A stack of your own' });
  await own.getByRole('searchbox').fill('starch');
  await own.getByRole('button', { name: /^Starch/ }).first().click(); // prettier-ignore
  await own.getByLabel('Given').selectOption('damp');
  await own.getByRole('searchbox').fill('tear-away');
  await own.getByRole('button', { name: /^Light tear-away/ }).first().click(); // prettier-ignore
  await expect(own.getByText(/of 100/)).toBeVisible();
  await own.getByRole('button', { name: 'Take this stack' }).click();
  await expect(page).toHaveURL(/stage=scrap/);
  await alive(page);
  await stageBar(page).getByRole('button', { name: /Apply/ }).click();
  await page.getByRole('button', { name: /^Start at the bench/ }).click();
  const { plan, jobId: job } = await runOf(page);
  const next = page.getByRole('button', { name: 'Done, next step' });
  const heading = page.getByRole('heading', { level: 2 });
  const upTo = async (words: RegExp) => {
    for (let i = 0; i < plan.steps.length && !words.test(await heading.innerText()); i++) {
      const before = await heading.innerText();
      await next.click();
      await expect(heading).not.toHaveText(before);
    }
    await expect(heading).toHaveText(words);
  };
  await upTo(/^Spray with starch until it feels wet, all pieces/);
  await upTo(/^Let them dry/);
  await page.getByRole('button', { name: 'Start the clock' }).click();
  await expect(page.getByRole('timer')).toBeVisible();
  await page.getByRole('button', { name: 'It is dry already' }).click();
  await expect(heading).toHaveText(/^Mist each with water and press it smooth/);
  await upTo(/^Piece 1 of 6: hoop/);
  // Where it lies in the hoop is one touch away; the bench goes on where it stood.
  const bench = page.url();
  await page.getByRole('link', { name: 'Where it lies in the hoop' }).click();
  await expect(page).toHaveURL(/\/hoop\?job=/);
  await alive(page);
  await expect(page.getByText('Napkin').first()).toBeVisible();
  // The motif is judged with what was chosen, starch and all; taken over, it is a set of six.
  await page.getByRole('link', { name: /Lantern badge/ }).last().click(); // prettier-ignore
  await expect(page).toHaveURL(/\/hoop\/motifs\//);
  await alive(page);
  const chosen = page.getByRole('listitem').filter({ hasText: 'as chosen in the project' });
  await expect(chosen).toContainText(/Starch, sprayed damp \+ Light tear-away/);
  await chosen.getByRole('button', { name: 'Place it with this' }).click();
  await expect(page).toHaveURL(/\/hoop\/jobs\//);
  await alive(page);
  await expect(page.getByLabel('At the same place on')).toHaveValue('6');
  const project = page.getByRole('region', { name: 'In the project' });
  await expect(project).toContainText('has the same under it');
  // Another sheet is taken in the hoop, and goes back; undone, the project has what it had.
  await page.getByRole('button', { name: 'Take something else' }).click();
  const offered = page.getByRole('region', { name: 'What goes under it' }).getByRole('listitem');
  const other = offered.filter({ hasNotText: 'Starch' }).first();
  const title = (await other.locator('span').first().innerText()).trim();
  await Promise.all([page.waitForEvent('load'), other.getByRole('button').click()]);
  await alive(page);
  await project.getByRole('button', { name: 'Put what lies here into the project' }).click();
  await expect(project).toContainText('has the same under it');
  const titleThere = async () =>
    ((await (await page.request.get(`/api/jobs/${job}`)).json()) as { stack: { title: string } }).stack.title;
  expect(await titleThere()).toBe(title);
  await page.getByText('Undo', { exact: true }).click();
  await expect(project.getByRole('button', { name: 'Put what lies here into the project' })).toBeVisible();
  expect(await titleThere()).toContain('Starch, sprayed damp');
  await open(page, bench);
  await expect(heading).toHaveText(/^Piece 1 of 6: hoop/);
  // None is forgotten: each is hooped, stitched and ticked for itself.
  for (const what of ['hoop', 'stitch']) expect(plan.steps.filter(({ id }) => id.startsWith(`${what}#`))).toHaveLength(6);
  expect(plan.steps.flatMap(({ checks = [] }) => checks).filter((check) => /^Piece \d/.test(check))).toHaveLength(6);
});

test('what hangs wet all over is put on a scale: two weighings set the clock, and this cloth’s own pace', async ({ page }) => {
  const { request } = page;
  const { id } = (await (await request.post('/api/projects', { data: { name: 'Printed napkins' } })).json()) as { id: string };
  const piece = {
    ...{
      name: 'Napkin',
      shape: { kind: 'rectangle', width: 450, height: 450, corners: [false, false, false, false], corner: 0 },
    },
    ...{ line: 'cut', allowances: [0, 0, 0, 0], fold: null, grain: 0, marks: [] },
    cuts: [
      {
        ...{ duty: 'shell', clothId: 'tq-duck', count: 2, orientation: 'straight' },
        jobs: [
          {
            place: { kind: 'usual' },
            wish: { role: 'printing', stretch: 'any', care: 'wash-warm' },
            stack: {
              title: 'Starch',
              layers: [{ materialId: 'starch', extent: 'full', angle: 0, join: 'full' }],
              reasons: [],
              cautions: [],
              predicted: { bendingLength: 60, low: 50, high: 70, rigidity: 200, arealDensity: 340, thickness: 0.7 },
            },
          },
        ],
      },
    ],
  };
  const made = await request.post(`/api/projects/${id}/pieces`, { data: piece });
  expect(made.status(), await made.text()).toBe(201);
  const { jobs } = (await made.json()) as { jobs: { id: string }[] };
  await open(page, `/projects/${id}?job=${jobs[0]!.id}&stage=apply`);
  await page.getByRole('button', { name: 'Start at the bench' }).click();
  const run = await runOf(page);
  const hanging = (run.plan.steps as (BenchStep & { dryMass?: number; until?: string })[]).find(({ dryMass }) => dryMass)!;
  await page.clock.install();
  await page.reload();
  await alive(page);
  const weigh = page.getByRole('button', { name: /^(Put it on a scale|Weigh it again)$/ });
  const heading = page.getByRole('heading', { level: 2 });
  for (let i = 0; i < run.plan.steps.length && (await heading.innerText()) !== hanging.title; i++) {
    const before = await heading.innerText();
    await page.getByRole('button', { name: 'Done, next step' }).click();
    await expect(heading).not.toHaveText(before);
  }
  await expect(heading).toHaveText(hanging.title);
  await page.getByRole('button', { name: 'Start the clock' }).click();
  const put = async (grams: number) => {
    await weigh.click();
    await page.getByLabel('All of it weighs, g').fill(String(grams));
    await page.getByRole('button', { name: 'Weighed' }).click();
  };
  const dry = hanging.dryMass!;
  await put(Math.round(2 * dry));
  await expect(page.getByText(/weigh it again in a quarter of an hour/)).toBeVisible();
  await page.clock.fastForward(20 * 60_000);
  await put(Math.round(1.7 * dry));
  // A third of its mass in water is left when drying slows; from 0.7 to that at 0.3 in twenty minutes, then a little more.
  await expect(page.getByText(/^\d+ g\. By the scale about (2[4-9]|3\d) minutes more, until \d+ g\.$/)).toBeVisible();
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);
  await page.clock.fastForward(30 * 60_000);
  await put(Math.round(1.2 * dry));
  await expect(page.getByText(/That is damp enough\./)).toBeVisible();
});
