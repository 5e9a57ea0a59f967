import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Locator, type Page } from '@playwright/test';
import { encode } from 'jpeg-js';
import type { At, Light } from '../../scripts/photo-scene';
import { tabletop } from '../files/photo-scenes';
import { alive, open } from './open';

/** Counts what a hand does: each touch, and each field that is typed into. */
function hands(page: Page) {
  let touches = 0;
  return {
    touch: async (what: Locator) => {
      touches += 1;
      await what.click();
    },
    /** Typed, and ended with Enter where that is all that is wanted. */
    type: async (field: Locator, words: string, end?: 'Enter') => {
      touches += 1;
      await field.fill(words);
      if (end) await field.press(end);
    },
    count: () => touches,
    page,
  };
}

const SEVEN = [
  '2 flap 26 x 16 harbour-blue linen-cotton',
  'collar 45x9 harbour-blue linen-cotton, fold',
  '2 stand 46 x 5 harbour-blue linen-cotton',
  '4 cuffs 24 x 7 harbour-blue linen-cotton',
  '2 facings 60 x 8 harbour-blue linen-cotton',
  '4 tabs 6 x 12 harbour-blue linen-cotton',
  'welt 15 by 4 harbour-blue linen-cotton',
];

/** From pieces that are entered to the first stop of the iron: planned, taken, begun, and every step before it done. */
async function toTheIron(page: Page, { touch }: ReturnType<typeof hands>) {
  // Several pieces are seen together, each waiting for its layers.
  const board = page.getByRole('group', { name: 'Pieces laid out, to scale' });
  await expect(board.getByRole('button')).toHaveCount(7);
  await expect(board.getByRole('button', { name: /to choose$/ })).toHaveCount(7);
  await touch(page.getByRole('link', { name: 'Plan all jobs at once' }));
  await alive(page);
  await touch(page.getByRole('button', { name: 'Take the whole plan' }));
  await touch(page.getByRole('link', { name: 'To the bench' }));
  await alive(page);
  // All of them are ticked.
  await touch(page.getByRole('button', { name: 'Start 7 jobs as one batch' }));
  await expect(page).toHaveURL(/\/bench\/[\w-]+$/);
  await alive(page);
  const { plan } = (await (await page.request.get(`/api/bench/${page.url().split('/bench/')[1]}`)).json()) as {
    plan: { steps: { kind: string; title: string; detail: string; checks?: string[] }[] };
  };
  const first = plan.steps.findIndex(({ kind }) => kind === 'press');
  expect(first).toBeGreaterThan(0);
  for (let step = 0; step < first; step++) {
    const checks = plan.steps[step]!.checks ?? [];
    const all = page.getByRole('button', { name: `All ${checks.length} are right` });
    if (checks.length > 3 && (await all.isVisible())) await touch(all);
    else for (const check of checks) await touch(page.getByRole('checkbox', { name: check, exact: true }));
    const waits = page.getByRole('button', { name: 'Let it run, go on' });
    await touch((await waits.isVisible()) ? waits : page.locator('footer').getByRole('button').first());
  }
  await expect(page.getByText(`· step ${first + 1} of ${plan.steps.length}`)).toBeVisible();
  return plan.steps.slice(0, first);
}

test('seven pieces from an empty project to the first stop of the iron, in at most thirty touches', async ({ page }) => {
  const hand = hands(page);
  const { touch, type } = hand;
  await open(page, '/projects');
  await type(page.getByLabel('New project'), 'Seven pieces');
  await touch(page.getByRole('button', { name: 'Start it' }));
  await alive(page);
  await touch(page.getByRole('button', { name: 'Pieces typed in lines' }));
  const dialog = page.getByRole('dialog', { name: 'Pieces typed in lines' });
  await type(dialog.getByLabel('Pieces', { exact: true }), SEVEN.join('\n'));
  await touch(dialog.getByRole('button', { name: 'Add 7 pieces' }));
  await expect(dialog).toBeHidden();
  await toTheIron(page, hand);
  expect(hand.count()).toBeLessThanOrEqual(30);
});

/** Seven pieces of paper on a wooden table, with four cards at its corners. */
function sevenOnATable() {
  const at = (x: number, y: number, width: number, height: number): At[] => [[x, y], [x + width, y], [x + width, y + height], [x, y + height]]; // prettier-ignore
  const outlines = [
    at(110, 300, 180, 90),
    at(310, 310, 170, 60),
    at(110, 190, 120, 80),
    at(260, 200, 110, 70),
    at(400, 190, 90, 90),
    at(130, 90, 150, 60),
    at(320, 80, 140, 70),
  ];
  const colour: Light = [0.86, 0.84, 0.78];
  const { width, height, data } = tabletop({ table: 'wood', pieces: outlines.map((outline) => ({ outline, colour })) });
  return encode({ width, height, data: Buffer.from(data) }, 85).data;
}

