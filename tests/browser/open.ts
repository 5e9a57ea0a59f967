import { expect, type Page } from '@playwright/test';

/** Opens a page and waits until its islands are alive. */
export async function open(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await expect(page.locator('astro-island[ssr]')).toHaveCount(0);
  await page.waitForTimeout(200);
}
