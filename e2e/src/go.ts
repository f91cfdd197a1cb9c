import type { Page } from 'playwright-core';

/** On to another page of the application as a link of it goes: nothing is loaded anew but what that page needs. */
export async function go(page: Page, path: string): Promise<void> {
  await page.evaluate((to) => {
    document.querySelector('main')?.setAttribute('data-left', '');
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate', { state: null }));
  }, path);
  await page.locator('main:not([data-left]):not([data-loading])').waitFor();
  await page.locator('h1').first().waitFor();
}

/** The page that was loaded is there, with its heading: nothing of it is judged before. */
export async function hasCome(page: Page): Promise<void> {
  await page.locator('main:not([data-loading])').waitFor();
  await page.locator('h1').first().waitFor();
}

/** The light the application begins in on this device, from its next loading on. */
export async function beginsBy(page: Page, theme: string): Promise<void> {
  await page.addInitScript((t) => localStorage.setItem('fulcrant.theme', t), theme);
}

/** The device has fetched the whole application: from now on it works without network. */
export async function isKept(page: Page): Promise<void> {
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
}
