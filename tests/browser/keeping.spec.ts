import AxeBuilder from '@axe-core/playwright';
import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { PNG } from 'pngjs';
import { codeFiles } from '../files/pdf-codes';
import { alive, open, pickCloth } from './open';

/** A photograph of nothing. */
const blank = () => PNG.sync.write(new PNG({ width: 200, height: 120 }));

/** The notice that offers to take something back. */
const undo = (page: Page) => page.getByRole('button', { name: 'Undo' }).last();

test('a project: started, renamed, deleted, taken back', async ({ page }) => {
  await open(page, '/projects');
  await page.getByPlaceholder('What are you making?').fill('Harbour pennants');
  await page.getByPlaceholder('What are you making?').press('Enter');
  await page.waitForURL(/\/projects\/[^/]+/);
  await alive(page);
  await expect(page.getByText('This project has no pieces yet').or(page.getByLabel('Name of the piece'))).toBeVisible();
  await page.getByRole('button', { name: 'Rename or make more' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Harbour bunting');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Harbour bunting' })).toBeVisible();
  await open(page, '/projects');
  await page.getByRole('button', { name: 'Delete Harbour bunting' }).click();
  await expect(page.getByRole('link', { name: /Harbour bunting/ })).toBeHidden();
  await undo(page).click();
  await expect(page.getByRole('link', { name: /Harbour bunting/ })).toBeVisible();
});

test('a piece: deleted and taken back with its layers', async ({ page }) => {
  await open(page, '/projects/tq-waistcoats?job=tq-wc-welt&stage=choose');
  const parts = page.getByRole('complementary', { name: 'Pieces of the project' });
  await page.getByRole('button', { name: 'Delete Pocket welt' }).click();
  await expect(parts.getByRole('button', { name: /^Pocket welt/ })).toBeHidden();
  await expect(page.getByText('all 4 jobs').first()).toBeVisible();
  await undo(page).click();
  await parts.getByRole('button', { name: /^Pocket welt/ }).click();
  await expect(page.getByRole('heading', { name: /^Chosen:/ })).toBeVisible();
});

