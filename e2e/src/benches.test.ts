import { layOut, rigOf } from '@fulcrant/practice';
import '@fulcrant/core/every-trade';
import { afterAll, beforeAll, expect, it } from 'vitest';
import type { Plant } from '../../packages/trials/src/plant.ts';
import { violations } from './axe.ts';
import { RigHand } from './rig-hand.ts';
import { sharedPlant } from './shared-plant.ts';
import { drawn, still } from './still.ts';

let plant: Plant;
beforeAll(async () => {
  plant = await sharedPlant();
});
afterAll(() => plant?.close());

/** The first seed that lays a bench with this fault alone. */
function seedWith(id: string, fault: string): number {
  const rig = rigOf(id);
  for (let seed = 1; rig && seed < 300; seed++) {
    const laid = layOut(rig, seed, 'one');
    if (laid.faults.has(fault) && laid.looks.length === 0) return seed;
  }
  throw new Error(`${id} ${fault}`);
}

it('a bearing with a burr under its sleeve: looked at, measured and felt on its own sheet, stopped for what is seen, and debriefed', async () => {
  const { page, context, complaints } = await plant.visit('Asta');
  const seed = seedWith('sleeve', 'burr');
  await page.goto(`${plant.url}/practice/bench/sleeve?difficulty=one&seed=${seed}`);
  await page.locator('[data-rig="sleeve"]').waitFor();
  await expect.poll(() => page.evaluate(() => document.documentElement.dataset.paper)).toBe('practice');
  const hand = new RigHand(page, /bright scratch/);
  expect(await hand.look()).toBe(false);
  await hand.pass();
  // Nothing that belongs to a record is offered.
  await page.getByRole('button', { name: 'More' }).click();
  expect(await page.getByRole('dialog').textContent()).not.toMatch(/Photograph|Cancel this job|CSV/);
  expect(await page.getByRole('dialog').getByRole('link').count()).toBe(0);
  await page.keyboard.press('Escape');
  // Nothing of the truth is on the page, and no number but what the gauge shows.
  expect(await page.locator('body').textContent()).not.toMatch(/burr under/i);
  for (let i = 0; i < 4; i++) await hand.read();
  // Loaded anew, what was written and handled is still there.
  await page.reload();
  await page.locator('[data-rig="sleeve"]').waitFor();
  expect(await hand.place).toBe('s2/60');
  for (let i = 0; i < 5; i++) await hand.read();
  await hand.pass();
  await hand.look();
  await hand.pass();
  while ((await page.locator('[data-pass-step]:not([disabled])').count()) === 0) await hand.read();
  await hand.look();
  await hand.pass();
  await hand.pass();
  expect(await hand.look()).toBe(true);
  await hand.call(['burr']);
  expect(Number(await page.locator('[data-debrief]').getAttribute('data-debrief'))).toBeGreaterThan(90);
  await page.locator('[data-truth="burr"]').waitFor();
  await still(page);
  expect(await violations(page)).toEqual([]);
  await page.getByRole('button', { name: 'Answer once more' }).click();
  await page.getByRole('slider', { name: 'Which act' }).press('End');
  await page.getByText('A burr under the sleeve').nth(1).waitFor();
  await page.getByRole('button', { name: 'Hide the true values' }).click();
  // It is in the log, and nowhere among the jobs.
  await page.goto(`${plant.url}/practice/log`);
  await page.locator('[data-result]').getByText('Bearing on a sleeve').first().waitFor();
  await page.goto(plant.url);
  await page.locator('[data-job]').first().waitFor();
  expect(await page.getByText('Practice bench').count()).toBe(0);
  expect(complaints).toEqual([]);
  await context.close();
});

