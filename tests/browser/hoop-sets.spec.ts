import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { codeFiles } from '../files/pdf-codes';
import { alive, open } from './open';

const saved = (page: Page) => expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();

async function seriousFindings(page: Page): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page }).analyze();
  return violations.filter(({ impact }) => impact === 'serious' || impact === 'critical').map(({ id }) => id);
}

test('anchors by as many as the hoop holds, sewn in one hooping, from the file to the log', async ({ page }) => {
  test.setTimeout(180_000);
  await open(page, '/hoop/motifs/tq-motif-anchor');
  const fill = page.getByRole('region', { name: 'Fill the hoop' });
  await expect(fill.getByRole('status')).toContainText(/\d+ copies/);
  await fill.getByLabel('Between two of them').fill('4 mm');
  const many = Number(/Make one motif of the (\d+)/.exec(await fill.getByRole('button').innerText())![1]);
  expect(many).toBeGreaterThan(4);
  await fill.getByRole('button', { name: /^Make one motif of the/ }).click();
  await expect(page.getByRole('heading', { level: 1, name: /^\d+ × Little anchor$/ })).toBeVisible();
  await alive(page);

  // On the cloth, with what is offered, in the hoop that it was made for.
  const card = page.getByRole('listitem').filter({ has: page.getByRole('button', { name: 'Place it with this' }) });
  await card.first().getByRole('button', { name: 'Place it with this' }).click();
  await expect(page).toHaveURL(/\/hoop\/jobs\//);
  await alive(page);
  const stays = page.getByRole('button', { name: 'It stays there: prepare it' });
  await page.getByLabel('Width', { exact: true }).fill('60 cm');
  await page.getByLabel('Height', { exact: true }).fill('60 cm');
  await page.getByRole('button', { name: 'In the middle' }).click();
  await expect(stays).toBeEnabled();
  await stays.click();
  const how = page.getByRole('region', { name: 'Card of this piece' });
  await expect(how).toContainText(/Fold it in half/);
  await saved(page);
  await page.getByRole('tab', { name: /Sew/ }).click();
  await page.getByRole('button', { name: 'Sewn on a machine of my own' }).click();

  // What the own machine did, and where it landed.
  const own = page.getByRole('region', { name: 'Piece 1 on my machine' });
  await own.getByLabel('Minutes at the machine').fill('24');
  for (let i = 0; i < 3; i++) await own.getByRole('button', { name: 'Colour 1 broke', exact: true }).click();
  await expect(own).toContainText('a new needle');
  await saved(page);
  await page.reload();
  await alive(page);
  await expect(page.getByLabel('Minutes at the machine')).toHaveValue('24');
  expect(await seriousFindings(page)).toEqual([]);
  await page.getByRole('tab', { name: /Check/ }).click();
  await page.getByLabel('Hoop marks').check();
  const file = page.getByRole('button', { name: 'File it', exact: true });
  await expect(file).toBeDisabled();
  await page.getByLabel('Well all the same').check();
  await file.click();
  await expect(page.getByText(/^Filed on/)).toBeVisible();

  // The next judgement of the cloth says what this one taught.
  await page.getByRole('link', { name: 'See it' }).click();
  await expect(page.getByRole('list', { name: 'What earlier hoopings taught' })).toContainText(
    /Hoop marks on .*: float it this time/,
  );
});

test('a set in pairs: every second piece has a card of its own, one is larger, and what the first landed off is taken back', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await open(page, '/hoop/jobs/tq-job-gaiters?stage=place');
  await page.getByLabel('Half of them mirrored: left and right').check();
  await page.getByLabel('Turned by, degrees').fill('20');
  await page.getByRole('button', { name: 'It stays there: prepare it' }).click();
  const card = page.getByRole('region', { name: 'Card of this piece' });
  await expect(card.getByRole('heading', { level: 2 })).toContainText(/Piece \d of 8/);
  while (!(await card.getByRole('heading', { level: 2 }).innerText()).includes('Piece 1 of 8'))
    await card.getByRole('button', { name: 'The piece before' }).click();
  await expect(card).toContainText('the hoop turned by 20° counter-clockwise');
  await card.getByRole('button', { name: 'The piece after' }).click();
  await expect(card.getByRole('heading', { level: 2 })).toHaveText('Piece 2 of 8, mirrored');
  await expect(card).toContainText('the hoop turned by 20° clockwise');
  await expect(card).toContainText('Mirror the design first, left to right; then it stays in the middle of the field.');
  await card.getByLabel('This piece is wide').fill('56.6 cm');
  await expect(card).toContainText('28.3 cm');
  await saved(page);
  const { sizes } = (await (await page.request.get('/api/hoopings/tq-job-gaiters')).json()) as { sizes: object[] };
  expect(sizes).toEqual([{ copy: 1, width: 566, height: 260 }]);
  // The piece that is in hand came to lie 4 mm too far from its edge: every other card takes it back.
  await page.getByRole('tab', { name: /Sew/ }).click();
  await page.getByRole('button', { name: 'Sewn on a machine of my own' }).click();
  const landing = page.getByRole('region', { name: 'Where it landed' });
  await expect(landing).toContainText('Not read yet.');
  const below = landing.getByLabel(/^From the (lower|upper) edge$/);
  const wanted =
    Number(/([\d.]+) (?:mm|cm)/.exec(await below.inputValue())![1]) * ((await below.inputValue()).includes('cm') ? 10 : 1);
  await below.fill(`${wanted + 4} mm`);
  await expect(landing).toContainText(/too far/);
  await saved(page);
  await page.getByRole('tab', { name: /Prepare/ }).click();
  await expect(card).toContainText(/move it [\d.]+ mm to the (left|right) and [\d.]+ mm (up|down)/i);
  // It was not sewn after all: the piece is to be sewn again, and nothing is taken back any more.
  await page.getByRole('tab', { name: /Sew/ }).click();
  await page.getByRole('button', { name: 'Not sewn after all' }).click();
  await expect(page.getByRole('button', { name: 'Sewn on a machine of my own' })).toBeVisible();
  await saved(page);
  const after = (await (await page.request.get('/api/hoopings/tq-job-gaiters')).json()) as { landed: null; sewn: object[]; run: { pieces: number } }; // prettier-ignore
  expect([after.landed, after.sewn, after.run.pieces]).toEqual([null, [], 3]);
  const pdf = await page.request.get('/api/hoopings/tq-job-gaiters/card.pdf?copy=1');
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
  // Its code, photographed, opens the piece that the card is for.
  await open(page, '/scan');
  const [picture] = codeFiles(await pdf.body());
  await page.getByLabel('Photograph of a code').setInputFiles({ name: 'card.png', mimeType: 'image/png', buffer: picture! });
  await expect(page).toHaveURL(/\/hoop\/jobs\/tq-job-gaiters\?stage=prepare&copy=1$/);
  await alive(page);
  await expect(page.getByRole('heading', { name: /^Piece 2 of/ }).first()).toBeVisible();
});