test('a bag is packed, labelled, and opened again by its code; a shelf label leads to its cloth', async ({ page }) => {
  const made = await page.request.post('/api/projects', { data: { name: 'Crew tool rolls', makes: 2, notions: [{ name: 'zip', count: 1, there: true }] } }); // prettier-ignore
  const { id } = (await made.json()) as { id: string };
  const shape = { kind: 'rectangle', width: 300, height: 200, corners: [false, false, false, false], corner: 0 };
  const flap = { name: 'Flap', shape, allowances: [10, 10, 10, 10], fold: null, cuts: [{ clothId: 'tq-lining-poplin', count: 2, orientation: 'straight' }] }; // prettier-ignore
  expect((await page.request.post(`/api/projects/${id}/pieces/many`, { data: { pieces: [flap] } })).status()).toBe(201);
  await open(page, `/projects/${id}`);
  await page.getByRole('link', { name: 'Bags', exact: true }).click();
  await page.getByRole('link', { name: /^Bag 2/ }).click();
  await alive(page);
  await page.getByRole('group', { name: 'Flap' }).getByRole('button', { name: 'packed' }).click();
  await page.getByRole('group', { name: 'zip' }).getByRole('button', { name: 'missing' }).click();
  await page.getByLabel('Where it lies').fill('blue basket');
  await page.getByLabel('Where it lies').press('Enter');
  await expect(page.getByRole('status')).toHaveText('1 packed, 1 missing.');
  const labels = await page.request.get(`/api/projects/${id}/kits/labels.pdf`);
  const [, second] = codeFiles(await labels.body());
  // Photographed with a tablet, the label opens its bag, as it was left.
  await open(page, '/scan');
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  await page.getByLabel('Photograph of a code').setInputFiles({ name: 'table.png', mimeType: 'image/png', buffer: blank() });
  await expect(page.getByRole('alert')).toHaveText('No code is seen in it. Take it closer, and level.');
  await page.getByLabel('Photograph of a code').setInputFiles({ name: 'label.png', mimeType: 'image/png', buffer: second! });
  await page.waitForURL(`**/projects/${id}/kits/2`);
  await alive(page);
  await expect(page.getByRole('status')).toHaveText('1 packed, 1 missing.');
  await expect(page.getByLabel('Where it lies')).toHaveValue('blue basket');
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  const shelf = await page.request.get('/api/stock/labels.pdf');
  const [first] = codeFiles(await shelf.body());
  await open(page, '/scan');
  await page.getByLabel('Photograph of a code').setInputFiles({ name: 'roll.png', mimeType: 'image/png', buffer: first! });
  await page.waitForURL(/\/cupboard\/(cloths|layers)\//);
});

test('a logbook entry: taken out and put back where it was', async ({ page }) => {
  await open(page, '/logbook');
  await page.getByLabel('Search').fill('shine');
  const entry = page.getByRole('listitem').filter({ hasText: 'no shine' });
  await entry.getByRole('button', { name: /^Take Front facing/ }).click();
  await expect(entry).toBeHidden();
  await undo(page).click();
  await expect(entry).toBeVisible();
  await page.reload();
  await alive(page);
  await expect(page.getByText('All sixteen in one evening')).toBeVisible();
});

test('the cloth of a piece: another one asks for other layers, and leads to its test bench', async ({ page }) => {
  await open(page, '/projects/tq-toolroll?job=tq-tr-lining&stage=cloth');
  await pickCloth(page, 'Straw-yellow poplin');
  await expect(page.getByRole('img', { name: 'A strip of Straw-yellow poplin over a table edge' })).toBeVisible();
  await page.reload();
  await alive(page);
  await expect(page.getByLabel('Cut from')).toHaveValue('Straw-yellow poplin');
  await page.getByRole('link', { name: 'Test this cloth' }).click();
  await expect(page.getByRole('heading', { name: 'Straw-yellow poplin' })).toBeVisible();
});

test('a test of a cloth: taken back and undone, the readings with it', async ({ page }) => {
  await open(page, '/cupboard/cloths/tq-gaiter-jersey?test=bias');
  const pulled = page.getByLabel('Pulled to');
  const reading = await pulled.inputValue();
  expect(reading).not.toBe('');
  await page.getByRole('button', { name: 'Take the test back' }).click();
  await expect(page.getByText('3 of 11 tests done')).toBeVisible();
  await expect(pulled).toHaveValue('');
  await undo(page).click();
  await expect(page.getByText('4 of 11 tests done')).toBeVisible();
  await expect(pulled).toHaveValue(reading);
});

test('what similar cloths were found to be, and why a figure is what it is', async ({ page }) => {
  await open(page, '/cupboard/cloths/tq-harbour-linen?test=heat');
  await expect(page.getByText(/Of similar cloths, a hot iron: \d of 8/)).toBeVisible();
  await page.getByRole('button', { name: /Let it overhang/ }).click();
  await page.getByText('Why?', { exact: true }).click();
  await expect(page.getByText(/c = √\(c along × c across\)/)).toBeVisible();
});

test('the bench of a scrap: each piece has its own stop and time', async ({ page }) => {
  await page.clock.install();
  await open(page, '/projects/tq-waistcoats?job=tq-wc-collar&stage=scrap');
  await page.getByRole('button', { name: 'Timers at the bench' }).click();
  await page.waitForURL(/\/bench\//);
  await alive(page);
  await expect(page.getByRole('heading', { level: 2 })).toContainText('Cut 9 pieces of 50 × 120 mm');
  await page.getByRole('button', { name: 'Done, next step' }).click();
  for (const [name, seconds] of [
    ['A1', 6],
    ['A2', 10],
    ['A3', 15],
  ] as const) {
    await expect(page.getByRole('heading', { level: 2 })).toContainText(`Piece ${name}:`);
    await expect(page.getByText('Stop 1 of 1')).toBeVisible();
    await page.getByRole('button', { name: 'Set the iron down: start' }).click();
    await expect(page.getByRole('timer')).toHaveText(String(seconds));
    await page.clock.runFor((seconds + 1) * 1000);
  }
  await expect(page.getByRole('heading', { level: 2 })).toContainText('Piece B1:');
});

test('a filed scrap stays as it was read, and another can be tried', async ({ page }) => {
  await open(page, '/projects/tq-waistcoats?job=tq-wc-front&stage=scrap');
  await expect(page.getByRole('heading', { name: /^Piece A2:/ })).toBeVisible();
  await expect(page.getByText('Filed readings stay as they are.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Keep this piece' })).toBeHidden();
  await page.getByRole('button', { name: 'Try another' }).click();
  await expect(page.getByRole('heading', { name: 'Try it on a scrap' })).toBeVisible();
});

test('a due wash is not asked for when its project is gone, and is again when it is back', async ({ page }) => {
  await open(page, '/logbook');
  const wash = page.getByRole('region', { name: 'After the wash' });
  const due = wash.getByRole('listitem').filter({ hasText: 'Look at the scrap' });
  await expect(due).toContainText('Harbour-blue linen-cotton');
  await page.request.delete('/api/projects/tq-waistcoats');
  await open(page, '/logbook');
  await expect(due).toBeHidden();
  await page.request.post('/api/projects/tq-waistcoats/restore');
  await open(page, '/logbook');
  await expect(due).toBeVisible();
});

test('a bundle: saved, brought in again without doubles, a wrong file told apart', async ({ page }) => {
  await open(page, '/settings');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save a bundle' }).click(),
  ]);
  const path = await download.path();
  const bundle = JSON.parse(readFileSync(path, 'utf8')) as Record<string, unknown[]>;
  expect(bundle['scraps']!.length).toBeGreaterThanOrEqual(2);
  expect(bundle['cloths']!.some((cloth) => 'tests' in (cloth as object))).toBe(true);
  const picker = page.getByLabel('Bring a bundle in');
  await picker.setInputFiles({ name: 'bundle.json', mimeType: 'application/json', buffer: readFileSync(path) });
  await expect(page.getByText('All of it was there already. Nothing was changed.')).toBeVisible();
  await picker.setInputFiles({ name: 'notes.json', mimeType: 'application/json', buffer: Buffer.from('dear diary') });
  await expect(page.getByText('That file is not a bundle: it is not valid JSON. Nothing was changed.')).toBeVisible();
  await picker.setInputFiles({ name: 'odd.json', mimeType: 'application/json', buffer: Buffer.from('{"format": "other"}') });
  await expect(page.getByText(/Nothing was changed\.$/)).toBeVisible();
});

