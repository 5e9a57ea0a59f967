import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { lengthOf, linesOf } from '../files/pdf-lines';
import { alive, open, pickCloth } from './open';

/** A hood side with an opening, a band, and a line that is no piece. */
const HOOD = `<svg xmlns="http://www.w3.org/2000/svg" width="400mm" height="320mm" viewBox="0 0 400 320">
<path id="Hood side" d="M20 280 L20 120 C20 40 90 20 160 30 L230 110 L225 280 Z"/>
<rect id="Hood band" x="260" y="20" width="80" height="240"/><circle cx="300" cy="60" r="12"/>
<path d="M0 0L30 10"/></svg>`;

async function seriousFindings(page: Page): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page }).analyze();
  return violations.filter(({ impact }) => impact === 'serious' || impact === 'critical').map(({ id }) => id);
}

const laidPieces = (page: Page) => page.getByRole('group', { name: 'Cutting table' }).getByRole('button');

test('from a file to cut pieces, and the leftover into the next project', async ({ page }) => {
  // Two projects that use the same cloth and layer.
  const projects: string[] = [];
  for (const name of ['Storm hoods', 'Spare hoods']) {
    const answer = await page.request.post('/api/projects', { data: { name } });
    projects.push(((await answer.json()) as { id: string }).id);
  }

  // 1. The file: preview, scale, which of it are pieces.
  await open(page, `/projects/${projects[0]}?stage=pieces`);
  await page.getByRole('button', { name: 'Pieces from a file' }).click();
  const dialog = page.getByRole('dialog', { name: 'Pieces from a file' });
  await dialog.locator('input[type=file]').setInputFiles({
    name: 'broken.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><path'),
  });
  await expect(dialog.getByRole('alert')).toContainText('not a well-formed SVG');
  // What is drawn once and used twice is two pieces.
  await dialog.locator('input[type=file]').setInputFiles({
    name: 'flaps.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="300mm" height="100mm" viewBox="0 0 300 100"><symbol id="flap"><rect width="120" height="80"/></symbol><use href="#flap"/><use href="#flap" x="150"/></svg>',
    ),
  });
  await expect(dialog.getByText('Take it, 12 × 8 cm')).toHaveCount(2);
  await expect(dialog.getByRole('button', { name: 'Bring in 2 pieces' })).toBeVisible();
  await dialog
    .locator('input[type=file]')
    .setInputFiles({ name: 'hood.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(HOOD) });
  await expect(dialog.getByText('A line is not closed and was left out.')).toBeVisible();
  await expect(dialog.getByText('Take it, 21 × 25.2 cm')).toBeVisible();
  await dialog.getByLabel('“Hood side” is this wide').fill('42 cm');
  await expect(dialog.getByText('Take it, 42 × 50.5 cm')).toBeVisible();
  await dialog.getByLabel('“Hood side” is this wide').fill('21 cm');
  await dialog.getByLabel('Seam allowance').fill('12 mm');
  await dialog.getByLabel('They are').selectOption({ label: 'whole panel' });
  await pickCloth(dialog, 'Harbour-blue linen-cotton');
  await dialog.getByLabel('How many of piece 1').fill('6');
  expect(await seriousFindings(page)).toEqual([]);
  await dialog.getByRole('button', { name: 'Bring in 2 pieces' }).click();

  // 2. Both lie there; an edge of its own allowance, by touching it; left and right.
  await page
    .getByRole('group', { name: 'Pieces laid out, to scale' })
    .getByRole('button', { name: /^Hood side/ })
    .click();
  await page.getByRole('button', { name: 'Its measures' }).click();
  await expect(page.getByRole('heading', { name: 'The piece “Hood side”' })).toBeVisible();
  await page.getByLabel('Edge 1', { exact: true }).fill('20 mm');
  await page.getByRole('checkbox', { name: /Half of them mirrored/ }).check();
  await page.getByRole('button', { name: 'Save the piece' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();

  // 3. Layers for it, and the table.
  await page.getByRole('button', { name: /^3 Choose/ }).click();
  await page
    .getByRole('button', { name: /^Take / })
    .first()
    .click();
  await expect(page).toHaveURL(/stage=scrap/);
  await page.getByRole('button', { name: /^\d Cut/ }).click();
  const tables = page.getByRole('region', { name: 'Cutting tables of this project' });
  await tables.getByRole('link', { name: /Harbour-blue/ }).click();
  await alive(page);
  await expect(page.getByText('all 7 pieces')).toBeVisible({ timeout: 20_000 });
  await expect(laidPieces(page)).toHaveCount(7);

  // 4. A piece is dragged beside the cloth: refused for cutting; taken back; dragged and locked, the rest laid anew round it.
  const piece = laidPieces(page).filter({ hasText: 'Hood band' }).first();
  const box = (await piece.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y - 300, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByText('Part of it lies beside the cloth.').or(page.getByText('It lies on another piece.'))).toBeVisible();
  await expect(page.getByRole('button', { name: 'Everything is cut' })).toBeDisabled();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: 'Everything is cut' })).toBeEnabled();
  await piece.focus();
  await page.keyboard.press('k');
  await expect(piece).toHaveAttribute('aria-label', /, locked/);
  const place = await piece.locator('path').first().getAttribute('d');
  await page.keyboard.press('Shift+ArrowRight');
  await page.getByRole('button', { name: 'Lay the others again' }).click();
  await page.getByRole('button', { name: 'Good enough' }).click();
  await expect(page.getByRole('button', { name: 'Lay the others again' })).toBeVisible();
  await expect(page.getByText('all 7 pieces')).toBeVisible();
  expect(await piece.locator('path').first().getAttribute('d')).toBe(place);
  await expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
  const id = /\/tables\/([^/]+)/.exec(page.url())![1]!;
  const { tables: kept } = (await (await page.request.get(`/api/projects/${id}/tables`)).json()) as {
    tables: { laid: { placements: object[] }[]; locked: string[] }[];
  };
  expect(kept[0]!.locked).toHaveLength(1);

  // 5. Prints: the square measures 50 mm in the file.
  await page.getByText('Prints and files').click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Templates at full size' }).click();
  const bytes = readFileSync(await (await download).path());
  expect(linesOf(bytes).filter((line) => Math.abs(lengthOf(line) - 50) < 0.001).length).toBeGreaterThanOrEqual(8);
  await page.getByText('Prints and files').click();

  // 6. Cut: a leftover is put away with its place; the roll is drawn down.
  await page.getByRole('button', { name: 'Everything is cut' }).click();
  const done = page.getByRole('dialog', { name: 'Everything is cut' });
  await expect(done.getByRole('checkbox').first()).toBeChecked();
  await done.getByLabel('Where it is kept').first().fill('hood box');
  expect(await seriousFindings(page)).toEqual([]);
  await done.getByRole('button', { name: 'It is cut' }).click();
  await expect(page.getByText(/^Cut on/)).toBeVisible();
  await open(page, '/cupboard?shelf=stock');
  await expect(page.getByRole('row').filter({ hasText: 'hood box' })).toContainText('Harbour-blue linen-cotton');

  // 7. The next project begins with it.
  const job = { place: { kind: 'usual' }, wish: { role: 'tab', stretch: 'any', care: 'wash-warm' } };
  const cut = { clothId: 'tq-harbour-linen', count: 2, orientation: 'straight', jobs: [job] };
  const shape = { kind: 'rectangle', width: 60, height: 70, corners: [false, false, false, false], corner: 0 };
  await page.request.post(`/api/projects/${projects[1]}/pieces`, {
    data: { name: 'Toggle tab', shape, allowances: [6, 6, 6, 6], fold: null, cuts: [cut] },
  });
  await open(page, `/tables/${projects[1]}/cloth/tq-harbour-linen`);
  for (const box of await page.getByRole('checkbox', { name: /leftover|roll/ }).all()) {
    if (!(await box.evaluate((input) => input.parentElement!.textContent!.includes('hood box')))) await box.uncheck();
  }
  await page.getByRole('button', { name: /Lay them out|Look for a shorter layout/ }).click();
  await expect(page.getByText('The cupboard covers it.')).toBeVisible({ timeout: 20_000 });
  await expect(page.getByText(/Leftover, .*hood box/)).toBeVisible();
});