it('who teaches sets a bench and signs; the hand works it, its truth stays with the server; wrong words lose nothing', async () => {
  const imke = await plant.visit('Imke');
  const lead = imke.page;
  await lead.goto(`${plant.url}/practice/log`);
  const set = lead.getByRole('form', { name: 'Set a practice job' });
  await set.getByLabel('Job number').fill('twelve');
  await set.getByRole('button', { name: 'Save' }).click();
  await set.getByRole('alert').first().waitFor();
  await set.getByRole('combobox', { name: 'Practice job' }).click();
  await lead.getByRole('option', { name: 'Seat of a seal' }).click();
  await set.getByLabel('Job number').fill('12');
  await set.getByLabel('Note to the class').fill('before the stop');
  await set.getByRole('button', { name: 'Save' }).click();
  await set.getByText('Saved.').waitFor();

  const { page, context, complaints } = await plant.visit('Bram');
  const answers: string[] = [];
  page.on('response', async (r) => {
    if (r.url().includes('/api/practice/')) answers.push(await r.text().catch(() => ''));
  });
  await page.goto(`${plant.url}/practice`);
  await page.locator('[data-set]').filter({ hasText: 'before the stop' }).getByRole('link').click();
  const hand = new RigHand(page, /curl off|lies open/);
  await page.locator('[data-rig="seat"]').waitFor();
  await hand.look();
  await hand.pass();
  await hand.look();
  await hand.pass();
  while ((await page.locator('[data-bring]').count()) > 0) await hand.read();
  const laid = layOut(rigOf('seat') as NonNullable<ReturnType<typeof rigOf>>, 12, 'one');
  expect(answers.length).toBeGreaterThan(10);
  for (const a of answers) for (const f of laid.faults) expect(a).not.toContain(`"${f}"`);
  await hand.call([...laid.faults]);
  expect(Number(await page.locator('[data-debrief]').getAttribute('data-debrief'))).toBeGreaterThan(90);
  // Loaded anew it is in the log, and not worked a second time.
  await page.reload();
  await page.waitForURL(/practice\/results\//);
  await page.locator('[data-debrief]').waitFor();
  await page.goto(`${plant.url}/practice`);
  await page
    .locator('[data-set]')
    .filter({ hasText: 'before the stop' })
    .getByText(/of 100/)
    .waitFor();
  expect(complaints).toEqual([]);
  await context.close();

  await lead.reload();
  await lead
    .locator('[data-class-set]')
    .filter({ hasText: /Seat of a seal.*Bram \d+/ })
    .first()
    .waitFor();
  const sign = lead.getByRole('form', { name: 'Sign a competence' });
  await sign.getByRole('button', { name: 'Sign' }).click();
  await sign.getByRole('alert').first().waitFor();
  await sign.getByLabel('What was seen').fill('Measured a seat alone, found the taper.');
  await sign.getByRole('combobox', { name: 'Who' }).click();
  await lead.getByRole('option', { name: 'Bram' }).click();
  await sign.getByRole('combobox', { name: 'Trade' }).click();
  await lead.getByRole('option', { name: 'Survey a machine' }).click();
  await sign.getByLabel('To be renewed by').fill('2020-01-01');
  await sign.getByRole('button', { name: 'Sign' }).click();
  await sign.getByText('lies ahead').waitFor();
  await sign.getByLabel('To be renewed by').fill('2099-06-30');
  await sign.getByRole('button', { name: 'Sign' }).click();
  await lead.locator('[data-competence]').getByText('found the taper').waitFor();
  await still(lead);
  expect(await violations(lead)).toEqual([]);
  expect(imke.complaints).toEqual([]);
  await imke.context.close();
});

it('a first visit sits down at a bench without signing in; by night, on a tablet and a phone nothing is cut off', async () => {
  const context = await plant.device({ viewport: { width: 1024, height: 768 } });
  const page = await context.newPage();
  await page.goto(`${plant.url}/sign-in`);
  await page.evaluate(() => localStorage.setItem('fulcrant.theme', 'night'));
  await page.reload();
  await page.getByRole('link', { name: /Try practice/ }).click();
  await page.locator('[data-bench="shaft"]').click();
  await page.locator('[data-rig="shaft"]').waitFor();
  const hand = new RigHand(page, /hammer mark/);
  await hand.look();
  await hand.pass();
  await hand.look();
  await still(page);
  expect(await violations(page)).toEqual([]);
  for (const size of [
    { width: 1024, height: 768 },
    { width: 800, height: 1280 },
    { width: 390, height: 844 },
  ]) {
    await page.setViewportSize(size);
    await drawn(page);
    expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(
      0,
    );
  }
  await hand.call(['bent']);
  await still(page);
  expect(await violations(page)).toEqual([]);
  await context.close();
});
