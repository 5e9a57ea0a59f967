import { expect, test } from '@playwright/test';
import {
  anotherJob,
  byRecipe,
  filedOf,
  newProject,
  pieces,
  start,
  takePlan,
  throughTheBench,
  typePieces,
  wordsOf,
} from './making';
import { alive, open, pickCloth, takeLayers, takeOwn } from './open';

// Each from an empty project to the logbook, as somebody makes the thing.

test('a shirt: collar and cuffs on one sheet, a stay in the shoulder', async ({ page }) => {
  test.slow();
  const project = await newProject(page, 'Ferry shirt');
  await typePieces(page, ['2 collar 45 x 9 poplin', '2 cuff 26 x 14 poplin', '2 front 34 x 70 poplin'], {
    Front: 'shoulder seam',
  });
  await takePlan(page, project);
  const plan = await throughTheBench(page, 'Ferry shirt');
  const words = wordsOf(plan);
  // The stay lies across its seam; what is fused says how long, and is looked at when it is cold.
  expect(words).toMatch(/Collar/);
  expect(words).toMatch(/lay the stay across the sewn line/);
  expect(plan.steps.filter(({ kind }) => kind === 'press').length).toBeGreaterThanOrEqual(3);
  for (const { kind, safety, title } of plan.steps) if (kind === 'press') expect([title, safety]).toEqual([title, expect.stringMatching(/hot|iron/i)]); // prettier-ignore
  expect(await filedOf(page, project)).toEqual([3, 3]);
});

test('an eyelet top, underlined with a cotton from the stash', async ({ page }) => {
  await start(page, 'Pier top');
  await page.getByLabel('Name of the piece').fill('Top');
  await pickCloth(page, 'Cotton eyelet');
  await page.getByLabel('It is a').selectOption({ label: 'whole panel' });
  await page.getByLabel('How many').fill('2');
  await page.getByRole('button', { name: 'Add the piece' }).click();
  await expect(page.getByRole('heading', { name: 'What to put behind “Top”' })).toBeVisible();
  await takeOwn(page, 'white lawn', /^White lawn/);
  const project = page.url().split('/projects/')[1]!.split('?')[0]!;
  const plan = await throughTheBench(page, 'Pier top');
  const words = wordsOf(plan);
  expect(words).toMatch(/White lawn/);
  expect(words).toMatch(/baste/i);
  expect(words).not.toMatch(/glue|fuse/i);
  expect(await filedOf(page, project)).toEqual([1, 1]);
});

test('a slashed panel with godets: the slash cut last, to its point', async ({ page }) => {
  const project = await newProject(page, 'Tide skirt');
  await byRecipe(page, 'Godet in a slash', 'Plum satin', { Slash: '30 cm', 'Hem of one godet, sewn': '25 cm', 'How many': '2' });
  await takePlan(page, project);
  const plan = await throughTheBench(page, 'Tide skirt');
  const words = wordsOf(plan);
  // A godet's own seam has no point that is clipped.
  expect(words).not.toMatch(/clip(ped)? to the thread/i);
  const [jobs, filed] = await filedOf(page, project);
  expect(filed).toBe(jobs);
});

test('a hat of four cloths: base, mulling, cloth and lining, marked in four places', async ({ page }) => {
  test.slow();
  const project = await newProject(page, 'Signal hat');
  await typePieces(page, ['tip 20 x 17 wool, lining poplin', 'band 60 x 9 wool, lining poplin'], {
    Tip: 'hat tip',
    Band: 'hat side band',
  });
  const { jobs } = (await (await page.request.get(`/api/projects/${project}/pieces`)).json()) as { jobs: { id: string }[] };
  expect(jobs).toHaveLength(2);
  for (const { id } of jobs) {
    await open(page, `/projects/${project}?job=${id}&stage=choose`);
    await takeLayers(page, [
      ['soft flannel mulling', /^Soft flannel mulling/],
      ['fine buckram', /^Fine buckram/],
    ]);
  }
  const plan = await throughTheBench(page, 'Signal hat');
  const words = wordsOf(plan);
  expect(words).toMatch(/mark centre front, back and both sides/i);
  expect(words).toMatch(/draw the cloth over it/i);
  expect(words).toMatch(/Centre front, back and both sides meet/);
  // Nothing here is fused, so nothing is asked of bubbles.
  expect(words).not.toMatch(/bubble/i);
  expect(await filedOf(page, project)).toEqual([2, 2]);
});