test('seven pieces from one photograph to the first stop of the iron, in at most fifteen touches', async ({ page }) => {
  const hand = hands(page);
  const { touch, type } = hand;
  await open(page, '/projects');
  await type(page.getByLabel('New project'), 'Off the table', 'Enter');
  await alive(page);
  await touch(page.getByRole('button', { name: /^Pieces from a file/ }));
  const dialog = page.getByRole('dialog', { name: /^Pieces from a file/ });
  const buffer = sevenOnATable();
  await touch(dialog.getByText('Choose the file'));
  await dialog.locator('input[type=file]').setInputFiles({ name: 'table.jpg', mimeType: 'image/jpeg', buffer });
  await expect(dialog.getByRole('button', { name: 'Bring in 7 pieces' })).toBeVisible({ timeout: 60_000 });
  const called = dialog.getByLabel('Their names, one after the other');
  await called.fill('a, b, c, d, e, f, g, h');
  await expect(dialog.getByText('These are 8 names for 7 pieces.')).toBeVisible();
  await type(called, '2 flaps, collar, 4 cuffs, facing, tab, welt, 2 yokes');
  await expect(dialog.getByLabel('Name of piece 3')).toHaveValue('Cuffs');
  await expect(dialog.getByLabel('How many of piece 3')).toHaveValue('4');
  await type(dialog.getByLabel('Cut from'), 'harbour', 'Enter');
  await expect(dialog.getByLabel('Cut from')).toHaveValue('Harbour-blue linen-cotton');
  await touch(dialog.getByRole('button', { name: 'Bring in 7 pieces' }));
  await expect(dialog).toBeHidden();
  const id = page.url().match(/projects\/([\w-]+)/)![1];
  const { jobs } = (await (await page.request.get(`/api/projects/${id}/pieces`)).json()) as Kept;
  expect(jobs.map(({ wish }) => wish.role).sort()).toEqual(
    ['collar', 'cuff', 'curved-waistband', 'neck-facing', 'pocket-flap', 'tab', 'welt'],
  ); // prettier-ignore
  const steps = await toTheIron(page, hand);
  expect(steps.filter(({ title }) => title === 'Cut for all jobs')).toHaveLength(1);
  expect(hand.count()).toBeLessThanOrEqual(15);
});

interface Kept {
  cuts: { id: string; pieceId: string }[];
  jobs: { id: string; cutId: string; place: { kind: string; edges?: number[]; at?: [number, number] }; wish: { role: string } }[];
}

