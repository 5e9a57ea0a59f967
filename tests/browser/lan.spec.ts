import { expect, test, type Page } from '@playwright/test';
import type { PlannedStep } from './making';
import { alive, open } from './open';

const OUTSIDE = 'https://127.0.0.3:4388';

interface Run {
  id: string;
  steps: PlannedStep[];
}

/** A run of the demo's first job that has two things to tick. */
async function startedRun({ request }: Page): Promise<Run> {
  const { projects } = (await (await request.get('/api/projects')).json()) as { projects: { id: string }[] };
  for (const { id } of projects) {
    const { jobs } = (await (await request.get(`/api/projects/${id}/pieces`)).json()) as {
      jobs: { id: string; stack: unknown }[];
    };
    for (const job of jobs.filter(({ stack }) => stack)) {
      const answer = await request.post(`/api/jobs/${job.id}/bench`);
      if (!answer.ok()) continue;
      const run = (await answer.json()) as { id: string; plan: { steps: PlannedStep[] } };
      if (run.plan.steps.some(({ checks }) => (checks?.length ?? 0) > 1)) return { id: run.id, steps: run.plan.steps };
    }
  }
  throw new Error('No job of the demo can be begun.');
}

/** Goes on at the bench as another tablet would. */
async function goOn({ request }: Page, id: string, step: number): Promise<void> {
  const move = { id: `on-${id}-${step}`, at: new Date().toISOString(), move: { kind: 'next', step } };
  expect((await request.post(`/api/bench/${id}/moves`, { data: { moves: [move] } })).ok()).toBe(true);
}

test('a tablet is paired by the code, works at the same bench, loses the network, catches up, and is shut out', async ({
  page,
  browser,
}) => {
  test.slow();
  // At the computer: a code.
  await open(page, '/settings');
  const house = page.getByRole('region', { name: 'Tablets in the house' });
  await house.getByRole('button', { name: 'Pair a device' }).click();
  const code = (await house.getByLabel(/^Code /).textContent())!.replace(/\s/g, '');
  // At the tablet: nothing but one form, until the code is typed.
  const context = await browser.newContext({
    ignoreHTTPSErrors: true,
    reducedMotion: 'reduce',
    viewport: { width: 1180, height: 820 },
  });
  const tablet = await context.newPage();
  await tablet.goto(`${OUTSIDE}/projects`);
  await expect(tablet.getByRole('heading', { name: 'Pair this device' })).toBeVisible();
  await tablet.getByLabel('Code').fill(code === '123456' ? '654321' : '123456');
  await tablet.getByLabel('What this device is called').fill('ironing board');
  await tablet.getByRole('button', { name: 'Pair it' }).click();
  await expect(tablet.getByRole('alert')).toContainText('not the code');
  await expect(tablet.getByLabel('What this device is called')).toHaveValue('ironing board');
  // Guesses are a second apart; one that came too soon is typed again.
  await expect(async () => {
    await tablet.getByLabel('Code').fill(code);
    await tablet.getByRole('button', { name: 'Pair it' }).click();
    await expect(tablet).toHaveURL(`${OUTSIDE}/`, { timeout: 2000 });
  }).toPass();
  await expect(house.locator('strong', { hasText: 'ironing board' })).toBeVisible();
  // The code is used up.
  await expect(house.getByLabel(/^Code /)).toBeHidden();

  // Both at one bench: what the tablet ticks, the computer sees, with its name.
  const run = await startedRun(page);
  await open(page, `/bench/${run.id}`);
  await tablet.goto(`${OUTSIDE}/bench/${run.id}`);
  await alive(tablet);
  const at = run.steps.findIndex(({ checks }) => (checks?.length ?? 0) > 1);
  for (let step = 0; step < at; step++) await goOn(page, run.id, step);
  const check = run.steps[at]!.checks![0]!;
  await expect(tablet.getByRole('checkbox', { name: check })).toBeVisible();
  await tablet.getByRole('checkbox', { name: check }).check({ force: true });
  await expect(page.getByRole('checkbox', { name: check })).toBeChecked();
  await expect(page.getByText('ticked on “ironing board”')).toBeVisible();

  // The network goes: the tablet goes on, and is heard when it is back.
  const second = run.steps[at]!.checks![1]!;
  await context.setOffline(true);
  await tablet.getByRole('checkbox', { name: second }).check({ force: true });
  await expect(tablet.getByText(/kept on this tablet/)).toBeVisible();
  await expect(page.getByRole('checkbox', { name: second })).not.toBeChecked();
  await context.setOffline(false);
  await expect(page.getByRole('checkbox', { name: second })).toBeChecked();

  // Shut out, it sees the form again.
  await open(page, '/settings');
  await house.getByRole('button', { name: 'Shut out ironing board' }).click();
  await expect(house.locator('strong', { hasText: 'ironing board' })).toBeHidden();
  await tablet.goto(`${OUTSIDE}/bench/${run.id}`);
  await expect(tablet.getByRole('heading', { name: 'Pair this device' })).toBeVisible();
  await context.close();
});
