import type { StandInHeat, StandInLeak, StandInPump, StandInShaft } from '@fulcrant/core/simulators';
import type { Page } from 'playwright-core';
import { fillOpenBoxes, showUsual } from './opening.ts';
import { SheetHand } from './sheet-hand.ts';

/** Measures a new survey begins with, or that a test may ask for. */
const FLAGS = [
  'Inspect shaft',
  'Shaft diameters',
  'Finish',
  'Run-out',
  'End and radial play',
  'Box face',
  'Box bore',
  'Coupling',
];

/** Open a survey by the form, with just these measures, and answer its gate. */
export async function openSurvey(
  page: Page,
  url: string,
  position: string,
  measures: string[],
  fields: Record<string, string> = {},
): Promise<{ hand: SheetHand; jobId: string }> {
  await page.goto(`${url}/jobs/new`);
  await page.getByRole('button', { name: /^Survey a machine/ }).click();
  await showUsual(page);
  await page.getByLabel('Machine', { exact: true }).fill('Test pump');
  await page.getByLabel('Position', { exact: true }).fill(position);
  for (const name of FLAGS) {
    const flag = page.getByRole('button', { name, exact: true });
    if (((await flag.getAttribute('aria-pressed')) === 'true') !== measures.includes(name))
      await flag.click();
  }
  // A turn swept by the feed is read angle by angle; by itself it would be its whole swing.
  const turn = page.getByLabel('A turn is read', { exact: true });
  if ((await turn.count()) > 0) await turn.selectOption('angles');
  for (const [label, value] of Object.entries(fields))
    await page.getByLabel(label, { exact: true }).fill(value);
  await fillOpenBoxes(page, 'Survey a machine');
  await page.getByRole('button', { name: 'Start job' }).click();
  await page.waitForURL(/\/jobs\/[0-9a-f-]{36}$/);
  const hand = new SheetHand(page);
  await hand.answerAll();
  await hand.on();
  return { hand, jobId: page.url().split('/').at(-1) ?? '' };
}

/** Pair the stand-in bench with a shaft on its rollers, a pump or a warm bearing. */
export async function pair(
  page: Page,
  scene: StandInShaft | StandInPump | StandInHeat | StandInLeak,
): Promise<void> {
  await page.getByRole('button', { name: 'Pair a gauge' }).click();
  await page.locator(`[data-scene="${scene}"]`).click();
  await page.locator('[data-feed="live"]').waitFor({ timeout: 15_000 });
}

/** Sweep the one station's turn through the feed; all of it must have been taken before this returns. */
export async function sweepStation(page: Page): Promise<void> {
  await page.locator('form[data-place="s1/0"]').waitFor();
  await page.locator('[data-sweep-start]').click();
  await page.locator('form[data-place]').waitFor({ state: 'detached', timeout: 40_000 });
}
