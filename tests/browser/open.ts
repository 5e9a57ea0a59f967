import type { Locator, Page } from '@playwright/test';

/** Waits until the islands of a screen have come alive. */
export async function alive(page: Page): Promise<void> {
  await page.waitForLoadState();
  await page.waitForFunction(() => document.querySelectorAll('astro-island[ssr]').length === 0);
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