test('a hat by its recipe: every layer a piece of its own, one bench for base, mulling and cloth', async ({ page }) => {
  test.slow();
  const project = await newProject(page, 'Harbour cap');
  await page.getByRole('button', { name: 'Pieces by a recipe' }).click();
  const dialog = page.getByRole('dialog', { name: 'Pieces by a recipe' });
  await dialog.getByLabel('What is made').selectOption({ label: 'Hat' });
  await pickCloth(dialog, 'Charcoal felted wool');
  await dialog.getByLabel('Lining, thick', { exact: true }).fill('0');
  await dialog.getByRole('button', { name: /^Add \d+ pieces?$/ }).click();
  await expect(dialog).toBeHidden();
  await alive(page);
  const plan = await throughTheBench(page, 'Harbour cap');
  const words = wordsOf(plan);
  expect(words).toMatch(/catch .*mulling.* to the base/i);
  expect(words).toMatch(/draw the cloth over it/i);
  expect(await filedOf(page, project)).toEqual([6, 3]);
});

test('a badge on meshes, trimmed close', async ({ page }) => {
  await start(page, 'Watch badge');
  await page.getByLabel('Name of the piece').fill('Badge');
  await page.getByLabel('Width', { exact: true }).fill('20 cm');
  await page.getByLabel('Height', { exact: true }).fill('20 cm');
  await pickCloth(page, 'Charcoal felted wool');
  await page.getByLabel('It is a').selectOption({ label: 'embroidered badge' });
  await page.getByRole('button', { name: 'Add the piece' }).click();
  await expect(page.getByRole('heading', { name: 'What to put behind “Badge”' })).toBeVisible();
  const project = page.url().split('/projects/')[1]!.split('?')[0]!;
  await takePlan(page, project);
  const plan = await throughTheBench(page, 'Watch badge');
  expect(wordsOf(plan)).toMatch(/trim/i);
  for (const { stage, title, safety } of plan.steps) if (stage === 'apply' && /stitch/i.test(title)) expect(safety).toMatch(/needle/i); // prettier-ignore
  expect(await filedOf(page, project)).toEqual([1, 1]);
});

test('a quilt block: top, wadding and a mesh that all stay', async ({ page }) => {
  await start(page, 'Lamp quilt');
  await page.getByLabel('Name of the piece').fill('Block');
  await page.getByLabel('Width', { exact: true }).fill('32 cm');
  await page.getByLabel('Height', { exact: true }).fill('32 cm');
  await pickCloth(page, 'Quilting cotton');
  await page.getByLabel('It is a').selectOption({ label: 'machine embroidery' });
  await page.getByRole('button', { name: 'Add the piece' }).click();
  await expect(page.getByRole('heading', { name: 'What to put behind “Block”' })).toBeVisible();
  await takeLayers(page, [
    ['thin cotton wadding', /^Thin cotton wadding/i],
    ['light mesh', /^Light mesh/],
  ]);
  const project = page.url().split('/projects/')[1]!.split('?')[0]!;
  const plan = await throughTheBench(page, 'Lamp quilt');
  const words = wordsOf(plan);
  expect(words).toMatch(/wadding/i);
  expect(words).toMatch(/mesh/i);
  expect(words).not.toMatch(/tear (it|the sheet) away/i);
  expect(await filedOf(page, project)).toEqual([1, 1]);
});

test('a knit neckband, stiffened in sections after it is cut', async ({ page }) => {
  const project = await newProject(page, 'Buoy shirt');
  await byRecipe(page, 'Knit neckband', 'Storm-grey jersey', { Edge: '56 cm' });
  await open(page, `/projects/${project}?stage=choose`);
  await takeOwn(page, 'edge stiffener', /edge stiffener/i);
  const plan = await throughTheBench(page, 'Buoy shirt');
  const words = wordsOf(plan);
  expect(words).toMatch(/section/i);
  expect(words).toMatch(/shake/i);
  // Cut first: what rolls is held while it still lies as it was cut.
  const at = (test: (title: string) => boolean) => plan.steps.findIndex(({ title }) => test(title));
  expect(at((title) => /cut/i.test(title))).toBeLessThan(at((title) => /spray/i.test(title)));
  expect(await filedOf(page, project)).toEqual([1, 1]);
});

test('a peplum: interfaced all over, braid sewn into its hem in one go', async ({ page }) => {
  await start(page, 'Gala peplum');
  await page.getByLabel('Name of the piece').fill('Peplum');
  await page.getByLabel('Shape', { exact: true }).selectOption({ label: 'Ring sector' });
  await pickCloth(page, 'Charcoal felted wool');
  await page.getByLabel('It is a').selectOption({ label: 'fitted bodice' });
  await page.getByRole('button', { name: 'Add the piece' }).click();
  await takeOwn(page, 'light woven fusible', /woven fusible/i);
  await expect(pieces(page)).toBeVisible();
  await anotherJob(page, 'hem', 'flared hem', 'along edges', () => page.getByLabel('How wide').fill('25 mm'));
  await takeOwn(page, 'horsehair braid, 25', /^Horsehair braid, 25 mm/);
  const project = page.url().split('/projects/')[1]!.split('?')[0]!;
  const plan = await throughTheBench(page, 'Gala peplum');
  expect(wordsOf(plan)).toMatch(/without pulling|never pull|not pull/i);
  expect(await filedOf(page, project)).toEqual([2, 2]);
});
