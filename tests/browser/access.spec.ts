import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { open, still } from './open';

const VIEWS: [name: string, path: string][] = [
  ['Choose', '/'],
  ['Choose, a motif on terry', '/?cloth=terry-towelling&role=embroidery'],
  ['Projects', '/projects'],
  ['Project: cloth', '/projects/tq-waistcoats?job=tq-wc-front&stage=cloth'],
  ['Project: laid out', '/projects/tq-waistcoats'],
  ['Project: pieces', '/projects/tq-waistcoats?job=tq-wc-collar&stage=pieces'],
  ['Project: all jobs planned', '/projects/tq-waistcoats/plan'],
  ['Project: seams', '/projects/tq-waistcoats/seams'],
  ['Project: job along an edge', '/projects/tq-waistcoats?job=tq-wc-front-armhole&stage=pieces'],
  ['Project: cut without a job', '/projects/tq-waistcoats?job=tq-wc-front-lining&stage=choose'],
  ['Project: choose', '/projects/tq-waistcoats?job=tq-wc-front&stage=choose'],
  ['Project: scrap that is under way', '/projects/tq-waistcoats?job=tq-wc-collar&stage=scrap'],
  ['Project: scrap not begun', '/projects/tq-banner?job=tq-ba-tab&stage=scrap'],
  ['Project: cut', '/projects/tq-waistcoats?job=tq-wc-front&stage=cut'],
  ['Project: apply', '/projects/tq-waistcoats?job=tq-wc-front&stage=apply'],
  ['Project: file', '/projects/tq-waistcoats?job=tq-wc-front&stage=file'],
  ['Bench, all of it', '/bench'],
  ['Cupboard, cloth', '/cupboard'],
  ['Cupboard, layers', '/cupboard?shelf=layers'],
  ['Cupboard, rolls and leftovers', '/cupboard?shelf=stock'],
  ['Cutting table of a layer', '/tables/tq-shades/layer/polyester-organza-30-g'],
  ['Cutting table of a cloth', '/tables/tq-toolroll/cloth/tq-duck'],
  ['What to buy', '/buy?project=tq-toolroll'],
  ['Cupboard, form', '/cupboard?edit=tq-duck'],
  ['Test bench', '/cupboard/cloths/tq-harbour-linen?test=overhang'],
  ['Test bench, choices', '/cupboard/cloths/tq-harbour-linen?test=water'],
  ['Identify', '/cupboard/identify'],
  ['Sprays, starch and soaking', '/wet'],
  ['The working day', '/day'],
  ['Identify a layer', '/cupboard/identify?kind=layer'],
  ['Test bench of a layer', '/cupboard/layers/light-woven-fusible-45-g'],
  ['Tables', '/cupboard/tables'],
  ['Prints', '/prints'],
  ['Hoop', '/hoop'],
  ['A motif', '/hoop/motifs/tq-motif-lantern?cloth=tq-duck'],
  ['Hooping: place', '/hoop/jobs/tq-job-napkins'],
  ['Hooping: prepare', '/hoop/jobs/tq-job-banner?stage=prepare'],
  ['Hooping: sew', '/hoop/jobs/tq-job-gaiters'],
  ['Hooping: check', '/hoop/jobs/tq-job-shirt'],
  ['Logbook', '/logbook'],
  ['Remedies', '/remedies?see=dent'],
  ['Settings', '/settings'],
  ['the bags of a project', '/projects/tq-waistcoats/kits'],
  ['what was learnt', '/logbook/learnt'],
  ['one bag', '/projects/tq-waistcoats/kits/1'],
  ['scanning a label', '/scan'],
  ['Nothing there', '/nowhere'],
];

async function benchPath(page: Page): Promise<string> {
  const answer = await page.request.post('/api/jobs/tq-wc-collar/bench');
  return `/bench/${((await answer.json()) as { id: string }).id}`;
}

