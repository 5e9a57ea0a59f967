import { expect, test } from '@playwright/test';
import { alive, open } from './open';

test('an evening of three projects: planned, run late, planned again, ticked, put into a calendar', async ({ page }) => {
  await open(page, '/bench');
  await page.getByRole('link', { name: 'The working day' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'The working day' })).toBeVisible();
  await alive(page);
  for (const name of ['Pocket welt', 'Crown tip', 'Upper edge'])
    await page.getByRole('checkbox', { name: new RegExp(`^${name}`) }).check();
  const plan = page.getByRole('region', { name: 'The order of work' });
  const heading = plan.getByRole('heading', { level: 2 });
  await expect(heading).toHaveText(/19:00 to \d\d:\d\d/);
  await expect(plan.getByRole('img', { name: /tasks of 3 runs/ })).toBeVisible();
  const minutes = async () => {
    const [, hours, rest] = /to (\d\d):(\d\d)/.exec((await heading.textContent())!)!;
    return Number(hours) * 60 + Number(rest);
  };
  const before = await minutes();

  // What nothing can be done beside is late by a quarter of an hour, and so is everything.
  const wash = plan.getByRole('button', { name: /^Upper edge: .*dries: five minutes more/ });
  for (let i = 0; i < 3; i++) await wash.click();
  await expect.poll(minutes).toBe(before + 15);
  const tasks = await plan.getByRole('listitem').count();
  await plan
    .getByRole('checkbox', { name: /: done$/ })
    .first()
    .click();
  await expect(plan.getByRole('listitem')).toHaveCount(tasks - 1);

  // It is there again after a reload.
  await page.reload();
  await alive(page);
  await expect(plan.getByRole('listitem')).toHaveCount(tasks - 1);

  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Calendar file' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('order-of-work.ics');

  // Evenings of two hours: nothing of a run is left for the next.
  await page.getByLabel('Fit it into').selectOption('120');
  const evening = page.getByRole('region', { name: /^Evening 1 of/ });
  await expect(evening).toBeVisible();
  const order = (await evening.getByRole('listitem').allInnerTexts()).join(' ');

  // The bench follows the plan, on whichever tablet it is opened.
  await open(page, '/bench');
  const now = page.getByRole('region', { name: 'By the plan of the day' });
  await expect(now).toContainText('Now');
  const told = await now.getByRole('link').first().innerText();
  expect(order.replace(/\s+/g, ' ')).toContain(told.replace(/\s+/g, ' '));
  await now.getByRole('link').first().click();
  await expect(page).toHaveURL(/\/(bench\/[\w-]+|day)$/);
});

test('a dark and a light cloth from one bottle: how much, in which order, how long they hang', async ({ page }) => {
  await open(page, '/wet');
  for (const name of ['Charcoal felted wool', 'Straw-yellow poplin']) {
    await page.getByRole('button', { name: 'A length of cloth' }).click();
    const row = page.getByRole('group', { name: /^Length/ }).last();
    await row.getByLabel('Cloth').fill(name);
    await row.getByRole('option', { name, exact: true }).click();
    await row.getByLabel('Long').fill('1 m');
    await row.getByLabel('Wide').fill('1 m');
  }
  const result = page.getByRole('region', { name: /^Liquid stabilizer, wet through/ });
  await expect(result.getByRole('listitem').first()).toContainText('Straw-yellow poplin');
  await expect(result.getByRole('listitem').last()).toContainText('Charcoal felted wool');
  await expect(result.getByRole('listitem').first()).toContainText(/damp in \d+ min, dry in/);

  // Mixed one to three, with a little left in the bottle.
  const bottle = page.getByRole('region', { name: 'The bottle of Liquid stabilizer' });
  await bottle.getByLabel('Strength, % of concentrate').fill('25');
  await bottle.getByLabel('Left in the bottle, ml').fill('20');
  await expect(result).toContainText(/ml of concentrate in .* of water/);
  await expect(page.getByText(/^The bottle of liquid stabilizer is .* short of .*: buy another/)).toBeVisible();

  // The person's own bottle, weighed; it is kept.
  await bottle.getByLabel('Before, g').fill('412');
  await bottle.getByLabel('After 20 pulls, g').fill('388');
  await page.getByRole('button', { name: 'Mine gives 1.20 ml a pull' }).click();
  const kept = async () => (await (await page.request.get('/api/bottles/liquid-stabilizer')).json()) as object;
  await expect.poll(kept).toMatchObject({ mlPerPull: 1.2, strength: 0.25, left: 20 });
});
