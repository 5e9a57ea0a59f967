import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { alive, open, still } from './open';

async function seriousFindings(page: Page): Promise<string[]> {
  await still(page);
  const { violations } = await new AxeBuilder({ page }).analyze();
  return violations.filter(({ impact }) => impact === 'serious' || impact === 'critical').map(({ id }) => id);
}
const saved = (page: Page) => expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
const ANCHOR = new URL('../../demo/motifs/lantern-badge.dst', import.meta.url);

/** Share of what the first offered stack bears, as the screen says. */
async function shareOf(page: Page, stack: string): Promise<number> {
  const card = page.getByRole('listitem').filter({ hasText: stack }).filter({ hasText: 'Place it with this' });
  await expect(card.first()).toContainText(/about \d+ %/);
  return Number(/about (\d+) %/.exec(await card.first().innerText())![1]);
}

test('from a stitch file to cloth that stays put, and a next proposal that has learnt', async ({ page }) => {
  test.setTimeout(180_000);
  // 1. A broken file is told apart, a good one is read.
  await open(page, '/hoop');
  const file = page.locator('input[type=file]').first();
  await file.setInputFiles({ name: 'torn.dst', mimeType: 'application/octet-stream', buffer: Buffer.from('LA:torn') });
  await expect(page.getByRole('alert')).toContainText('ends inside its header');
  await file.setInputFiles({ name: 'badge.dst', mimeType: 'application/octet-stream', buffer: readFileSync(ANCHOR) });
  await expect(page).toHaveURL(/\/hoop\/motifs\//);
  await alive(page);
  const figures = page.getByRole('complementary', { name: 'Figures' });
  await expect(figures).toContainText('1,721');
  await page.getByLabel('Sewn up to this stitch').fill('400');
  await page.getByText('Density', { exact: true }).click();
  await expect(page.getByText(/The densest spot has about/)).toBeVisible();

  // 2. What it asks of the poplin: bare too much, carried with a sheet.
  await page.getByLabel('Cloth', { exact: true }).selectOption({ label: 'Straw-yellow poplin' });
  const cards = page.getByRole('listitem').filter({ has: page.getByRole('img', { name: /the ground under the motif/ }) });
  await expect(cards).toHaveCount(4, { timeout: 20_000 });
  expect(await seriousFindings(page)).toEqual([]);
  const offered = cards.nth(1);
  const stack = (await offered.locator('div').first().innerText()).trim();
  const before = await shareOf(page, stack);
  await offered.getByRole('button', { name: 'Place it with this' }).click();
  await expect(page).toHaveURL(/\/hoop\/jobs\//);
  await alive(page);

  // 3. Sixty millimetres from a corner: it cannot be hooped, says why, and the proposed place is taken.
  await page.getByLabel('Hoop', { exact: true }).selectOption({ label: 'Small screw hoop, 10 × 10 cm' });
  await page.getByRole('button', { name: 'In the nearest corner' }).click();
  await expect(page.getByRole('heading', { name: 'It cannot be hooped here' })).toBeVisible();
  await expect(page.getByText(/The clamp hangs \d+ mm over the edge/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'It stays there: prepare it' })).toBeDisabled();
  expect(await seriousFindings(page)).toEqual([]);
  await page.getByRole('region', { name: 'What can be done' }).getByRole('button').first().click();
  await expect(page.getByText('The small screw hoop holds it here.')).toBeVisible();
  // Typed, nudged, dragged off the cloth, taken back.
  await page
    .getByLabel(/^From the/)
    .first()
    .fill('150 mm');
  await page.keyboard.press('Escape');
  const motif = page.getByRole('button', { name: /^The motif/ });
  await motif.focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('The small screw hoop holds it here.')).toBeVisible();
  const box = (await motif.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x - 400, box.y + box.height / 2, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByText(/past the edge of the cloth/)).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('The small screw hoop holds it here.')).toBeVisible();
  await saved(page);
  await page.getByRole('button', { name: 'It stays there: prepare it' }).click();

  // 4. Prepared at the bench: what to cut, how to hoop, checks.
  await expect(page.getByRole('heading', { name: 'In this order' })).toBeVisible();
  await page.getByRole('checkbox', { name: 'Drum tight in every corner' }).check();
  await expect(page.getByText('Hands clear of the moving hoop').first()).toBeVisible();
  expect(await seriousFindings(page)).toEqual([]);
  await page.getByRole('button', { name: /^Sew it/ }).click();

  // 5. The machine: runs to the stop for colour, is left in the middle, goes on after a reload, to the end.
  const machine = page.getByRole('region', { name: 'The machine' });
  await page.getByRole('button', { name: '× 60' }).click();
  const start = machine.getByRole('button', { name: 'Start' });
  /** Starts again after every stop, until the machine says what is waited for. */
  const until = async (words: string) => {
    await expect(async () => {
      if (await machine.getByRole('heading', { name: words }).isVisible()) return;
      if (await start.isVisible()) await start.click();
      await expect(machine.getByRole('heading', { name: words })).toBeVisible({ timeout: 1500 });
    }).toPass({ timeout: 60_000 });
  };
  await until('Change the thread');
  await expect(page.getByText('colour 2 of 4')).toBeVisible();
  await saved(page);
  await page.reload();
  await alive(page);
  await expect(machine.getByRole('heading', { name: 'It goes on where it stood' })).toBeVisible();
  await expect(page.getByText('colour 2 of 4')).toBeVisible();
  expect(await seriousFindings(page)).toEqual([]);
  await page.getByRole('button', { name: '× 60' }).click();
  await until('It is sewn');
  await machine.getByRole('button', { name: 'Check it' }).click();

  // 6. Checked, filed, and in the logbook; the next proposal for this cloth has changed.
  await page.getByText('Tunnel or pucker round the fill').click();
  await expect(page.getByText('One layer more, or a lighter fill. Hoop tighter.')).toBeVisible();
  await page.getByLabel('On the whole it came out').selectOption({ label: 'badly' });
  await page.getByRole('button', { name: 'File it' }).click();
  await expect(page.getByText(/^Filed on/)).toBeVisible();
  await expect(page.getByText('One layer more, or a lighter fill. Hoop tighter.')).toBeVisible();
  expect(await seriousFindings(page)).toEqual([]);
  const motifUrl = await page.getByRole('link', { name: 'See it' }).getAttribute('href');
  await open(page, '/logbook');
  await expect(page.getByText('Tunnel or pucker round the fill').first()).toBeVisible();
  await open(page, motifUrl!);
  await expect(page.getByText(/about \d+ %/).first()).toBeVisible({ timeout: 20_000 });
  const names = await page.getByRole('listitem').filter({ hasText: 'Place it with this' }).allInnerTexts();
  // Either it no longer leads, or it is said to bear less.
  if (names[0]!.split('\n')[0] === stack) expect(await shareOf(page, stack)).toBeGreaterThan(before);
  else expect(names[0]!.split('\n')[0]).not.toBe(stack);
});