/** Findings that matter, in one line each. */
async function findings(page: Page, onlyColours = false, within?: string): Promise<string[]> {
  // Our pages have no frames: nothing has to be gathered from others on a page of its own.
  const axe = new AxeBuilder({ page }).options({ resultTypes: ['violations'] }).setLegacyMode();
  if (within) axe.include(within);
  // Another theme changes colours and nothing else.
  const { violations } = await (onlyColours ? axe.withRules(['color-contrast']) : axe).analyze();
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => String(target)).join(' | ')}`);
}

/** Fields and lists whose words are longer than their room, buttons that cut theirs off, tables that have to be scrolled sideways. */
async function clippedWords(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const pen = document.createElement('canvas').getContext('2d')!;
    const clipped: string[] = [];
    for (const element of document.querySelectorAll<HTMLElement>('main *')) {
      if (!element.checkVisibility({ visibilityProperty: true }) || element.closest('.sr-only, svg')) continue;
      const style = getComputedStyle(element);
      if (element instanceof HTMLSelectElement || (element instanceof HTMLInputElement && element.type === 'text')) {
        const words = element instanceof HTMLSelectElement ? (element.selectedOptions[0]?.text ?? '') : element.value;
        pen.font = `${style.fontWeight} ${style.fontSize} ${style.fontFamily}`;
        const room = element.clientWidth - parseFloat(style.paddingLeft) - parseFloat(style.paddingRight);
        if (pen.measureText(words.trim()).width > room + 1) clipped.push(`“${words.trim()}” in ${Math.round(room)} px`);
      } else if (
        (style.overflowX === 'auto' || element.matches('.btn')) &&
        // A drawing may be larger than its frame: it is zoomed and moved.
        !element.matches('textarea, canvas, :has(> svg:only-child)') &&
        element.scrollWidth > element.clientWidth + 1
      )
        clipped.push(`“${element.textContent.slice(0, 40)}”: ${element.scrollWidth} px in ${element.clientWidth}`);
    }
    return clipped;
  });
}

for (const [name, path] of VIEWS) {
  test(`${name}: no serious finding in either theme, fits desk and tablet, nothing small to touch`, async ({ page }) => {
    const faults: string[] = [];
    page.on('console', (message) => {
      if (message.type() === 'error' && !message.text().includes('404')) faults.push(message.text());
    });
    page.on('pageerror', (error) => faults.push(error.message));
    await open(page, path);
    // A button that comes alive when the laying out ends fades from one colour to the other.
    await expect(page.getByText(/^Laying out /)).toHaveCount(0, { timeout: 30_000 });
    const cut = page.getByRole('button', { name: 'Everything is cut' });
    if ((await cut.count()) > 0) await expect(cut).toBeEnabled({ timeout: 30_000 });
    await still(page);
    expect(await findings(page)).toEqual([]);
    await page.evaluate(() => (document.documentElement.dataset['theme'] = 'lamplight'));
    await still(page);
    expect(await findings(page, true)).toEqual([]);
    for (const size of [
      { width: 820, height: 1180 },
      { width: 1280, height: 800 },
    ]) {
      await page.setViewportSize(size);
      const wide = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
      expect(wide, `sideways scrolling at ${size.width}`).toBeLessThanOrEqual(0);
      expect(await clippedWords(page), `words that do not fit at ${size.width}`).toEqual([]);
    }
    const small = await page.evaluate(() =>
      [
        ...document.querySelectorAll<HTMLElement>(
          'main button, main a, main select, main input:not([type=checkbox]):not([type=radio]):not([type=file]), main summary, header a, header button',
        ),
      ]
        .filter(
          (element) =>
            element.checkVisibility({ visibilityProperty: true }) &&
            !element.className.includes('after:inset-0') &&
            !element.closest('p, li p, .sr-only') &&
            !element.classList.contains('sr-only'),
        )
        .map((element) => ({
          words: element.getAttribute('aria-label') ?? element.textContent?.slice(0, 40),
          height: element.getBoundingClientRect().height,
        }))
        .filter(({ height }) => height > 0 && height < 43.5),
    );
    expect(small.filter(({ words }) => !words?.startsWith('Skip'))).toEqual([]);
    expect(faults).toEqual([]);
  });
}

test('Bench: no serious finding, no scrolling on desk and tablet', async ({ page }) => {
  await open(page, await benchPath(page));
  for (const size of [
    { width: 820, height: 1180 },
    { width: 1280, height: 800 },
  ]) {
    await page.setViewportSize(size);
    for (let step = 0; step < 4; step++) {
      expect(await findings(page)).toEqual([]);
      const over = await page.evaluate(() => {
        const main = document.querySelector('main')!;
        const footer = main.querySelector('footer')!.getBoundingClientRect();
        const words = main.querySelector('h2')!.getBoundingClientRect();
        return {
          page: document.documentElement.scrollHeight - window.innerHeight,
          footer: footer.bottom - window.innerHeight,
          top: -words.top,
        };
      });
      expect(Math.max(over.page, over.footer, over.top)).toBeLessThanOrEqual(0);
      if (await page.getByRole('button', { name: 'Done, next step' }).isVisible()) await page.keyboard.press('Space');
      await still(page);
    }
    for (let i = 0; i < 4; i++) await page.keyboard.press('Backspace');
  }
});

test('the first right answer comes by keyboard alone', async ({ page }) => {
  await open(page, '/');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'Skip to the content' })).toBeFocused();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Tab');
  await expect(page.getByLabel('Cloth', { exact: true })).toBeFocused();
  await page.keyboard.press('Tab');
  await page.keyboard.type('Curved');
  await expect(page.getByLabel('Part', { exact: true })).toHaveValue('curved-waistband');
  await expect(page.getByRole('article').getByRole('heading', { level: 2 })).toContainText('tricot');
  const onButton = () => page.evaluate(() => document.activeElement?.tagName === 'BUTTON');
  for (let i = 0; i < 20 && !(await onButton()); i++) await page.keyboard.press('Tab');
  await page.keyboard.press('j');
  await page.keyboard.press('p');
  await expect(page.getByRole('dialog', { name: 'Put it to a project' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog', { name: 'Put it to a project' })).toBeHidden();
  await page.keyboard.press('Shift+?');
  await expect(page.getByRole('dialog', { name: 'Shortcuts' })).toBeVisible();
});

test('the recipes: no serious finding in either theme', async ({ page }) => {
  await open(page, '/projects/tq-cap');
  await page.getByRole('button', { name: 'Pieces by a recipe' }).click();
  const dialog = page.getByRole('dialog', { name: 'Pieces by a recipe' });
  for (const recipe of ['Flare', 'Hat']) {
    await dialog.getByLabel('What is made').selectOption({ label: recipe });
    await expect(dialog.getByText('How it is sewn')).toBeVisible();
    for (const theme of ['workroom', 'lamplight']) {
      await page.evaluate((name) => (document.documentElement.dataset['theme'] = name), theme);
      await still(page);
      expect(await findings(page, theme === 'lamplight', 'dialog[open]')).toEqual([]);
    }
  }
});

test('dialogs of the answer screen: no serious finding in either theme', async ({ page }) => {
  await open(page, '/?cloth=tq-harbour-linen');
  await page.getByRole('button', { name: /^What matters/ }).click();
  expect(await findings(page)).toEqual([]);
  await page.getByRole('button', { name: /^Ways of working/ }).click();
  expect(await findings(page)).toEqual([]);
  await page.getByRole('button', { name: /^Ways of working/ }).click();
  for (const i of [0, 1, 2])
    await page
      .getByRole('checkbox', { name: /^Compare/ })
      .nth(i)
      .check();
  for (const opener of ['Side by side', 'See it hang']) {
    await page.getByRole('button', { name: opener }).click();
    await still(page);
    for (const theme of ['workroom', 'lamplight']) {
      await page.evaluate((name) => (document.documentElement.dataset['theme'] = name), theme);
      await still(page);
      // What lies behind the dialog was looked at before.
      expect(await findings(page, theme === 'lamplight', 'dialog[open]')).toEqual([]);
    }
    await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
  }
});