test('a border in two parts, each hooped by its own card', async ({ page }) => {
  test.setTimeout(120_000);
  await open(page, '/hoop/motifs/tq-motif-waves');
  const offered = page.getByRole('listitem').filter({ has: page.getByRole('button', { name: 'Place it with this' }) });
  await offered.first().getByRole('button', { name: 'Place it with this' }).click();
  await expect(page).toHaveURL(/\/hoop\/jobs\//);
  await alive(page);
  await page.getByLabel('Width', { exact: true }).fill('80 cm');
  await page.getByLabel('Height', { exact: true }).fill('60 cm');
  await page.getByRole('button', { name: 'In the middle' }).click();
  await page.getByLabel('Hoop', { exact: true }).selectOption({ label: 'Small screw hoop, 10 × 10 cm' });
  const parts = page.getByRole('region', { name: 'Several hoopings' });
  await expect(parts.getByRole('img')).toBeVisible();
  const many = await parts.getByRole('listitem').count();
  expect(many).toBeGreaterThan(1);
  await parts.getByRole('button', { name: /^Hoop the \d parts/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(`part 1 of ${many}`);
  await expect(page.getByText(/The last two crosses are for part 2/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Card of this piece' })).toContainText(/Fold/);
  const { hoopings } = (await (await page.request.get('/api/hoopings')).json()) as { hoopings: { name: string }[] };
  expect(hoopings.filter(({ name }) => / part \d of /.test(name)).length).toBe(many);
});

test('a set of a hundred: ticked, sewn and kept, the last like the first', async ({ page }) => {
  const step = { ticks: ['laid'] };
  const answer = await page.request.post('/api/hoopings', {
    data: {
      ...{ name: 'Hundred napkins', motifId: 'tq-motif-anchor', clothId: 'tq-shirt-lawn', hoopId: 'tq-hoop-small' },
      ...{ ground: { outline: [[0, 0], [400, 0], [400, 400], [0, 400]] }, place: { x: 200, y: 200, angle: 0 } }, // prettier-ignore
      ...{ hoopPlace: { x: 200, y: 200, angle: 0 }, count: 100 },
      stack: { title: 'Light mesh cut-away, 32 g', layers: [{ materialId: 'light-mesh-cut-away-32-g' }] },
      prepared: Array.from({ length: 98 }, (_, copy) => ({ copy, ...step })),
      sewn: Array.from({ length: 98 }, (_, copy) => ({ copy, minutes: 9, breaks: [], needles: 0, note: '' })),
      run: { record: 0, stitches: 0, colour: 1, drift: 0, speed: 600, seed: 1, stops: [], done: false, pieces: 98 },
    },
  });
  expect(answer.status()).toBe(201);
  const { id } = (await answer.json()) as { id: string };
  await open(page, `/hoop/jobs/${id}?stage=prepare`);
  await expect(page.getByRole('heading', { name: 'Piece 99 of 100, in this order' })).toBeVisible();
  await page.getByRole('region', { name: /in this order/ }).getByRole('checkbox').first().check(); // prettier-ignore
  await saved(page);
  await page.getByRole('tab', { name: /Sew/ }).click();
  for (const piece of [99, 100]) {
    await page.getByRole('button', { name: 'Sewn on a machine of my own' }).click();
    const own = page.getByRole('region', { name: `Piece ${piece} on my machine` });
    await own.getByLabel('Minutes at the machine').fill('8');
    if (piece === 100) continue;
    // The next one is not prepared yet: that comes first.
    await page.getByRole('button', { name: 'Hoop the next piece' }).click();
    await expect(page.getByRole('heading', { name: 'Piece 100 of 100, in this order' })).toBeVisible();
    await page.getByRole('tab', { name: /Sew/ }).click();
  }
  await saved(page);
  await page.reload();
  await alive(page);
  type Kept = { prepared: unknown[]; sewn: { copy: number; minutes: number }[]; run: { pieces: number } };
  const kept = (await (await page.request.get(`/api/hoopings/${id}`)).json()) as Kept;
  expect([kept.prepared.length, kept.sewn.length, kept.run.pieces]).toEqual([99, 100, 100]);
  expect(kept.sewn.find(({ copy }) => copy === 99)!.minutes).toBe(8);
});

/** From a stitch file to its place in a hoop: on this cloth, with what is offered for it first. */
async function placed(page: Page, cloth: string, [width, height]: [string, string]) {
  await open(page, '/hoop');
  await page.locator('input[type=file]').first().setInputFiles('demo/motifs/lantern-badge.dst');
  await expect(page).toHaveURL(/\/hoop\/motifs\//);
  await alive(page);
  await page.getByLabel('Cloth', { exact: true }).selectOption({ label: cloth });
  const offered = page.getByRole('listitem').filter({ has: page.getByRole('button', { name: 'Place it with this' }) });
  await expect(offered.first()).toBeVisible({ timeout: 20_000 });
  await offered.first().getByRole('button', { name: 'Place it with this' }).click();
  await expect(page).toHaveURL(/\/hoop\/jobs\//);
  await alive(page);
  await page.getByLabel('Width', { exact: true }).fill(width);
  await page.getByLabel('Height', { exact: true }).fill(height);
  await page.getByLabel('Hoop', { exact: true }).selectOption({ label: 'Small screw hoop, 10 × 10 cm' });
}

/** Prepared step by step, sewn on a machine of one’s own, checked and filed: what the steps said. */
async function toTheLog(page: Page): Promise<string> {
  const steps = page.getByRole('region', { name: /in this order/i });
  await expect(steps).toBeVisible();
  for (const box of await steps.getByRole('checkbox').all()) await box.check();
  const said = await steps.innerText();
  expect(await seriousFindings(page)).toEqual([]);
  await steps.getByRole('button', { name: 'Sew it', exact: true }).click();
  await page.getByRole('button', { name: 'Sewn on a machine of my own' }).click();
  await page.getByLabel('Minutes at the machine').fill('11');
  await saved(page);
  await page.getByRole('tab', { name: /Check/ }).click();
  await page.getByRole('button', { name: 'File it', exact: true }).click();
  await expect(page.getByText(/^Filed on/)).toBeVisible();
  return said;
}

test('a towel near its hem: the clamp does not fit there, what is offered instead does, from the file to the log', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await placed(page, 'Terry towelling', ['50 cm', '90 cm']);
  await page.getByRole('button', { name: 'In the middle' }).click();
  // Fifty millimetres from the hem there is no room for half a hoop.
  await page.getByLabel(/^From the (lower|bottom)/).fill('50 mm');
  await page.keyboard.press('Tab');
  const cannot = page.getByRole('heading', { name: 'It cannot be hooped here' });
  const stays = page.getByRole('button', { name: 'It stays there: prepare it' });
  await expect(cannot.or(stays.and(page.locator(':enabled'))).first()).toBeVisible();
  if (await cannot.isVisible()) await page.getByRole('region', { name: 'What can be done' }).getByRole('button').first().click();
  await expect(stays).toBeEnabled();
  await stays.click();
  const said = await toTheLog(page);
  // Loops are held down by a film; what lies under them holds what gives.
  expect(said).toMatch(/film/i);
  expect(said).not.toMatch(/spray with|pressing spray/i);
});

test('a tag of faux leather floats: nothing goes through it but the needle, from the file to the log', async ({ page }) => {
  test.setTimeout(120_000);
  await placed(page, 'Faux leather', ['30 cm', '30 cm']);
  await page.getByRole('button', { name: 'In the middle' }).click();
  await page.getByRole('button', { name: 'It stays there: prepare it' }).click();
  // No crease that would stay, on the screen and on the printed card.
  await expect(page.getByRole('region', { name: 'Card of this piece' })).toContainText('Chalk a line half-way between');
  const said = await toTheLog(page);
  expect(said).toMatch(/Hoop the sheet alone/);
  expect(said).toMatch(/chalk marks/);
  expect(said).not.toMatch(/Crease lightly|pin |basting frame/i);
});

test('an appliqué tells at the machine what the hands do between its colours', async ({ page }) => {
  const answer = await page.request.post('/api/hoopings', {
    data: {
      ...{ name: 'Sail', motifId: 'tq-motif-anchor', clothId: 'tq-shirt-lawn', hoopId: 'tq-hoop-small', role: 'applique' },
      ...{ ground: { outline: [[0, 0], [400, 0], [400, 400], [0, 400]] }, place: { x: 200, y: 200, angle: 0 } }, // prettier-ignore
      ...{ hoopPlace: { x: 200, y: 200, angle: 0 }, count: 1 },
      stack: { title: 'Light mesh cut-away, 32 g', layers: [{ materialId: 'light-mesh-cut-away-32-g' }] },
    },
  });
  expect(answer.status()).toBe(201);
  const { id } = (await answer.json()) as { id: string };
  await open(page, `/hoop/jobs/${id}?stage=sew`);
  const between = page.getByRole('region', { name: 'Between the colours' }).getByRole('listitem');
  await expect(between).toHaveCount(2);
  await expect(between.nth(0)).toContainText('Lay the appliqué cloth over its placing line');
  await expect(between.nth(1)).toContainText('Trim the appliqué');
  expect(await seriousFindings(page)).toEqual([]);
});
