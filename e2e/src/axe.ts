import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from 'playwright-core';

const axeSource = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/** WCAG 2.2 A and AA violations on the page as it stands; of one rule alone where only that can have changed. */
export async function violations(page: Page, rule?: string): Promise<string[]> {
  // Once a page: half a megabyte is read in no sooner than it must be.
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axeSource);
  return page.evaluate(async (only) => {
    // biome-ignore lint/suspicious/noExplicitAny: axe is put into the page as a script
    const result = await (window as any).axe.run(document, {
      // What passes needs no account of itself.
      resultTypes: ['violations'],
      selectors: false,
      runOnly: only
        ? { type: 'rule', values: [only] }
        : ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'],
    });
    return result.violations.map(
      (v: { id: string; nodes: Array<{ html: string }> }) =>
        `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 120)).join(' | ')}`,
    );
  }, rule);
}
