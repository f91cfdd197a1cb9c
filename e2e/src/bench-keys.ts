import type { Page } from 'playwright-core';
import { drawn } from './still.ts';

/** Keys of a few numbers and their deletion, as a hand types them. */
const NUMBERS = ['0.054', '3 thou', '.0021'];
const ROUNDS = 3;
/** Between two keys of a number, and between two deletions, ms. */
const KEY_MS = 150;
const DELETE_MS = 80;
/** The clock of event timing is this coarse, ms: what is quicker is not told at all. */
const QUICK_MS = 8;

export type Echo = { keys: number; median: number; most95: number; longest: number };

/**
 * From a key pressed to the next picture of the page, ms, on a processor so many times as slow: Event Timing's duration, to 8 ms.
 */
export async function echoes(page: Page, field: string, slower: number): Promise<Echo> {
  const devtools = await page.context().newCDPSession(page);
  await devtools.send('Emulation.setCPUThrottlingRate', { rate: slower });
  await page.evaluate(() => {
    const w = window as unknown as { echo: number[]; watch?: PerformanceObserver };
    w.echo = [];
    w.watch?.disconnect();
    w.watch = new PerformanceObserver((list) => {
      for (const e of list.getEntries()) if (e.name === 'keydown') w.echo.push(e.duration);
    });
    w.watch.observe({ type: 'event', durationThreshold: 16 } as PerformanceObserverInit);
  });
  await page.locator(field).focus();
  let keys = 0;
  for (let round = 0; round < ROUNDS; round++)
    for (const text of NUMBERS) {
      await page.keyboard.type(text, { delay: KEY_MS });
      for (let i = 0; i < text.length; i++) await page.keyboard.press('Backspace', { delay: DELETE_MS });
      keys += 2 * text.length;
    }
  await drawn(page);
  const slow = await page.evaluate(() => (window as unknown as { echo: number[] }).echo);
  await devtools.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  await devtools.detach();
  const all = [...Array<number>(Math.max(0, keys - slow.length)).fill(QUICK_MS), ...slow].sort(
    (a, b) => a - b,
  );
  const at = (share: number) => all[Math.min(all.length - 1, Math.floor(share * all.length))] ?? 0;
  return { keys, median: at(0.5), most95: at(0.95), longest: at(1) };
}