test('a project opens on its pieces: edge, corner and several pieces are touched, and told what is done there', async ({
  page,
}) => {
  const answer = await page.request.post('/api/projects', { data: { name: 'Laid out' } });
  const { id } = (await answer.json()) as { id: string };
  const rectangle = (name: string, width: number, height: number) => ({
    ...{ name, line: 'cut', allowances: [10, 10, 10, 10], fold: null, grain: 0, marks: [] },
    shape: { kind: 'rectangle', width, height, corners: [false, false, false, false], corner: 0 },
    cuts: [{ duty: 'shell', clothId: 'tq-harbour-linen', own: null, count: 2, pairs: false, oneWay: false, orientation: 'straight', jobs: [] }],
  }); // prettier-ignore
  for (const piece of [rectangle('Apron', 300, 200), rectangle('Bib', 200, 180), rectangle('Strap', 60, 500)])
    expect((await page.request.post(`/api/projects/${id}/pieces`, { data: piece })).status()).toBe(201);
  const kept = async () => (await (await page.request.get(`/api/projects/${id}/pieces`)).json()) as Kept;

  await open(page, `/projects/${id}`);
  const board = page.getByRole('group', { name: 'Pieces laid out, to scale' });
  const laid = (name: string) => board.getByRole('button', { name: new RegExp(`^${name}, 2 times`) });
  // To scale: the strap is 500 × 60 mm and lies along the table, the apron 300 × 200.
  const box = async (name: string) => (await laid(name).locator('path').first().boundingBox())!;
  const [apron, strap] = [await box('Apron'), await box('Strap')];
  expect(strap.width / apron.width).toBeCloseTo(500 / 300, 1);
  expect(strap.height / apron.height).toBeCloseTo(60 / 200, 1);

  // The lower edge, by hand, becomes a hem of its own place.
  await page.mouse.click(apron.x + apron.width / 2, apron.y + apron.height - 1);
  const panel = page.getByRole('region', { name: 'What was touched' });
  await expect(panel.getByRole('heading')).toHaveText('“Apron”: bottom');
  // By keyboard the same: what is touched is ticked by its name, and the focus stays where it is while more is ticked.
  await panel.getByText('Its edges and corners by name').click();
  const named = (name: string) => panel.getByRole('checkbox', { name, exact: true });
  await expect(named('bottom')).toBeChecked();
  await named('top').focus();
  await page.keyboard.press('Space');
  await expect(named('top')).toBeFocused();
  await page.keyboard.press('Space');
  await expect(named('top')).not.toBeChecked();
  // The edge that is touched, as a strip of paper.
  const tape = await page.request.get((await panel.getByRole('link', { name: 'As a paper tape' }).getAttribute('href'))!);
  expect([tape.status(), tape.headers()['content-type'], (await tape.body()).subarray(0, 5).toString()]).toEqual([200, 'application/pdf', '%PDF-']); // prettier-ignore
  await expect(named('corner of left and bottom')).toBeVisible();
  await expect(panel.getByRole('combobox')).toHaveValue('hem');
  await panel.getByRole('button', { name: 'Add this job' }).click();
  await expect(page).toHaveURL(/stage=choose/);
  expect((await kept()).jobs.map(({ place, wish }) => [wish.role, place.kind, place.edges])).toEqual([['hem', 'edges', [0]]]);

  // Back among the pieces: a corner is meant by its sewn point, ten millimetres inside.
  await page.getByRole('button', { name: 'All pieces laid out' }).click();
  await expect(laid('Apron')).toHaveAccessibleName(/to choose$/);
  // The page has moved so that what is told of the touched stands in sight.
  const there = await box('Apron');
  await page.mouse.click(there.x + 1, there.y + there.height - 1);
  await expect(panel.getByRole('heading')).toHaveText('“Apron”: corner of left and bottom');
  await panel.getByRole('combobox').selectOption({ label: 'inner corner' });
  await panel.getByRole('button', { name: 'Add this job' }).click();
  await expect(page).toHaveURL(/stage=choose/);
  const corner = (await kept()).jobs.find(({ place }) => place.kind === 'patch')!;
  expect(corner.place.at![0]).toBeCloseTo(10, 6);
  expect(corner.place.at![1]).toBeCloseTo(10, 6);

  // Several at once, with the keyboard too; what was added goes again by one touch.
  await page.getByRole('button', { name: 'All pieces laid out' }).click();
  await page.getByRole('button', { name: 'Touch several' }).click();
  await laid('Bib').focus();
  await page.keyboard.press('Enter');
  await laid('Strap').click();
  await expect(panel.getByRole('heading')).toHaveText('Bib, all 2 · Strap, all 2');
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical').map(({ id: rule }) => rule)).toEqual(
    [],
  );
  await panel.getByRole('combobox').selectOption({ label: 'bag strap' });
  await panel.getByRole('button', { name: 'Add 2 jobs' }).click();
  await expect(laid('Strap')).toHaveAccessibleName(/to choose$/);
  expect((await kept()).jobs.filter(({ wish }) => wish.role === 'bag-strap')).toHaveLength(2);
  // Nothing that was shown is lost by a reload: the project opens on its pieces again.
  await page.reload();
  await alive(page);
  await expect(laid('Bib')).toHaveAccessibleName(/to choose$/);
  await laid('Bib').click();
  // What is touched may be deleted; what is left can be touched.
  const tree = page.getByRole('complementary', { name: 'Pieces of the project' });
  await tree.getByRole('button', { name: 'Delete Bib', exact: true }).click();
  await expect(laid('Bib')).toBeHidden();
  await expect(panel).toBeHidden();
  await laid('Strap').click();
  await panel.getByRole('button', { name: 'Its measures' }).click();
  await expect(page.getByRole('heading', { name: 'The piece “Strap”' })).toBeVisible();
  // A stage of the tape begins with the first job; what is brought in begins with the cloth of the project, as it does from a piece.
  await page.getByRole('button', { name: 'All pieces laid out' }).click();
  await page.getByRole('button', { name: 'Pieces typed in lines' }).click();
  const typed = page.getByRole('dialog', { name: 'Pieces typed in lines' });
  await expect(typed.getByLabel('Cloth where none is said')).toHaveValue('Harbour-blue linen-cotton');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^2 Pieces/ }).click();
  await expect(page.getByRole('heading', { name: 'The piece “Apron”' })).toBeVisible();
});
