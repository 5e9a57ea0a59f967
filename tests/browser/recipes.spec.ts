import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import type { Piece } from '../../src/store/pieces';
import { byRecipe, newProject, pieces, takeFirst, typePieces } from './making';
import { alive, open, pickCloth } from './open';

test('a flare by its recipe: sectors, braid in the hem, what to buy', async ({ page }) => {
  await open(page, '/projects');
  await page.getByLabel('New project').fill('Peplum');
  await page.getByRole('button', { name: 'Start it' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Peplum' })).toBeVisible();
  await alive(page);
  await page.getByRole('button', { name: 'Pieces by a recipe' }).click();
  const dialog = page.getByRole('dialog', { name: 'Pieces by a recipe' });
  // Nothing of the project is cut from anything yet, so no cloth is taken for it.
  await pickCloth(dialog, 'Straw-yellow poplin');
  await dialog.getByLabel('Circles').fill('two');
  await expect(dialog.getByText(/Circles: write a number/)).toBeVisible();
  await expect(dialog.getByRole('button', { name: /^Add/ })).toBeDisabled();
  await dialog.getByLabel('Circles').fill('1');
  await dialog.getByLabel('Waist seam').fill('68 cm');
  await dialog.getByLabel('Length', { exact: true }).fill('8 in');
  await dialog.getByLabel('Cloth width').fill('500 mm');
  // r = 680 / 2π = 108 mm, R = 108 + 203 mm, hem 2π · 311 mm: the figures of the recipe, by hand.
  await expect(dialog.getByText('1.96 m')).toBeVisible();
  // A half circle is 2 · 321 mm wide upright, and 321 + 10 mm deep along the selvedge.
  await expect(dialog.getByText(/^2 of 180°$/)).toBeVisible();
  await expect(dialog.getByText('Each half circle lies with its straight side along the selvedge.')).toBeVisible();
  await dialog.getByLabel('Lined with the same pieces').check();
  await expect(dialog.getByText('Understitch the lining', { exact: false })).toBeVisible();
  await dialog.getByRole('button', { name: 'Add 1 piece' }).click();
  await expect(page.getByRole('region', { name: 'Made by a recipe' })).toBeVisible();
  await alive(page);
  await expect(page.getByText('Lining: no cloth yet, 2 pieces')).toBeVisible();
  await page
    .getByRole('navigation', { name: 'Stages of the project' })
    .getByRole('button', { name: /Choose/ })
    .click();
  await page
    .getByRole('button', { name: /^Take .*braid/ })
    .first()
    .click();
  const project = new URL(page.url()).pathname.split('/').at(-1)!;
  const kept = async () =>
    (await (await page.request.get(`/api/projects/${project}/pieces`)).json()) as { jobs: { stack: object | null }[] };
  await expect.poll(async () => (await kept()).jobs.some(({ stack }) => stack !== null)).toBe(true);
  // Seen standing, with the braid that was taken and without it, turned by the pointer.
  await page
    .getByRole('navigation', { name: 'Stages of the project' })
    .getByRole('button', { name: /Pieces/ })
    .click();
  await page.getByRole('button', { name: /^See it stand/ }).click();
  const standing = page.getByRole('dialog', { name: 'See it stand' });
  await expect(standing.getByRole('row', { name: /^the cloth alone .* about \d+$/ })).toBeVisible({ timeout: 60_000 });
  await expect(standing.getByRole('row', { name: /braid.* in the hem .* about \d+$/ })).toBeVisible({ timeout: 60_000 });
  await standing.getByRole('button', { name: 'the cloth alone' }).click();
  const drawing = standing.getByRole('img', { name: 'The flare hanging from its waist: the cloth alone' });
  const before = await drawing.screenshot();
  await standing.getByRole('slider', { name: 'Turn it' }).fill('90');
  await page.waitForTimeout(200);
  expect((await drawing.screenshot()).equals(before)).toBe(false);
  const { violations } = await new AxeBuilder({ page }).include('dialog[open]').analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);
});

test('a recipe stays alive: a measure is changed, the pieces follow, what is one’s own stays or is named', async ({ page }) => {
  const project = await newProject(page, 'Drummer’s second cape');
  await byRecipe(page, 'Flare', 'Straw-yellow poplin', { 'Waist seam': '70 cm', Length: '50 cm' });
  const piecesOf = async () =>
    (await (await page.request.get(`/api/projects/${project}/pieces`)).json()) as { pieces: Piece[]; cuts: { duty: string }[] };
  const [before] = (await piecesOf()).pieces;
  expect(before!.shape).toMatchObject({ kind: 'sector', outer: 700 / (2 * Math.PI) + 500 });
  // A name of its own.
  await page.getByLabel('Name of the piece').fill('Half of the cape');
  await page.getByRole('button', { name: 'Save the piece' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  const made = page.getByRole('region', { name: 'Made by a recipe' });
  await made.getByRole('button', { name: 'Change the measures of Flare' }).click();
  const dialog = page.getByRole('dialog', { name: 'Measures: Flare' });
  await expect(dialog.getByLabel('Length', { exact: true })).toHaveValue('50 cm');
  await dialog.getByLabel('Length', { exact: true }).fill('0');
  await expect(dialog.getByRole('button', { name: 'Change the pieces' })).toBeDisabled();
  await dialog.getByLabel('Length', { exact: true }).fill('20 in');
  await dialog.getByLabel('Lined with the same pieces').check();
  await dialog.getByRole('button', { name: 'Change the pieces' }).click();
  await expect(dialog.getByText('is cut for lining too', { exact: false })).toBeVisible();
  await dialog.getByRole('button', { name: 'See the pieces' }).click();
  await expect(page.getByLabel('Name of the piece')).toHaveValue('Half of the cape');
  await alive(page);
  const after = await piecesOf();
  expect((after.pieces[0]!.shape as { outer: number }).outer).toBeCloseTo(700 / (2 * Math.PI) + 508, 6);
  expect(after.cuts.map(({ duty }) => duty).sort()).toEqual(['lining', 'shell']);
  // How it is sewn stands with the steps.
  await made.getByText('Figures, and how it is sewn').click();
  await expect(made.getByText('Understitch the lining', { exact: false })).toBeVisible();
});

test('a godet by its recipe: a strip on each of its seam lines, along its line and no edge', async ({ page }) => {
  await open(page, '/projects/tq-toolroll');
  await page.getByRole('button', { name: 'Pieces by a recipe' }).click();
  const dialog = page.getByRole('dialog', { name: 'Pieces by a recipe' });
  for (const recipe of ['Straight waistband', 'Knit neckband', 'Godet in a slash']) {
    await dialog.getByLabel('What is made').selectOption({ label: recipe });
    await expect(dialog.getByRole('button', { name: 'Add 1 piece' })).toBeEnabled();
  }
  await dialog.getByLabel('How many').fill('2.5');
  await expect(dialog.getByText('must be a whole number, saw 2.5')).toBeVisible();
  await dialog.getByLabel('How many').fill('2');
  await dialog.getByRole('button', { name: 'Add 1 piece' }).click();
  await expect(page.getByRole('region', { name: 'Made by a recipe' })).toBeVisible();
  await alive(page);
  const stages = page.getByRole('navigation', { name: 'Stages of the project' });
  await stages.getByRole('button', { name: /Choose/ }).click();
  await takeFirst(page);
  await stages.getByRole('button', { name: /Cut/ }).click();
  await expect(page.getByText('It lies along the line of this job.').first()).toBeVisible();
  await expect(page.getByRole('checkbox', { name: 'right end' })).toHaveCount(0);
});

test('a hat by its recipe: every layer in its own length, the base bought with the rest', async ({ page }) => {
  await open(page, '/projects/tq-cap');
  await page.getByRole('button', { name: 'Pieces by a recipe' }).click();
  const dialog = page.getByRole('dialog', { name: 'Pieces by a recipe' });
  await dialog.getByLabel('What is made').selectOption({ label: 'Hat' });
  await dialog.getByLabel('Head', { exact: true }).fill('56 cm');
  await dialog.getByLabel('Brim width').fill('0');
  // The usual base stands there; another one may be picked.
  await expect(dialog.getByLabel('Base from')).toContainText('buckram');
  await dialog.getByLabel('Base from').selectOption({ label: 'Fine buckram, 150 g' });
  await expect(dialog.getByText('57.2 cm')).toBeVisible();
  await dialog.getByRole('button', { name: 'Add 8 pieces' }).click();
  await expect(page.getByText('Base: of its layer, 1 piece').first()).toBeVisible();
  await alive(page);
  const stages = page.getByRole('navigation', { name: 'Stages of the project' });
  await stages.getByRole('button', { name: /Apply/ }).click();
  // The base is worked with what softens it and its cloth; nothing is chosen for it.
  await expect(page.getByRole('heading', { name: 'At the bench: “Tip, base”' })).toBeVisible();
  await stages.getByRole('button', { name: /Choose/ }).click();
  await expect(page.getByRole('heading', { name: /is cut from Fine buckram, 150.g itself/ })).toBeVisible();
  await stages.getByRole('button', { name: /Cut/ }).click();
  await page.getByRole('button', { name: 'It is cut', exact: true }).click();
  await expect(page.getByRole('button', { name: 'It is not cut after all' })).toBeVisible();
  await open(page, '/buy?project=tq-cap');
  await expect(page.getByRole('rowheader', { name: 'Fine buckram, 150 g' })).toBeVisible({ timeout: 15_000 });
});

test('a hem facing from the edge that is touched: its job, its seam, and it follows the piece', async ({ page }) => {
  const project = await newProject(page, 'Ferry skirt');
  await typePieces(page, ['front 52 x 60 satin']);
  const rowsOf = async () =>
    (await (await page.request.get(`/api/projects/${project}/pieces`)).json()) as { pieces: Piece[]; jobs: { wish: object }[] };
  await page.getByRole('button', { name: 'From the edges of “Front”' }).click();
  const dialog = page.getByRole('dialog', { name: 'From the edges of Front' });
  await dialog.getByLabel('What is made').selectOption({ label: 'Hem facing' });
  await expect(dialog.getByText('Touch an edge', { exact: false })).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Add the pieces' })).toBeDisabled();
  await dialog.getByLabel('Bottom').check();
  await dialog.getByLabel('Top').check();
  await expect(dialog.getByText(/must follow each other/)).toBeVisible();
  await dialog.getByLabel('Top').uncheck();
  await dialog.getByLabel('Depth').fill('590 mm');
  await expect(dialog.getByText(/must leave the piece in one/)).toBeVisible();
  await dialog.getByLabel('Depth').fill('2 in');
  expect((await new AxeBuilder({ page }).include('dialog').analyze()).violations).toEqual([]);
  await dialog.getByRole('button', { name: 'Add 1 piece' }).click();
  await expect(pieces(page).getByRole('heading', { name: 'Front: hem facing' })).toBeVisible();
  await alive(page);
  const made = await rowsOf();
  expect(made.jobs.at(-1)!.wish).toMatchObject({ role: 'hem' });
  const sizeOf = ({ pieces: all }: { pieces: Piece[] }) => {
    const { shape } = all.find(({ name }) => name === 'Front: hem facing')!;
    const at = (shape as { edges: { from: [number, number] }[] }).edges.map(({ from }) => from);
    return [0, 1].map((axis) => Math.max(...at.map((p) => p[axis]!)) - Math.min(...at.map((p) => p[axis]!)));
  };
  // As sewn: the piece was typed as it is cut, 10 mm allowed all round.
  expect(sizeOf(made)[1]).toBeCloseTo(50.8, 3);
  const [wide] = sizeOf(made);
  await page.getByRole('link', { name: 'Do the seams fit?' }).click();
  await expect(page.getByText('They fit.')).toBeVisible();

  // The front is made wider: its facing goes along, and the seam fits as before.
  await open(page, `/projects/${project}?stage=pieces`);
  await expect(page.getByLabel('Name of the piece')).toHaveValue('Front');
  await page.getByLabel('Width', { exact: true }).fill('60 cm');
  await page.getByRole('button', { name: 'Save the piece' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await expect.poll(async () => sizeOf(await rowsOf())[0]! - wide!).toBeCloseTo(80, 3);
  await page.getByRole('link', { name: 'Do the seams fit?' }).click();
  await expect(page.getByText('They fit.')).toBeVisible();

  // Too short for it: it stays as it was, and says why.
  await open(page, `/projects/${project}?stage=pieces`);
  await page.getByLabel('Height', { exact: true }).fill('5 cm');
  await page.getByRole('button', { name: 'Save the piece' }).click();
  await expect(page.getByRole('list', { name: 'What did not follow: Hem facing' })).toContainText('could not follow “Front”');
});

test('a panel is slashed by what it shall gain, its inner corners held, its lining advised and shorter at the hem', async ({
  page,
}) => {
  const project = await newProject(page, 'Slashed overskirt');
  const cloths = (await (await page.request.get('/api/cloths')).json()) as { cloths: { id: string; name: string }[] };
  const cloth = cloths.cloths.find(({ name }) => name === 'Shirting poplin')!;
  // A panel with a step on one side: hem below, a corner that turns inward.
  const corners = [[0, 0], [500, 0], [500, 400], [350, 400], [350, 650], [0, 650]]; // prettier-ignore
  const added = await page.request.post(`/api/projects/${project}/pieces`, {
    data: {
      ...{ name: 'Panel', shape: { kind: 'drawn', edges: corners.map((from) => ({ from })) }, line: 'sew' },
      ...{ allowances: [40, 15, 12, 15, 10, 15], fold: null, grain: 0, marks: [] },
      cuts: [{ duty: 'shell', clothId: cloth.id, count: 2, orientation: 'straight', jobs: [] }],
    },
  });
  const { cuts } = (await added.json()) as { cuts: { id: string }[] };
  await open(page, `/projects/${project}?job=${cuts[0]!.id}&stage=pieces`);

  // The corner is offered, held, let go again by undo, and held once more.
  await page.getByRole('button', { name: 'Hold it with a square' }).click();
  await expect(pieces(page).getByRole('button', { name: /^Inner corner/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(pieces(page).getByRole('button', { name: /^Inner corner/ })).toBeHidden();
  await page.reload();
  await alive(page);
  await page.getByRole('button', { name: 'Hold it with a square' }).click();
  await expect(pieces(page).getByRole('button', { name: /^Inner corner/ })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Inner corners' })).toBeHidden();

  // Two slashes in each of two panels, 20 cm more hem each.
  await page.getByRole('button', { name: /^From the edges of/ }).click();
  const edges = page.getByRole('dialog', { name: 'From the edges of Panel' });
  await edges.getByLabel('What is made').selectOption({ label: 'Slashes with godets' });
  await edges.getByRole('checkbox', { name: 'edge 1' }).check();
  await edges.getByLabel('Slash, hem to point').fill('700 mm');
  await expect(edges.getByText(/must stay inside the piece/).first()).toBeVisible();
  await edges.getByLabel('Slash, hem to point').fill('25 cm');
  await edges.getByLabel('How many').fill('2');
  await expect(edges.getByText('40 cm', { exact: true })).toBeVisible();
  await edges.getByRole('button', { name: 'Add 1 piece' }).click();
  await expect(page.getByRole('region', { name: 'Made by a recipe' })).toBeVisible();
  await alive(page);
  await expect(pieces(page).getByRole('button', { name: /^Slash [12], edge 1/ })).toHaveCount(2);
  const rows = async () =>
    (await (await page.request.get(`/api/projects/${project}/pieces`)).json()) as {
      pieces: Piece[];
      cuts: { pieceId: string; duty: string; count: number; clothId: string; own: (number | null)[] | null }[];
    };
  let kept = await rows();
  const panel = kept.pieces.find(({ name }) => name === 'Panel')!;
  expect(panel.marks.map(({ kind, at, to }) => [kind, at, to])).toEqual([
    ['slash', [125, -40], [125, 250]],
    ['slash', [375, -40], [375, 250]],
  ]);
  const godet = kept.pieces.find(({ name }) => name === 'Panel: godet')!;
  expect(kept.cuts.find(({ pieceId }) => pieceId === godet.id)!.count).toBe(4);

  // The lining, taken from what is advised, ends 25 mm higher than the hem.
  await pieces(page)
    .getByRole('button', { name: /^Inner corner/ })
    .click();
  await pieces(page).getByRole('button', { name: 'Cut it from another cloth too' }).click();
  const lining = page.getByRole('dialog', { name: 'Cut Panel from another cloth' });
  await lining.getByLabel('As', { exact: true }).selectOption({ label: 'lining' });
  await lining.getByLabel('It lines').selectOption({ label: 'a skirt' });
  await lining.getByLabel('Worn on the skin there').check();
  await lining.getByLabel('Hangs free at the hem').check();
  const offered = lining.getByRole('list', { name: 'Cloths for the lining' }).getByRole('listitem');
  await expect(offered.first()).toContainText('Takes up moisture');
  await offered.filter({ hasText: 'Light viscose lining' }).getByRole('button').click();
  await lining.getByLabel('Free at', { exact: true }).selectOption({ label: 'edge 1' });
  const { violations } = await new AxeBuilder({ page }).include('dialog[open]').analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);
  await lining.getByRole('button', { name: 'Cut it so too' }).click();
  await expect(lining).toBeHidden();
  kept = await rows();
  const { clothId, own } = kept.cuts.find(({ pieceId, duty }) => pieceId === panel.id && duty === 'lining')!;
  expect(own).toEqual([15, null, null, null, null, null]);
  expect(cloths.cloths.find(({ id }) => id === clothId)!.name).toBe('Light viscose lining');
});
