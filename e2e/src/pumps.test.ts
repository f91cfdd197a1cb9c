import { afterAll, beforeAll, expect, it } from 'vitest';
import type { Plant } from '../../packages/trials/src/plant.ts';
import { openJob } from './job-hand.ts';
import { sharedPlant } from './shared-plant.ts';
import type { SheetHand } from './sheet-hand.ts';

let plant: Plant;
beforeAll(async () => {
  plant = await sharedPlant();
});
afterAll(() => plant?.close());

const questions = async (hand: SheetHand) => {
  await hand.answerAll();
  await hand.on();
};
/** Every part tagged: what is never used again is renewed. */
async function tags(hand: SheetHand): Promise<void> {
  const parts = hand.page.locator('[data-tag]');
  await parts.first().waitFor();
  for (let i = 0; i < (await parts.count()); i++) {
    const part = parts.nth(i);
    const renewed = (await part.getByText('always new').count()) > 0;
    await part.getByRole('button', { name: renewed ? /renew$/ : /use again$/ }).click();
  }
  await hand.page.locator('[data-tag="none"]').first().waitFor({ state: 'detached' });
  await hand.on();
}
/** A plate or a head: the free holes, then what fills the two is out, then all. */
async function over(hand: SheetHand, filled: string): Promise<void> {
  await hand.bolts();
  expect(await hand.page.locator('[data-part="filled"]').count()).toBe(2);
  expect(await hand.page.locator('[data-pass-step]').isDisabled()).toBe(true);
  await hand.page.locator(`[data-item="${filled}"]`).getByRole('button', { name: /^OK/ }).click();
  await hand.page.locator('[data-part="filled"]').first().waitFor({ state: 'detached' });
  await hand.page.locator('form[data-pass]').waitFor();
  await hand.bolts();
  await hand.on();
}

it('a gear pump: a lip the wrong way, a stack that comes out too tight, a pump that will not turn; built, and signed', async () => {
  const { page, context, complaints } = await plant.visit('Bram');
  const { hand, jobId } = await openJob(page, plant.url, {
    work: 'Rebuild a gear pump',
    position: 'Gear pump',
    choices: { 'Lost under torque': 'measured here, three stacks' },
    fields: {
      'Bolts of an end plate': '4',
      'Thin, each': '.004"',
      'End plate torque': '37 lbf·ft',
      'Shaft nut torque': '64 N·m',
    },
  });
  await tags(hand);
  await questions(hand); // cleaned

  // Every lip is ticked as drawn but one.
  const lips = page.locator('[data-fitted]');
  await lips.first().waitFor();
  for (let i = 0; i < (await lips.count()); i++)
    await lips
      .nth(i)
      .getByRole('button', { name: i === 5 ? /outward$/ : /inward$/ })
      .click();
  await page.locator('[data-fitted="none"]').first().waitFor({ state: 'detached' });
  expect(await page.locator('[data-pass-step]').isDisabled()).toBe(true);
  expect(await page.locator('main').textContent()).toContain('it must face inward');
  await lips
    .nth(5)
    .getByRole('button', { name: /inward$/ })
    .click();
  await hand.on();
  await questions(hand); // bench

  // Three stacks, loose and under torque: 8 % each.
  for (const raw of ['0.50', '0.46', '0.40', '0.368', '0.60']) await hand.read('compress', raw);
  await hand.last('compress', '0.552');
  await hand.on();
  await questions(hand); // front plate
  await over(hand, 'pins');
  await questions(hand); // gears

  await hand.answerAll();
  for (const raw of ['0.60', '0.02', '0.01', '0.02']) await hand.read('clearance', raw);
  await hand.last('clearance', '0.01');
  await hand.judged('gaskets.clearance', 'reject');
  await page.getByText('a gear would be clamped').first().waitFor();
  await page.reload();
  await page.locator('[data-repeat]').click();
  await page.getByRole('dialog').locator('textarea').fill('one more of 0.2');
  await page.getByRole('button', { name: 'Measure again' }).click();
  await hand.answerAll();
  await page.locator('form[data-place="stack"] input').fill('rubbish');
  await page.keyboard.press('Enter');
  await page
    .locator('form[data-place="stack"]')
    .getByText(/number|length|understand/i)
    .first()
    .waitFor();
  for (const raw of ['0.50', '.008"', '0.21', '0.20']) await hand.read('clearance', raw);
  await hand.last('clearance', '0.19');
  await hand.judged('gaskets.clearance', 'accept');
  await hand.on();

  await questions(hand); // rear plate
  await over(hand, 'pins');
  await questions(hand); // drain plugs
  await questions(hand); // small chambers
  const turns = page.locator('[data-item="turns"]');
  await turns.getByRole('button', { name: /^Not OK/ }).click();
  await page.locator('[data-causes]').waitFor();
  expect(await page.locator('[data-pass-step]').isDisabled()).toBe(true);
  await turns.getByRole('button', { name: /^OK/ }).click();
  await page.locator('[data-causes]').waitFor({ state: 'detached' });
  await hand.on();
  await questions(hand); // drive side
  await questions(hand); // main bearing
  await questions(hand); // lock ring
  await hand.bolts();
  await questions(hand); // nut
  await questions(hand); // hand turn
  await questions(hand); // closed up
  await hand.sign('Bram');

  const sheet = await (await page.request.get(`${plant.url}/api/jobs/${jobId}/sheet.json`)).json();
  // 37 lbf·ft is 50.2 N·m; 8 % of half a millimetre is lost.
  expect(sheet.results.torqueNm).toBeCloseTo(50.2, 1);
  expect(sheet.results.clearanceMinMm).toBeCloseTo(0.19 - 0.04, 6);
  expect(sheet.results.clearanceMaxMm).toBeCloseTo(0.21 - 0.04, 6);
  expect(sheet.results.stackMm).toBe(0.5);
  expect(JSON.stringify(sheet.document)).toContain('one more of 0.2');
  expect(complaints).toEqual([]);
  await context.close();
});