/** The answer to a save that holds a text. */
const sentWith = (page: Page, text: string) =>
  page.waitForResponse(
    (answer) => answer.ok() && answer.request().method() === 'PUT' && !!answer.request().postData()?.includes(text),
  );

test('how far a layer reaches is set on the screen, typed key by key, and kept', async ({ page }) => {
  const path = '/projects/tq-waistcoats?job=tq-wc-collar&stage=cut';
  await open(page, path);
  const field = page.getByLabel('Trimmed by').first();
  await expect(field).toHaveValue('6 mm');
  const area = page.getByText(/cm² a piece/).first();
  const trimmed = await area.textContent();
  await field.click();
  await field.press('Control+a');
  // Listened for before anything is typed: what stands there is kept while one goes on.
  const first = sentWith(page, '8.5');
  await field.pressSequentially('8.5 mm', { delay: 40 });
  await field.press('Tab');
  await expect(area).not.toHaveText(trimmed!);
  await first;
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await open(page, path);
  await expect(field).toHaveValue('8.5 mm');
  await page.getByLabel('It reaches').first().selectOption({ label: 'a patch around the point' });
  const second = sentWith(page, '"size":40');
  await page.getByLabel('Size', { exact: true }).first().fill('40 mm');
  await page.getByLabel('Size', { exact: true }).first().press('Tab');
  await expect(area).toHaveText(/^16 cm² a piece/);
  await second;
  await open(page, path);
  await expect(area).toHaveText(/^16 cm² a piece/);
  await expect(page.getByLabel('Size', { exact: true }).first()).toHaveValue('40 mm');
});