test('wishes of the front door are in its address, and hold after a reload', async ({ page }) => {
  await open(page, '/?cloth=tq-harbour-linen');
  await page.getByRole('button', { name: /^Wishes/ }).click();
  await page.getByRole('checkbox', { name: 'use what I have' }).check();
  await page.getByLabel('What comes first').selectOption('cost');
  await page.getByRole('button', { name: /^Pieces/ }).click();
  await page.getByLabel('How many').fill('6');
  await expect(page.getByText(/^For 6 pieces of/)).toBeVisible();
  await expect(page).toHaveURL(/mine=yes/);
  await page.getByPlaceholder('medium woven …').fill('not in your cupboard');
  await expect(page.getByText('Not in your cupboard').first()).toBeVisible();
  const first = await page.getByRole('article').getByRole('heading', { level: 2 }).innerText();
  await page.reload();
  await alive(page);
  await page.getByRole('button', { name: 'Wishes: what I have · cheapest first' }).click();
  await expect(page.getByRole('checkbox', { name: 'use what I have' })).toBeChecked();
  await expect(page.getByLabel('What comes first')).toHaveValue('cost');
  await expect(page.getByText(/^For 6 pieces of/)).toBeVisible();
  await expect(page.getByRole('article').getByRole('heading', { level: 2 })).toHaveText(first);
});

test('a motif that is too dense says so, and what would have to change', async ({ page }) => {
  await open(page, '/?cloth=silk-chiffon&role=embroidery&stitches=16000&care=dry-clean');
  await expect(page.getByText('far too much', { exact: false }).first()).toBeVisible();
  await expect(page.getByText(/% fewer stitches, or the same stitches drawn \d+ % larger/)).toBeVisible();
  await page.getByLabel('Stitches').fill('1500');
  await expect(page.getByText(/carried easily|near the limit/).first()).toBeVisible();
});

