import { expect, type Locator, type Page } from '@playwright/test';
import { alive, open, pickCloth } from './open';

/** The pieces of the project that is open. */
export const pieces = (page: Page): Locator => page.getByRole('complementary', { name: 'Pieces of the project' });

/** Starts a project on the screen. @returns its id */
export async function newProject(page: Page, name: string): Promise<string> {
  await open(page, '/projects');
  await page.getByLabel('New project').fill(name);
  await page.getByRole('button', { name: 'Start it' }).click();
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
  await alive(page);
  return page.url().split('/projects/')[1]!.split('?')[0]!;
}

/** Starts a project on the screen, and describes its first piece. */
export async function start(page: Page, name: string): Promise<void> {
  await newProject(page, name);
  await page.getByRole('button', { name: 'Add a piece' }).click();
}

/** Types pieces in lines, one each, and brings them in. */
export async function typePieces(page: Page, lines: readonly string[], roles: Record<string, string> = {}): Promise<void> {
  await page.getByRole('button', { name: 'Pieces typed in lines' }).click();
  const dialog = page.getByRole('dialog', { name: 'Pieces typed in lines' });
  await dialog.getByLabel('Pieces', { exact: true }).fill(lines.join('\n'));
  for (const [piece, role] of Object.entries(roles)) await dialog.getByLabel(`What ${piece} is`).selectOption({ label: role });
  await dialog.getByRole('button', { name: /^Add \d+ pieces?$/ }).click();
  await expect(dialog).toBeHidden();
  await alive(page);
}

/** Makes pieces by a recipe, and adds them. */
export async function byRecipe(page: Page, recipe: string, cloth: string, measures: Record<string, string>): Promise<void> {
  await page.getByRole('button', { name: 'Pieces by a recipe' }).click();
  const dialog = page.getByRole('dialog', { name: 'Pieces by a recipe' });
  await dialog.getByLabel('What is made').selectOption({ label: recipe });
  await pickCloth(dialog, cloth);
  for (const [field, value] of Object.entries(measures)) await dialog.getByLabel(field, { exact: true }).fill(value);
  await dialog.getByRole('button', { name: /^Add \d+ pieces?$/ }).click();
  await expect(dialog).toBeHidden();
  await alive(page);
}

/** Describes one more job on the cut in hand, and saves it. */
export async function anotherJob(
  page: Page,
  name: string,
  role: string,
  where: string,
  size: () => Promise<void>,
): Promise<void> {
  await pieces(page).getByRole('button', { name: 'Another job on it' }).click();
  await page.getByLabel('Called').fill(name);
  await page.getByLabel('It is a').selectOption({ label: role });
  await page.getByLabel('Where', { exact: true }).selectOption({ label: where });
  await size();
  await page.getByRole('button', { name: 'Save the piece' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await page
    .getByRole('navigation', { name: 'Stages of the project' })
    .getByRole('button', { name: /Choose/ })
    .click();
}

/** Takes the first answer. */
export async function takeFirst(page: Page): Promise<void> {
  await page
    .getByRole('button', { name: /^Take / })
    .first()
    .click();
  await expect(page).toHaveURL(/stage=scrap/);
  await alive(page);
}

/** Takes what is planned for all jobs of a project. */
export async function takePlan(page: Page, project: string): Promise<void> {
  await open(page, `/projects/${project}/plan`);
  await page.getByRole('button', { name: 'Take the whole plan' }).click();
  await expect(page.getByText(/took what was planned/)).toBeVisible();
}

export interface PlannedStep {
  id: string;
  kind: string;
  stage: string;
  title: string;
  detail: string;
  safety?: string;
  checks?: string[];
  copies?: number;
}
export interface Planned {
  steps: PlannedStep[];
  sheets?: { pieces: { name: string }[] }[];
}

/**
 * All jobs of a project over the bench, step by step with the space bar while the clock runs forward, every box ticked, and filed as well
 * done. @returns what was planned
 */
export async function throughTheBench(page: Page, name: string): Promise<Planned> {
  await open(page, '/bench');
  const group = page.getByRole('region', { name: 'What can be done next' }).getByRole('group', { name });
  for (const box of await group.getByRole('checkbox').all()) await box.check();
  await page.getByRole('button', { name: /^Start (it at the bench|\d+ jobs as one batch)$/ }).click();
  await expect(page).toHaveURL(/\/bench\/[\w-]+$/);
  await alive(page);
  const id = page.url().split('/bench/')[1]!;
  const { plan } = (await (await page.request.get(`/api/bench/${id}`)).json()) as { plan: Planned };
  await page.clock.install();
  await page.reload();
  await alive(page);
  const shown = async () => Number(/step (\d+) of/.exec((await page.locator('header').textContent())!)![1]) - 1;
  for (let now = 0; now < plan.steps.length; now = await shown()) {
    const { kind, checks = [] } = plan.steps[now]!;
    if (checks.length > 3) {
      const all = page.getByRole('button', { name: `All ${checks.length} are right` });
      if (await all.isVisible()) await all.click({ force: true });
    }
    for (const check of checks) {
      const box = page.getByRole('checkbox', { name: check, exact: true });
      if (!(await box.isChecked())) await box.check({ force: true });
    }
    // A box that has the focus takes the space bar for itself.
    await page.evaluate(() => (document.activeElement as HTMLElement).blur());
    const last = now === plan.steps.length - 1;
    if (last) {
      await page.getByRole('button', { name: /^Finish/ }).last().click(); // prettier-ignore
      break;
    }
    await page.keyboard.press('Space');
    if (kind === 'press' || kind === 'wait') await page.clock.fastForward(20_000_000);
    // What dries until the hand says so is felt.
    const dry = page.getByRole('button', { name: /^It is (dry|right)|^Just damp/ }).first();
    if (kind === 'wait' && (await shown()) === now && (await dry.isVisible())) await dry.click();
  }
  await expect(page.getByRole('heading', { level: 1, name: /(is|are) done$/ })).toBeVisible();
  const allWell = page.getByRole('button', { name: 'All came out well: file them' });
  if (await allWell.isVisible()) {
    await allWell.click();
    await expect(page.getByRole('link', { name: 'To the bench' })).toHaveClass(/btn-primary/);
  } else {
    await page.getByRole('button', { name: 'File it in the logbook' }).click();
    await expect(page).toHaveURL(/stage=file/);
  }
  return plan;
}

/** What the steps say, in one text. */
export const wordsOf = ({ steps }: Planned): string =>
  steps.map(({ title, detail, checks = [] }) => [title, detail, ...checks].join(' ')).join('\n');

/** How many jobs a project has, and how many of them are in the logbook as done well. */
export async function filedOf(page: Page, project: string): Promise<[jobs: number, filed: number]> {
  const { jobs } = (await (await page.request.get(`/api/projects/${project}/pieces`)).json()) as { jobs: { id: string }[] };
  let filed = 0;
  for (const { id } of jobs) {
    const { log } = (await (await page.request.get(`/api/log?job=${id}`)).json()) as { log: { outcome: string; kind: string }[] };
    if (log.some(({ outcome, kind }) => outcome === 'good' && kind === 'piece')) filed += 1;
  }
  return [jobs.length, filed];
}