test('an outline is drawn exactly, with undo, and kept', async ({ page }) => {
  await open(page, '/projects/tq-waistcoats?job=tq-wc-welt&stage=pieces');
  await page.getByRole('button', { name: 'Draw it yourself' }).click();
  const editor = page.getByRole('dialog', { name: 'Outline of Pocket welt' });
  await editor.getByRole('button', { name: 'Edge 1', exact: true }).focus();
  await editor.getByLabel('Length', { exact: true }).fill('6 1/4 in');
  await expect(editor.getByLabel('Length', { exact: true })).toHaveValue('6 1/4 in');
  await editor.getByRole('button', { name: 'Put a corner in' }).click();
  await expect(editor.getByRole('heading', { name: 'Corner 2' })).toBeVisible();
  await editor.getByRole('button', { name: 'Corner 2' }).focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('Shift+ArrowDown');
  await expect(editor.getByLabel('Up', { exact: true })).toHaveValue('-30 mm');
  await page.keyboard.press('Delete');
  await expect(editor.getByText(/^4 corners/)).toBeVisible();
  await editor.getByRole('button', { name: 'Undo' }).click();
  await expect(editor.getByText(/^5 corners/)).toBeVisible();
  expect(await seriousFindings(page)).toEqual([]);
  await editor.getByRole('button', { name: 'Take this outline' }).click();
  await page.getByRole('button', { name: 'Save the piece' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await page.reload();
  await alive(page);
  await expect(page.getByText('5 edges.')).toBeVisible();
  await expect(page.getByText('15.9 × 9 cm as it is cut')).toBeVisible();
});

test('two tabs at one table: the second save shows both and overwrites nothing', async ({ context }) => {
  const first = await context.newPage();
  const second = await context.newPage();
  const path = '/tables/tq-toolroll/cloth/tq-duck';
  await open(first, path);
  await expect(first.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible({ timeout: 20_000 });
  await open(second, path);
  await laidPieces(first).first().focus();
  const kept = first.waitForResponse((response) => response.request().method() === 'PUT' && response.ok());
  await first.keyboard.press('k');
  await kept;
  // The same change on both would be no conflict.
  await laidPieces(second).first().focus();
  await second.keyboard.press('ArrowRight');
  const dialog = second.getByRole('dialog', { name: 'Changed elsewhere' });
  await expect(dialog).toBeVisible();
  await dialog.getByRole('button', { name: 'Keep the other, drop mine' }).click();
  await expect(second.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
});

test('what a cut table did can be taken back', async ({ page }) => {
  await open(page, '/tables/tq-shades/layer/polyester-organza-30-g');
  await expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible({ timeout: 20_000 });
  const stock = async () =>
    (
      (await (await page.request.get('/api/stock')).json()) as { stock: { id: string; length: number; version: number }[] }
    ).stock.map(({ id, length }) => `${id} ${Math.round(length)}`);
  const before = await stock();
  await page.getByRole('button', { name: 'Everything is cut' }).click();
  await page.getByRole('button', { name: 'It is cut' }).click();
  await expect(page.getByText(/^Cut on/)).toBeVisible();
  expect(await stock()).not.toEqual(before);
  await page.getByRole('button', { name: 'Not cut after all' }).click();
  await expect(page.getByRole('button', { name: 'Everything is cut' })).toBeVisible();
  expect(await stock()).toEqual(before);
});

test('pieces that have changed ask to be laid again, and moving one does not hide it', async ({ page }) => {
  await open(page, '/tables/tq-waistcoats/layer/medium-firm-non-woven-fusible-62-g');
  await expect(page.getByRole('button', { name: 'Look for a shorter layout' })).toBeVisible({ timeout: 20_000 });
  await expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible({ timeout: 20_000 });
  const changed = page.getByText(/Pieces have changed since they were laid here/);
  await expect(changed).toBeHidden();
  await page.getByRole('radio', { name: 'down' }).click({ force: true });
  await expect(changed).toBeVisible();
  await expect(page.getByRole('button', { name: 'Everything is cut' })).toBeDisabled();
  await laidPieces(page).first().focus();
  await expect(page.getByRole('region', { name: 'Piece in the hand' })).toBeVisible();
  const kept = page.waitForResponse((response) => response.request().method() === 'PUT' && response.ok());
  await page.keyboard.press('ArrowRight');
  await kept;
  await expect(changed).toBeVisible();
  await page.reload();
  await alive(page);
  await expect(changed).toBeVisible();
  await page.getByRole('button', { name: 'Look for a shorter layout' }).click();
  await page.getByRole('button', { name: 'Good enough' }).click();
  await expect(changed).toBeHidden();
  await expect(page.getByRole('button', { name: 'Everything is cut' })).toBeEnabled();
});

test('a piece without a grain may be tilted to any angle, one with a grain not', async ({ page }) => {
  const inHand = page.getByRole('region', { name: 'Piece in the hand' });
  const layouts = async () => {
    const answer = await page.request.get('/api/projects/tq-waistcoats/tables');
    const { tables } = (await answer.json()) as { tables: { laid: { placements: { rotation: number }[] }[] }[] };
    return tables.flatMap(({ laid }) => laid.flatMap(({ placements }) => placements.map(({ rotation }) => rotation)));
  };
  await open(page, '/tables/tq-waistcoats/cloth/tq-harbour-linen');
  await expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible({ timeout: 20_000 });
  await laidPieces(page).first().focus();
  await expect(inHand.getByRole('button', { name: 'Turn', exact: true })).toBeVisible();
  await expect(inHand.getByRole('button', { name: 'Tilt by 5° to the left' })).toBeHidden();

  await open(page, '/tables/tq-waistcoats/layer/medium-firm-non-woven-fusible-62-g');
  await expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible({ timeout: 20_000 });
  // The last lies on the roll, where there is room; the first may lie on a leftover.
  await laidPieces(page).last().focus();
  // Alone it has room to turn: what lies on another is not kept.
  await inHand.getByRole('button', { name: 'Tilt by 5° to the left' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
  for (let i = 0; i < 40; i++) await page.keyboard.press('Shift+ArrowRight');
  await expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
  const before = await layouts();
  await inHand.getByRole('button', { name: 'Tilt by 5° to the left' }).click();
  await page.keyboard.press('Comma');
  // Each tilt is kept by itself: what counts is what both of them come to.
  await expect
    .poll(async () => {
      const after = await layouts();
      expect(after).toHaveLength(before.length);
      return after.map((rotation, i) => (rotation - before[i]! + 360) % 360).filter((by) => Math.abs(by) > 1e-9);
    })
    .toEqual([10]);
});

test('cloth that lies folded, and a pattern that asks for another width', async ({ page }) => {
  await open(page, '/tables/tq-waistcoats/cloth/tq-harbour-linen');
  await expect(page.getByRole('button', { name: 'Look for a shorter layout' })).toBeVisible({ timeout: 20_000 });
  await page.getByText('Folded lengthwise').click();
  await page.getByRole('button', { name: /Look for a shorter layout|Lay them out/ }).click();
  await page.getByRole('button', { name: 'Good enough' }).click();
  // Half a roll is laid; the leftover, which lies flat, is not used.
  await expect(page.getByText(/^Leftover, /)).toBeHidden();
  await expect(page.getByText(/^all \d+ pieces$|^the one piece$/)).toBeVisible();
  await page.getByText('The pattern asks for another width').click();
  await page.getByLabel('It asks for').fill('1 m');
  await page.getByLabel('At a width of').fill('50 cm');
  // 1 m × 50 cm on 145 cm is 34.5 cm by area, and a tenth more.
  await expect(page.getByText('About 38 cm at 1.45 m, by area and 10 % more.', { exact: false })).toBeVisible();
});

test('what to buy: for one project or several, after what the cupboard covers', async ({ page }) => {
  await open(page, '/buy?project=tq-toolroll');
  const status = page.getByRole('status').filter({ hasText: /to buy, about|covers everything/ });
  await expect(status).toBeVisible({ timeout: 30_000 });
  const duck = page.getByRole('row').filter({ hasText: 'Natural duck canvas' });
  await expect(duck).toContainText('nothing');
  await expect(duck).toContainText('1 of 1 piece');
  const before = await page.getByRole('row').count();
  await page.getByRole('checkbox', { name: 'Stewards’ waistcoats' }).check();
  await expect(status).toBeVisible({ timeout: 30_000 });
  await expect.poll(() => page.getByRole('row').count()).toBeGreaterThan(before);
});

test('a leftover tells what still fits on it, in which project', async ({ page }) => {
  const cloth = 'tq-harbour-linen';
  const data = { kind: 'leftover', ofKind: 'cloth', ofId: cloth, width: 333, length: 222, place: 'by the window' };
  expect((await page.request.post('/api/stock', { data })).status()).toBe(201);
  const { id } = (await (await page.request.post('/api/projects', { data: { name: 'Badge tabs' } })).json()) as { id: string };
  const piece = {
    ...{ name: 'Tab', shape: { kind: 'rectangle', width: 60, height: 80, corners: [false, false, false, false], corner: 0 } },
    ...{ line: 'cut', allowances: [0, 0, 0, 0], fold: null, grain: 0, marks: [] },
    cuts: [{ duty: 'shell', clothId: cloth, count: 30, orientation: 'straight', jobs: [] }],
  };
  expect((await page.request.post(`/api/projects/${id}/pieces`, { data: piece })).status()).toBe(201);
  await open(page, '/cupboard?shelf=stock');
  await page
    .getByRole('row', { name: /33\.3 × 22\.2/ })
    .getByRole('button')
    .first()
    .click();
  await page.getByRole('button', { name: 'What still fits on it?' }).click();
  const fits = page.getByRole('region', { name: 'What still fits on it' });
  const tabs = fits.getByRole('listitem').filter({ hasText: 'Badge tabs' });
  await expect(tabs).toBeVisible();
  // Five beside each other, two above each other; never more than the cloth is large.
  const [, told] = /^(\d+) of 30 Tab/.exec(await tabs.innerText())!;
  expect(Number(told)).toBeGreaterThanOrEqual(8);
  expect(Number(told)).toBeLessThanOrEqual(Math.floor((333 * 222) / (60 * 80)));
  await expect(page.getByRole('button', { name: 'What still fits on it?' })).toBeEnabled({ timeout: 60_000 });
  expect(await seriousFindings(page)).toEqual([]);
  await tabs.getByRole('link', { name: 'Badge tabs' }).click();
  await expect(page).toHaveURL(new RegExp(`/projects/${id}`));
});

test('a leftover out of a photograph keeps its shape and its spots, and all leftovers tell together what fits', async ({
  page,
}) => {
  const errors: string[] = [];
  page.on('pageerror', ({ message }) => errors.push(message));
  await open(page, '/cupboard?shelf=stock');
  await page.getByRole('button', { name: 'Add a roll or leftover' }).click();
  const form = page.getByRole('dialog', { name: 'A roll, sheets or a leftover' });
  await form.getByLabel('Of', { exact: true }).selectOption({ label: 'Harbour-blue linen-cotton' });
  await form.getByRole('button', { name: 'From a photograph' }).click();
  const photo = page.getByRole('dialog', { name: 'The leftover in a photograph' });
  await photo.getByRole('button', { name: 'Try a made-up one' }).click();
  await expect(photo.getByLabel('Keep clear of 2 spots')).toBeChecked({ timeout: 60_000 });
  await expect(photo.getByText(/^4[23](\.\d)? × 3[34](\.\d)? cm$/)).toBeVisible();
  expect(await seriousFindings(page)).toEqual([]);
  // Its grain runs across the picture: a quarter turn.
  await photo.getByRole('button', { name: 'Turn it' }).click();
  await expect(photo.getByText(/^3[34](\.\d)? × 4[23](\.\d)? cm$/)).toBeVisible();
  await photo.getByRole('button', { name: 'Take its shape' }).click();
  await form.getByRole('button', { name: '2 spots in it' }).click();
  const spots = page.getByRole('dialog', { name: 'Spots that may not be used' });
  await expect(spots.getByText(/^2 spots in/)).toBeVisible();
  expect(await seriousFindings(page)).toEqual([]);
  await spots.getByRole('button', { name: 'Leave as it was' }).click();
  await form.getByLabel('Where it is kept').fill('by the red box');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(form).toBeHidden();
  await expect(
    page.getByRole('row', { name: /by the red box/ }).getByRole('img', { name: 'its shape, 2 spots in it' }),
  ).toBeVisible();
  const { stock } = (await (await page.request.get('/api/stock')).json()) as { stock: { place: string; spots: unknown[]; outline: unknown[] }[] }; // prettier-ignore
  const kept = stock.find(({ place }) => place === 'by the red box')!;
  expect([kept.spots.length, kept.outline.length]).toEqual([2, 6]);
  await page.getByRole('button', { name: 'What still fits on the leftovers?' }).click();
  const fits = page.getByRole('region', { name: 'What still fits on the leftovers' });
  await expect(fits.getByRole('heading').first()).toBeVisible({ timeout: 60_000 });
  await expect(fits.getByRole('listitem').first()).toContainText(/^\d+ of \d+ /);
  expect(errors).toEqual([]);
});
