import { expect, type Locator, type Page } from '@playwright/test';

/** Waits until the islands of a screen have come alive: taken over by the interface, and all that follows from that done. A page that never rests fails. */
export async function alive(page: Page): Promise<void> {
  await page.waitForLoadState();
  await page.waitForFunction(() =>
    [...document.querySelectorAll('astro-island')].every(
      (island) =>
        !island.hasAttribute('ssr') &&
        (!island.firstElementChild || Object.keys(island.firstElementChild).some((key) => key.startsWith('__react'))),
    ),
  );
  try {
    // What is asked for in the background comes when there is nothing else to do: on a page that never rests it does not come.
    await page.evaluate(() => {
      const { scheduler } = globalThis as unknown as {
        scheduler: { postTask: (task: () => void, how: { priority: 'background' }) => Promise<void> };
      };
      return scheduler
        .postTask(() => {}, { priority: 'background' })
        .then(() => new Promise<void>((rested) => setTimeout(rested)));
    });
  } catch (error) {
    // A change of the page before that arrives late shows the page anew, as it is then.
    if (!/navigation/.test(String(error))) throw error;
    await alive(page);
  }
}

/** Frames after which something that still moves is taken to move for good. */
const MOST_FRAMES = 120;

/** Waits until nothing fades or moves any more, two frames after what was done last. */
export async function still(page: Page): Promise<void> {
  await page.evaluate(async (most) => {
    const frame = () => new Promise((drawn) => requestAnimationFrame(drawn));
    const moves = () =>
      document
        .getAnimations()
        .some(({ effect, playState }) => playState === 'running' && effect?.getComputedTiming().iterations !== Infinity);
    await frame();
    await frame();
    for (let i = 0; i < most && moves(); i++) await frame();
  }, MOST_FRAMES);
}

/** Opens an address and waits until its islands have come alive. */
export async function open(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await alive(page);
}

/** Picks a cloth by typing its name. */
export async function pickCloth(scope: Page | Locator, name: string): Promise<void> {
  await scope.getByLabel('Cut from').fill(name);
  await scope.getByRole('option', { name, exact: true }).click();
}

/** Puts a stack of one material together by hand, and takes it. */
export function takeOwn(page: Page, find: string, material: RegExp, joined?: string): Promise<void> {
  return takeLayers(page, [[find, material]], joined);
}

/** Puts a stack together by hand, outermost layer first, whatever speaks against it, and takes it. */
export async function takeLayers(
  page: Page,
  layers: readonly [find: string, material: RegExp][],
  joined?: string,
): Promise<void> {
  await page.getByRole('button', { name: 'Put a stack of your own together' }).click();
  const own = page.getByRole('region', { name: 'A stack of your own' });
  for (const [find, material] of layers) {
    await own.getByRole('searchbox').fill(find);
    await own.getByRole('button', { name: material }).first().click();
  }
  if (joined) await own.getByLabel('Joined').selectOption({ label: joined });
  await expect(own.getByText(/of 100/)).toBeVisible();
  const take = own.getByRole('button', { name: 'Take this stack' });
  // What speaks against it stands there once the last layer is judged, which may be after the first one was.
  await expect(async () => {
    for (const stop of await own.getByRole('checkbox', { name: /I know, and take it all the same/ }).all()) await stop.check();
    expect(await take.isEnabled()).toBe(true);
  }).toPass();
  await take.click();
  await expect(page).toHaveURL(/stage=scrap/);
  await alive(page);
}
