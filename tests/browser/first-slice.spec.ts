import { expect, test, type Page } from '@playwright/test';
import { alive, open, still } from './open';

test('a new user goes from a piece of cloth to a fused, logged piece', async ({ page }) => {
  // 1. The sentence, and answers from the first paint.
  await open(page, '/');
  const answers = page.getByRole('list', { name: 'Answers, best first' }).getByRole('button');
  await expect(answers.first()).toBeVisible();
  const before = await answers.first().innerText();
  await page.getByLabel('Cloth', { exact: true }).fill('white lawn');
  await page.getByRole('option', { name: 'white lawn' }).click();
  await page.getByLabel('Part', { exact: true }).selectOption({ label: 'collar' });
  await page.getByLabel('Feel').selectOption('crisp');
  await expect(answers.first()).not.toHaveText(before);
  await expect(page.getByText('Look out for')).toBeVisible();

  // Why not: searched among what was ruled out.
  await page.getByPlaceholder('medium woven …').fill('horsehair 25');
  await expect(page.getByText(/Horsehair braid, 25 mm\..*not used for a collar/)).toBeVisible();

  // 2. Into a project, with a size, a rounded corner, seams, grain and fold.
  const title = await page.getByRole('article').getByRole('heading', { level: 2 }).innerText();
  await page.getByRole('button', { name: 'Put it to a project' }).click();
  const dialog = page.getByRole('dialog', { name: 'Put it to a project' });
  await dialog.getByLabel('Project', { exact: true }).selectOption({ label: 'A new project …' });
  await dialog.getByLabel('Name of the new project').fill('Harbour shirt');
  await dialog.getByLabel('Name of the piece').fill('Outer collar');
  await dialog.getByLabel('How many').fill('2');
  await dialog.getByLabel('Shape', { exact: true }).selectOption({ label: 'Rounded corners' });
  await dialog.getByLabel('Width', { exact: true }).fill('9 1/2 in');
  await dialog.getByLabel('Height', { exact: true }).fill('85 mm');
  await dialog.getByLabel('Radius').fill('2 feet');
  await expect(dialog.getByText(/write a length such as/)).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Put it there' })).toBeDisabled();
  await dialog.getByLabel('Radius').fill('25 mm');
  await dialog.getByLabel('On the fold').selectOption({ label: 'left' });
  await dialog.getByLabel('Top', { exact: true }).fill('6 mm');
  await dialog.getByRole('button', { name: 'Put it there' }).click();

  // 3. Cross-section, exact outline; on the cutting table the layout, length to buy, glue side.
  await expect(page.getByRole('heading', { name: 'Harbour shirt' })).toBeVisible();
  await expect(page.getByRole('img', { name: /Cross-section: White lawn/ })).toBeVisible();
  await expect(page.getByText(/cm² a piece/).first()).toBeVisible();
  await page.getByRole('link', { name: new RegExp(title.split(',')[0]!) }).click();
  await alive(page);
  await expect(page.getByRole('heading', { name: /^Cutting table: / })).toBeVisible();
  await expect(page.getByRole('region', { name: 'What it comes to' })).toContainText(/all \d+ pieces.*The cupboard covers it/);
  await expect(page.getByText('face up', { exact: true })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Look for a shorter layout' })).toBeVisible();
  await page.getByRole('radio', { name: 'down' }).click({ force: true });
  await expect(page.getByText('face down', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Look for a shorter layout' }).click();
  await page.getByRole('button', { name: 'Good enough' }).click();
  await expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
  await page.reload();
  await alive(page);
  await expect(page.getByText('face down', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Everything is cut' }).click();
  await page.getByRole('button', { name: 'It is cut' }).click();
  await page.getByRole('link', { name: 'On to the bench' }).click();
  await alive(page);

  // 4. The bench: steps, iron stops with a countdown, resume after a reload, cooling alongside, checks.
  await page.getByRole('button', { name: 'Start at the bench' }).click();
  await expect(page).toHaveURL(/\/bench\//);
  const next = page.getByRole('button', { name: 'Done, next step' });
  const start = page.getByRole('button', { name: 'Set the iron down: start' });
  while (!(await start.isVisible())) {
    await expect(next.or(start)).toBeVisible();
    if (await next.isVisible()) await page.keyboard.press('Space');
    await still(page);
  }
  // Each stop by a tap of its own, as somebody may want it.
  await page.getByRole('button', { name: 'Stops go on' }).click();
  await page.clock.install();
  await page.reload();
  await start.click();
  await expect(page.getByRole('timer')).toBeVisible();
  await page.clock.runFor(4000);
  await expect(page.getByRole('timer')).toHaveText(/^[5-6]$/);
  await page.reload();
  await expect(page.getByRole('timer')).toHaveText(/^[3-6]$/);
  await page.clock.runFor(12_000);
  await expect(page.getByRole('img', { name: /number 2 is next/ })).toBeVisible();
  const pressed: string[] = [];
  for (;;) {
    const aside = page.getByRole('button', { name: 'Let it run, go on' });
    const stop = page.getByRole('button', { name: 'Next stop: start' });
    await expect(aside.or(stop).or(next).or(start)).toBeVisible();
    if (await aside.isVisible()) {
      await aside.click();
      break;
    }
    if (await start.isVisible()) pressed.push(await page.getByRole('heading', { level: 2 }).innerText());
    const pressing = !(await next.isVisible());
    await page.keyboard.press('Space');
    if (pressing) {
      await expect(page.getByRole('timer')).toBeVisible();
      await page.clock.runFor(12_000);
    }
    await still(page);
  }
  // Two collars were asked for: the second is pressed like the first, and cooling comes once, after both.
  expect(pressed).toHaveLength(1);
  expect(pressed[0]).toMatch(/^Piece 2 of 2: press /);
  await expect(page.getByRole('button', { name: /Take it away/ })).toBeVisible();
  for (const box of await page.getByRole('checkbox').all()) await box.check();
  await next.click();
  await expect(page.getByRole('heading', { name: 'Tick each of the 2 pieces that is right' })).toBeVisible();
  await page.getByRole('checkbox', { name: 'Piece 1 of 2' }).check();
  await page.getByRole('checkbox', { name: 'Piece 2 of 2' }).check();
  // What was let run beside still cools: the run ends when somebody says so.
  await expect(page.getByRole('button', { name: 'Something still cools: wait' })).toBeVisible();
  await page.getByRole('button', { name: 'Finish all the same' }).click();

  // 5. Filed, with an overhang reading, seen back on the job and in the logbook.
  await expect(page.getByRole('heading', { name: '“Outer collar” is done' })).toBeVisible();
  await page.getByLabel('Overhang, if you took it').fill('62 mm');
  await expect(page.getByText(/Bending length 31 mm; expected/)).toBeVisible();
  await page.getByLabel('Note to yourself').fill('Points turned cleanly.');
  await page.getByRole('button', { name: 'File it in the logbook' }).click();
  await expect(page.getByText('Points turned cleanly.')).toBeVisible();
  // Filed again in haste: what was not ticked is not called wrong.
  await page.getByRole('button', { name: 'File it in the logbook' }).click();
  await expect(page.getByText(/^Not ticked: Edges hold/)).toBeVisible();
  await page.getByRole('link', { name: 'Logbook' }).click();
  const entry = page.getByRole('listitem').filter({ hasText: 'Points turned cleanly.' });
  await expect(entry).toContainText(title.replace(/\u00a0/g, ' ').split(',')[0]!);
  await expect(entry.getByText(/measured/)).toContainText('31');

  // And the next answer about this cloth knows of it.
  await open(page, '/?cloth=tq-shirt-lawn&hand=crisp');
  const known = page
    .getByRole('button')
    .filter({ hasText: 'in your logbook: tried' })
    .filter({ hasText: title.split(',')[0]! });
  await known.first().click();
  await page.getByText('Where this figure comes from').click();
  await expect(page.getByText(/The model alone says \d+ mm/)).toBeVisible();
});

test('two tabs on one piece: the second save shows both versions and overwrites nothing by itself', async ({ context }) => {
  const first = await context.newPage();
  const second = await context.newPage();
  const address = '/projects/tq-banner?job=tq-ba-tab&stage=pieces';
  await open(first, address);
  await open(second, address);
  const name = (page: typeof first) => page.getByLabel('Name of the piece');
  await name(first).fill('Hanging loop');
  await first.getByRole('button', { name: 'Save the piece' }).click();
  await expect(first.getByText('Saved.')).toBeVisible();
  await name(second).fill('Banner tab');
  await second.getByRole('button', { name: 'Save the piece' }).click();
  const dialog = second.getByRole('dialog', { name: 'Changed elsewhere' });
  await expect(dialog).toContainText('Hanging loop');
  await expect(dialog).toContainText('Banner tab');
  await dialog.getByRole('button', { name: 'Save mine over it' }).click();
  await expect(dialog).toBeHidden();
  await first.reload();
  await expect(name(first)).toHaveValue('Banner tab');
});

test('the cupboard: add with a slip, correct it, delete, undo', async ({ page }) => {
  await open(page, '/cupboard');
  await page.getByRole('button', { name: 'Add a cloth' }).click();
  const dialog = page.getByRole('dialog', { name: 'A new cloth' });
  await dialog.getByLabel('Name').fill('Sailcloth remnant');
  await dialog.getByLabel('Weight').fill('heavy');
  await dialog.getByLabel('Made of').fill('60 linen, 40 cotton');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog.getByText(/write a weight such as/)).toBeVisible();
  await expect(dialog.getByLabel('Made of')).toHaveValue('60 linen, 40 cotton');
  await dialog.getByLabel('Weight').fill('7 oz');
  await dialog.getByLabel('Overhang at 41.5°').fill('2 1/4 in');
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog).toBeHidden();
  await page.getByLabel('Search').fill('sailcloth');
  const row = page.getByRole('row', { name: /Sailcloth remnant/ });
  await expect(row).toContainText('237 g/m²');
  await expect(row).toContainText('29 mm, measured');
  await row.getByRole('button', { name: 'Delete Sailcloth remnant' }).click();
  await expect(row).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row).toBeVisible();
});

test('settings: inches everywhere, and the dark theme at once', async ({ page }) => {
  await open(page, '/settings');
  await page.getByLabel('Measures').selectOption('inch');
  await page.getByLabel('Look').selectOption('lamplight');
  await page.getByRole('button', { name: 'Save the settings' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'lamplight');
  await open(page, '/projects/tq-waistcoats?job=tq-wc-welt&stage=pieces');
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('5 ½ in');
  await open(page, '/settings');
  await page.getByLabel('Measures').selectOption('metric');
  await page.getByLabel('Look').selectOption('workroom');
  await page.getByRole('button', { name: 'Save the settings' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
});

test('from a job to all reasons, and back to it with another answer', async ({ page }) => {
  await open(page, '/projects/tq-banner?job=tq-ba-tab&stage=choose');
  const before = await page.getByRole('heading', { name: /^Chosen:/ }).innerText();
  // What each answer takes stands on its card.
  await expect(page.getByText(/^about .* · (the cupboard has it|buy \d)/).first()).toBeVisible({ timeout: 15_000 });
  await page.getByRole('link', { name: 'All reasons, comparison and drape' }).click();
  await expect(page).toHaveURL(/job=tq-ba-tab/);
  await alive(page);
  const take = page.getByRole('button', { name: /^Take it for “/ });
  await expect(take).toBeVisible();
  // The words of the sentence go with it, and the address keeps where one came from.
  await page.getByLabel('Feel').selectOption('crisp');
  await expect(page).toHaveURL(/hand=crisp.*job=tq-ba-tab/);
  await page.reload();
  await alive(page);
  const answer = page.getByRole('article');
  const title = await answer.getByRole('heading', { level: 2 }).innerText();
  // What it takes is laid out by the true outline of the piece, as on the shopping list.
  await expect(answer.getByText(/^For “.*(the cupboard has it|buy \d+)/)).toBeVisible({ timeout: 15_000 });
  await answer.getByText('How time, cost and length are reckoned').click();
  await expect(answer.getByText(/laid out in its true shape: .* from the cupboard/).first()).toBeVisible();
  await take.click();
  await expect(page).toHaveURL(/\/projects\/tq-banner\?job=tq-ba-tab&stage=scrap/);
  const { wish, stack } = (await (await page.request.get('/api/jobs/tq-ba-tab')).json()) as {
    wish: { hand: string };
    stack: { title: string };
  };
  expect(wish.hand).toBe('crisp');
  expect(stack.title.replace(/\s/g, ' ')).toBe(title.replace(/\s/g, ' '));
  expect(`Chosen: ${title}`).not.toBe(before);
});

/** What can be read before anything was touched: the sentence, the best answer with its reason, and two more. */
async function firstAnswers(page: Page): Promise<string[]> {
  await expect(page.getByText('that should feel')).toBeInViewport();
  const answers = page.getByRole('list', { name: 'Answers, best first' }).getByRole('listitem');
  const titles: string[] = [];
  for (const i of [0, 1, 2]) {
    const answer = answers.nth(i).getByRole('button');
    await expect(answer).toBeInViewport({ ratio: 0.99 });
    titles.push((await answer.innerText()).split('\n')[0]!);
  }
  return titles;
}

for (const [width, height] of [
  [1280, 800],
  [820, 1180],
] as const) {
  test(`the first paint at ${width} × ${height} has the answer, without a script`, async ({ browser }) => {
    const context = await browser.newContext({ javaScriptEnabled: false, viewport: { width, height } });
    const page = await context.newPage();
    await page.goto('/?role=quilt-piece&cloth=quilting-cotton');
    const titles = await firstAnswers(page);
    expect(titles[0]).toMatch(/spray|starch/i);
    expect(new Set(titles).size).toBe(3);
    await context.close();
  });

  test(`one word changed at ${width} × ${height} gives another answer in the same place`, async ({ page }) => {
    await page.setViewportSize({ width, height });
    await open(page, '/?cloth=quilting-cotton&role=collar');
    const before = await firstAnswers(page);
    await page.getByLabel('Part', { exact: true }).selectOption('bag-base');
    const first = page.getByRole('list', { name: 'Answers, best first' }).getByRole('listitem').first();
    await expect(first).not.toContainText(before[0]!);
    const after = await firstAnswers(page);
    expect(after[0]).not.toBe(before[0]);
    expect(after[0]).toMatch(/core|firm/i);
  });
}
