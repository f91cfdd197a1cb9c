import { textKey } from '@fulcrant/core/messages';
import { allDrills } from '@fulcrant/practice';
import '@fulcrant/core/every-trade';
import { afterAll, beforeAll, expect, it } from 'vitest';
import type { Plant } from '../../packages/trials/src/plant.ts';
import { violations } from './axe.ts';
import { beginsBy } from './go.ts';
import { sharedPlant } from './shared-plant.ts';
import { still } from './still.ts';

let plant: Plant;
beforeAll(async () => {
  plant = await sharedPlant();
});
afterAll(() => plant?.close());

it('drills: an order put right by keyboard, a gauge misread comes again, a word that is no number loses nothing; on practice paper', async () => {
  const { page, context, complaints } = await plant.visit('Oskar');
  await page.goto(`${plant.url}/practice/drills`);
  await page.locator('[data-deck="order"]').click();
  const card = page.locator('[data-drill]');
  const drillNow = async () => {
    const id = await card.getAttribute('data-drill');
    const drill = allDrills().find((d) => d.id === id);
    if (!drill) throw new Error(`${id}`);
    return drill;
  };
  // Put right by keyboard: the piece that belongs at each place is lifted and carried up to it.
  const order = await drillNow();
  if (order.form !== 'row') throw new Error(order.id);
  for (const [place, wanted] of order.right.map(textKey).entries()) {
    const now = () =>
      page
        .locator('[data-order-piece]')
        .evaluateAll((all) => all.map((p) => (p as HTMLElement).dataset.orderPiece));
    const at = (await now()).indexOf(wanted);
    if (at === place) continue;
    await page.locator(`[data-order-piece="${wanted}"]`).focus();
    await page.keyboard.press('Space');
    await page.locator(`[data-order-piece="${wanted}"][aria-pressed="true"]`).waitFor();
    await still(page);
    for (let k = at; k > place; k--) {
      await page.keyboard.press('ArrowUp');
      await still(page);
    }
    await page.keyboard.press('Space');
    await expect.poll(async () => (await now()).indexOf(wanted)).toBe(place);
  }
  await page.getByRole('button', { name: 'Check answer' }).click();
  await page.locator('[data-told="true"]').waitFor();
  await page.keyboard.press('Enter');
  await expect.poll(async () => (await drillNow()).id).not.toBe(order.id);

  await page.getByRole('button', { name: 'Other questions' }).click();
  await page.locator('[data-deck="gauge"]').click();
  const gauge = await drillNow();
  if (gauge.form !== 'number') throw new Error(gauge.id);
  await page.getByLabel(/^It reads/).fill('about four');
  await page.keyboard.press('Enter');
  await page.getByRole('alert').first().waitFor();
  await expect.poll(() => page.getByLabel(/^It reads/).inputValue()).toBe('about four');
  await page.getByLabel(/^It reads/).fill(`${gauge.right + 3 * gauge.within}`);
  await page.keyboard.press('Enter');
  await page.locator('[data-told="false"]').waitFor();
  await page.getByText('This question comes again today.').waitFor();
  await page.keyboard.press('Enter');
  await expect.poll(async () => (await drillNow()).id).not.toBe(gauge.id);
  const next = await drillNow();
  if (next.form !== 'number') throw new Error(next.id);
  await page.getByLabel(/^It reads/).fill(`${next.right}`.replace('.', ','));
  await page.keyboard.press('Enter');
  await page.locator('[data-told="true"]').waitFor();
  // It is kept by the person, not the device; and the paper is another.
  const { kept } = await (await page.request.get(`${plant.url}/api/practice/drills`)).json();
  expect(kept.find((k: { id: string }) => k.id === gauge.id)).toMatchObject({ right: 0, wrong: 1 });
  expect(await page.evaluate(() => document.documentElement.dataset.paper)).toBe('practice');
  const found: string[] = [];
  for (const theme of ['day', 'night']) {
    await beginsBy(page, theme);
    for (const deck of ['order', 'stands', 'gauge', null]) {
      await page.goto(`${plant.url}/practice/drills`);
      if (deck) await page.locator(`[data-deck="${deck}"]`).click();
      await still(page);
      found.push(
        ...(await violations(page, theme === 'night' ? 'color-contrast' : undefined)).map(
          (v) => `${deck}, ${theme}: ${v}`,
        ),
      );
    }
  }
  await page.setViewportSize({ width: 390, height: 844 });
  await still(page);
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0);
  expect(found).toEqual([]);
  await page.goto(plant.url);
  expect(await page.evaluate(() => document.documentElement.dataset.paper)).toBeUndefined();
  expect(complaints).toEqual([]);
  await context.close();
});