test('a hoop is measured, with a slip; cloth that a hoop marks floats at once', async ({ page }) => {
  await open(page, '/hoop');
  await page.getByRole('button', { name: 'Add a hoop' }).click();
  const dialog = page.getByRole('dialog', { name: 'A hoop' });
  await dialog.getByLabel('Name', { exact: true }).fill('Sleeve hoop');
  await dialog.getByLabel('Field, width').fill('60 mm');
  await dialog.getByLabel('Field, height').fill('2 3/8 in');
  await dialog.getByLabel('Outside, width').fill('70 mm');
  await dialog.getByLabel('Outside, height').fill('100 mm');
  await dialog.getByRole('button', { name: /^Save|^Keep/ }).click();
  await expect(dialog.getByText(/the field and the clamp on both sides/)).toBeVisible();
  await dialog.getByLabel('Outside, width').fill('100 mm');
  await dialog.getByRole('button', { name: /^Save|^Keep/ }).click();
  await expect(page.getByText('Sleeve hoop')).toBeVisible();

  await open(page, '/hoop/motifs/tq-motif-anchor?cloth=tq-sash-velvet');
  await expect(page.getByText(/A hoop would mark this cloth for good/)).toBeVisible();
  await page.getByRole('button', { name: 'Place it with this' }).first().click();
  await expect(page).toHaveURL(/\/hoop\/jobs\//);
  await alive(page);
  await expect(page.getByText(/floated on the sheet/)).toBeVisible();
});

test('two tabs at one hooping: the second is told, and overwrites nothing', async ({ context }) => {
  const [first, second] = [await context.newPage(), await context.newPage()];
  await open(first, '/hoop/jobs/tq-job-banner?stage=prepare');
  await open(second, '/hoop/jobs/tq-job-banner?stage=prepare');
  const kept = first.waitForResponse((response) => response.request().method() === 'PUT' && response.ok());
  await first.getByRole('checkbox', { name: 'Weave still straight' }).check();
  await kept;
  await second.getByRole('checkbox', { name: 'Drum tight in the middle' }).check();
  const dialog = second.getByRole('dialog', { name: 'Changed elsewhere' });
  await expect(dialog).toBeVisible();
  await dialog.getByRole('button', { name: 'Keep the other, drop mine' }).click();
  await expect(second.getByRole('checkbox', { name: 'Weave still straight' })).toBeChecked();
});

test('while a motif is judged on another cloth, the stacks of the last one cannot be taken', async ({ page }) => {
  await open(page, '/hoop/motifs/tq-motif-lantern?cloth=tq-duck');
  const take = page.getByRole('region', { name: /What it asks of/ }).getByRole('button', { name: 'Place it with this' });
  await expect(take.first()).toBeEnabled({ timeout: 30_000 });
  let answer = () => {};
  const held = new Promise<void>((resolve) => (answer = resolve));
  await page.route('**/judge', async (route) => {
    await held;
    await route.continue();
  });
  await page.getByLabel('Cloth', { exact: true }).selectOption({ label: 'Harbour-blue linen-cotton' });
  await expect(page.getByText('Judging …')).toBeVisible();
  for (const button of await take.all()) await expect(button).toBeDisabled();
  answer();
  await expect(page.getByText('Judging …')).toBeHidden();
  await expect(take.first()).toBeEnabled();
});

test('sheets of one’s own: judged beside the others, placed with, and another put together at the hoop', async ({ page }) => {
  await open(page, '/hoop/motifs/tq-motif-lantern?cloth=tq-duck');
  await page.getByLabel('What it is').selectOption({ label: 'a badge' });
  // What is offered first for a badge is three meshes.
  await expect(
    page
      .getByRole('list')
      .getByText(/^3 × .*mesh/i)
      .first(),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Put sheets of your own together' }).click();
  const own = page.getByRole('region', { name: 'Sheets of your own' });
  const add = async (find: string, material: RegExp) => {
    await own.getByRole('searchbox').fill(find);
    await own.getByRole('list', { name: 'What is in the cupboard' }).getByRole('button', { name: material }).first().click();
  };
  await add('firm cut-away, 80', /^Firm cut-away, 80 g/);
  await expect(own.getByText(/% of what it bears/)).toBeVisible();
  expect((await new AxeBuilder({ page }).include('[aria-label="Sheets of your own"]').analyze()).violations).toEqual([]);
  await own.getByRole('button', { name: 'Judge it beside the others' }).click();
  const card = page.getByRole('listitem').filter({ hasText: 'put together by you' });
  await expect(card).toContainText('Firm cut-away, 80 g');
  await card.getByRole('button', { name: 'Place it with this' }).click();
  await expect(page).toHaveURL(/\/hoop\/jobs\//);
  await alive(page);
  const under = page.getByRole('region', { name: 'What goes under it' });
  await expect(under).toContainText('Firm cut-away, 80 g');
  // At the hoop it is asked as the badge that it is.
  await under.getByRole('button', { name: 'Take something else' }).click();
  await expect(under.getByText(/^3 × .*mesh/i).first()).toBeVisible();
  await under.getByRole('button', { name: 'Put sheets of your own together' }).click();
  await add('light mesh', /^Light mesh/);
  await add('light mesh', /^Light mesh/);
  await own.getByLabel('Turned').last().selectOption('45');
  await own.getByRole('button', { name: 'Take this' }).click();
  await expect(under).toContainText(/2 × Light mesh cut-away.*crossed/);
});

test('an SVG outline stands in for a stitch file', async ({ page }) => {
  await open(page, '/hoop');
  await page.getByRole('button', { name: 'From an SVG outline' }).click();
  const dialog = page.getByRole('dialog', { name: 'A motif from outlines' });
  const svg =
    '<svg xmlns="http://www.w3.org/2000/svg" width="60mm" height="60mm" viewBox="0 0 60 60"><circle cx="30" cy="30" r="25"/></svg>';
  await dialog
    .locator('input[type=file]')
    .setInputFiles({ name: 'moon.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(svg) });
  await dialog.getByLabel('Width of the motif').fill('40 mm');
  await dialog.getByLabel('Between rows').fill('0.6 mm');
  await expect(dialog.getByText('It will be 40 × 40 mm.')).toBeVisible();
  expect(await seriousFindings(page)).toEqual([]);
  await dialog.getByRole('button', { name: 'Make the motif' }).click();
  await expect(page).toHaveURL(/\/hoop\/motifs\//);
  await alive(page);
  await expect(page.getByRole('heading', { name: 'moon' })).toBeVisible();
  await expect(page.getByRole('complementary', { name: 'Figures' })).toContainText(/40 × (39|40) mm/);
});

/** A hooping made by a script, as an assistant would. */
async function jobOf(page: Page, fields: object): Promise<string> {
  const answer = await page.request.post('/api/hoopings', {
    data: { name: 'Of a script', ground: { outline: [[0, 0], [520, 0], [520, 760], [0, 760]] }, place: { x: 260, y: 300, angle: 0 }, ...fields }, // prettier-ignore
  });
  expect(answer.status()).toBe(201);
  return ((await answer.json()) as { id: string }).id;
}

test('a strip holds the clamp and leaves every measure as it was; seams keep the clamp away', async ({ page }) => {
  await open(page, '/hoop/jobs/tq-job-napkins');
  await expect(page.getByLabel('From the left edge')).toHaveValue('60 mm');
  await page.getByRole('button', { name: /^Sew on a strip/ }).click();
  await expect(page.getByText('The small screw hoop holds it here.')).toBeVisible();
  await expect(page.getByLabel('From the left edge')).toHaveValue('60 mm');
  await expect(page.getByLabel('From the lower edge')).toHaveValue('60 mm');
  await expect(page.getByText(/strips? of waste cloth basted on/)).toBeVisible();
  await page.getByRole('tab', { name: /Prepare/ }).click();
  await expect(page.getByRole('heading', { name: 'Baste on' })).toBeVisible();
  // Done as the card says, the motif comes to lie where it was wanted: 60 mm from either edge.
  const fold = async (edge: string) => {
    const words = await page
      .getByRole('listitem')
      .filter({ hasText: `from the ${edge} edge.` })
      .textContent();
    const [, figure, unit] = /Fold ([\d.]+) (mm|cm)/.exec(words!)!;
    return Number(figure) * (unit === 'cm' ? 10 : 1);
  };
  const shift = await page.getByText(/^(Turn the design|Move the design)/).textContent();
  const [, right, side, up, way] = /(?:design|it) ([\d.]+) mm to the (right|left) and ([\d.]+) mm (up|down)/.exec(shift!)!;
  const marks = await page.getByText(/^The middle of the hoop goes onto where the folds cross/).textContent();
  const [, turn, sense] = /the hoop turned by (\d+)° (clockwise|counter-clockwise)/.exec(marks!)!;
  const [x, y] = [Number(right) * (side === 'left' ? -1 : 1), Number(up) * (way === 'down' ? -1 : 1)];
  const angle = ((sense === 'clockwise' ? -1 : 1) * Number(turn) * Math.PI) / 180;
  expect((await fold('left')) + x * Math.cos(angle) - y * Math.sin(angle)).toBeCloseTo(60, -0.3);
  expect((await fold('lower')) + x * Math.sin(angle) + y * Math.cos(angle)).toBeCloseTo(60, -0.3);
  await page.getByRole('tab', { name: /Place/ }).click();
  await page.getByRole('button', { name: /^Take (it|them) off$/ }).click();
  await expect(page.getByRole('heading', { name: 'It cannot be hooped here' })).toBeVisible();

  await page.getByRole('button', { name: 'In the middle' }).click();
  await expect(page.getByText('The small screw hoop holds it here.')).toBeVisible();
  await page.getByText('Seams, zips and buttons on it').click();
  await page.getByLabel('So far from it').fill('120 mm');
  await page.getByLabel('So wide').fill('160 mm');
  await page.getByRole('button', { name: 'Put it on' }).click();
  await expect(page.getByText('A seam, button or zip would lie under the clamp.')).toBeVisible();
  await page.getByRole('button', { name: /^Take the last one off/ }).click();
  await expect(page.getByText('The small screw hoop holds it here.')).toBeVisible();
});

test('a motif too large for its hoop comes in parts', async ({ page }) => {
  const id = await jobOf(page, { motifId: 'tq-motif-waves', clothId: 'tq-duck', hoopId: 'tq-hoop-tall' });
  await open(page, `/hoop/jobs/${id}`);
  await expect(page.getByText(/past what the needle reaches/)).toBeVisible();
  const parts = page.getByRole('region', { name: 'Several hoopings' });
  await expect(parts).toContainText('2 hoopings, turned by a quarter');
  const download = page.waitForEvent('download');
  await parts.getByRole('link', { name: 'Part 2' }).click();
  expect(
    readFileSync(await (await download).path())
      .subarray(0, 3)
      .toString(),
  ).toBe('LA:');
  await page.getByRole('button', { name: 'Take the large screw hoop' }).click();
  await expect(page.getByText('The large screw hoop holds it here.')).toBeVisible();
});

test('from a part of a project to a motif on its own piece', async ({ page }) => {
  await open(page, '/projects/tq-gaiters?job=tq-ga-badge&stage=choose');
  await page.getByRole('link', { name: 'To the hoop' }).click();
  await alive(page);
  await expect(page.getByText(/^For Lantern badge/)).toBeVisible();
  await page.getByRole('link', { name: /Lantern badge/ }).last().click(); // prettier-ignore
  await expect(page).toHaveURL(/\/hoop\/motifs\/.*job=tq-ga-badge/);
  await alive(page);
  await expect(page.getByLabel('Cloth', { exact: true })).toHaveValue('tq-gaiter-jersey');
  await page.getByLabel('What it is').selectOption({ label: 'a badge' });
  // What the project has for it stands first; on another cloth it is nobody's choice yet.
  const chosen = page.getByRole('listitem').filter({ hasText: 'as chosen in the project' });
  await expect(chosen).toContainText('2 × Light mesh cut-away, 32 g, crossed');
  await page.getByLabel('Cloth', { exact: true }).selectOption({ label: 'Cotton lawn' });
  await expect(chosen).toHaveCount(0);
  await page.getByLabel('Cloth', { exact: true }).selectOption('tq-gaiter-jersey');
  await chosen.getByRole('button', { name: 'Place it with this' }).click();
  await expect(page).toHaveURL(/\/hoop\/jobs\//);
  await alive(page);
  await expect(page.getByRole('button', { name: 'Take the piece as it is cut' })).toBeVisible();
  const piece = (await (await page.request.get('/api/pieces/tq-ga-badge')).json()) as { shape: { width: number } };
  const width = await page.getByRole('region', { name: 'The cloth' }).getByLabel('Width').inputValue();
  expect(width.startsWith(String(piece.shape.width)) || width.startsWith(String(piece.shape.width / 10))).toBe(true);
});

test('a set in pairs, looked at again after the wash', async ({ page }) => {
  const run = { record: 0, stitches: 0, colour: 1, drift: 0, speed: 600, seed: 1, stops: [], done: false, pieces: 1 };
  const id = await jobOf(page, {
    ...{ motifId: 'tq-motif-tern', clothId: 'tq-shirt-lawn', hoopId: 'tq-hoop-small', hoopPlace: { x: 260, y: 300, angle: 0 } },
    ...{
      stack: { title: 'Light mesh cut-away, 32 g', layers: [{ materialId: 'light-mesh-cut-away-32-g' }] },
      count: 2,
      pairs: true,
      run,
    },
  });
  await open(page, `/hoop/jobs/${id}`);
  await expect(page.getByText(/Piece 2 of 2/)).toBeVisible();
  await expect(page.getByText(/mirrored: its own card says/)).toBeVisible();

  await open(page, '/hoop/jobs/tq-job-shirt');
  await page.getByText('Dent round the motif after washing').click();
  await expect(page.getByText('Leave 3–6 mm all round.')).toBeVisible();
  await page.getByRole('button', { name: 'File what the wash showed' }).click();
  await expect(page.getByText(/^Looked at after the wash/)).toBeVisible();
  await page.reload();
  await alive(page);
  await expect(page.getByText('Leave 3–6 mm all round.')).toBeVisible();
});