test('search from anywhere: a key, a few words, and one is there', async ({ page }) => {
  await open(page, '/remedies');
  await page.keyboard.press('/');
  const field = page.getByRole('combobox', { name: 'Search everything' });
  await expect(field).toBeFocused();
  await field.fill('what was behind the stand collar');
  const found = page.getByRole('listbox', { name: 'Found' });
  await expect(found.getByRole('option').first()).toContainText('Stand collar');
  expect((await new AxeBuilder({ page }).include('dialog[open]').analyze()).violations.map(({ id }) => id)).toEqual([]);
  await field.fill('shine on the cloth');
  await expect(found.getByRole('option').first()).toContainText('Remedy');
  await field.fill('quite unheard of');
  await expect(page.getByText('Nothing has these words.', { exact: false })).toBeVisible();
  await field.fill('stand collar');
  await expect(found.getByRole('option').first()).toContainText('Stand collar');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/projects\/tq-waistcoats\?job=.*stage=choose/);
});

test('a bench that was opened on a device is found there without the network, and goes on', async ({ browser, baseURL }) => {
  const context = await browser.newContext({ serviceWorkers: 'allow', baseURL: baseURL!, reducedMotion: 'reduce' });
  const page = await context.newPage();
  const begun = await page.request.post('/api/jobs/tq-wc-welt/bench', { data: {} });
  expect(begun.ok()).toBe(true);
  const run = (await begun.json()) as { id: string };
  await open(page, `/bench/${run.id}`);
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
    if (!navigator.serviceWorker.controller)
      await new Promise((taken) => navigator.serviceWorker.addEventListener('controllerchange', taken, { once: true }));
  });
  // Opened once more it goes through what is kept on the device.
  await page.reload();
  await alive(page);
  await context.setOffline(true);
  await page.reload();
  await alive(page);
  await expect(page.getByText(/step 1 of/)).toBeVisible();
  await page.getByRole('button', { name: 'Done, next step' }).click();
  await expect(page.getByText(/step 2 of/)).toBeVisible();
  await page.goto('/projects');
  await expect(page.getByRole('heading', { name: 'Nembrel does not answer' })).toBeVisible();
  await context.setOffline(false);
  await open(page, `/bench/${run.id}`);
  await expect(page.getByText(/step 2 of/)).toBeVisible();
  await expect
    .poll(async () => ((await (await page.request.get(`/api/bench/${run.id}`)).json()) as { state: { step: number } }).state.step)
    .toBe(1);
  await context.close();
});

test('the practice house: gone into from the settings, changed, left, begun afresh; one’s own is as it was', async ({ page }) => {
  await open(page, '/settings');
  await page.getByRole('button', { name: 'Go into the practice house' }).click();
  const bar = page.getByRole('complementary', { name: 'Practice house' });
  await expect(bar).toBeVisible({ timeout: 30_000 });
  await alive(page);
  const { violations } = await new AxeBuilder({ page }).include('[aria-label="Practice house"]').analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);
  await page.getByRole('link', { name: 'Projects', exact: true }).click();
  await alive(page);
  await page.getByLabel('New project').fill('Only to try');
  await page.getByLabel('New project').press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'Only to try' })).toBeVisible();
  await expect(bar).toBeVisible();
  await bar.getByRole('link', { name: 'Back to my own house' }).click();
  await alive(page);
  await expect(bar).toBeHidden();
  await open(page, '/projects');
  await expect(page.getByRole('link', { name: /Only to try/ })).toBeHidden();
  await open(page, '/settings');
  await page.getByRole('button', { name: 'Go into the practice house' }).click();
  await expect(bar).toBeVisible();
  await alive(page);
  await Promise.all([page.waitForEvent('load'), bar.getByRole('button', { name: 'Begin it afresh' }).click()]);
  await alive(page);
  await page.getByRole('link', { name: 'Projects', exact: true }).click();
  await expect(page.getByRole('link', { name: /Steward’s cap/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Only to try/ })).toBeHidden();
});
