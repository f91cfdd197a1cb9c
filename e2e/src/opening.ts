import { type StartSetup, toForm } from '@fulcrant/core/forms';
import { allTrades, formName } from '@fulcrant/core/job';
import { say } from '@fulcrant/core/units';
import '@fulcrant/core/every-trade';
import type { Page } from 'playwright-core';

/** Everything of the opening page in view: what usually stays shut, too. */
export async function showUsual(page: Page): Promise<void> {
  const usual = page.getByRole('button', { name: /^Defaults and options/ });
  await usual.waitFor();
  if ((await usual.getAttribute('aria-expanded')) === 'false') await usual.click();
}

/** Fill every box still open from the trade’s usual setup, as somebody who measured just that. */
export async function fillOpenBoxes(page: Page, work: string): Promise<void> {
  const trade = allTrades().find((t) => say(t.words.offer[0], 'mm').startsWith(work));
  if (!trade) throw new Error(`Nobody offers “${work}”.`);
  const usual = toForm(trade, trade.usual as StartSetup, 'mm');
  const boxes = page.locator('[data-box="open"]');
  for (const id of await boxes.evaluateAll((all) => all.map((b) => b.id))) {
    const value = usual[formName(id.replace(/^field-/, ''))];
    if (!value) continue;
    const box = page.locator(`[id="${id}"]`);
    if ((await box.evaluate((b) => b.tagName)) === 'SELECT') await box.selectOption(value);
    else await box.fill(value);
  }
}
