import type { Page } from 'playwright-core';

/** What is asked for at a path is on its way until it `comes`: how a page stands meanwhile on a slow network. */
export async function heldBack(page: Page, path: string): Promise<{ comes(): void }> {
  let comes = () => {};
  const come = new Promise<void>((done) => {
    comes = done;
  });
  await page.route(path, async (route) => {
    await come;
    await route.continue();
  });
  return { comes };
}
