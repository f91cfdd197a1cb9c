import type { Page } from 'playwright-core';

/** Quantities on the page that were not said in the unit that is shown: their marks stand there as they are. */
export async function unsaid(page: Page): Promise<string[]> {
  const text = (await page.locator('body').textContent()) ?? '';
  return [...text.matchAll(/.{0,30}[⟦⟧].{0,30}/g)].map((m) => m[0]);
}
