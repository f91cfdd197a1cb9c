import type { Setup } from '@fulcrant/core/job';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { EVERY_KIND } from '../../core/src/testing/every-kind.ts';
import type { Plant } from '../../packages/trials/src/plant.ts';
import { openJob, survey } from './job-hand.ts';
import { sharedPlant } from './shared-plant.ts';
import { SheetHand } from './sheet-hand.ts';
import { still } from './still.ts';
import { workedTo } from './worked-job.ts';

let plant: Plant;
beforeAll(async () => {
  plant = await sharedPlant();
});
afterAll(() => plant?.close());

const SEAT = { 'Places along': '2', 'Angles at each place': '3' };
/** Two rows of three readings round 59.99. */
const AROUND = 60.016;
const asked = (hand: SheetHand) => async () => {
  await hand.answerAll();
  await hand.on();
};
const screws = (hand: SheetHand) => async () => {
  await hand.bolts();
  await hand.on();
};
/** Leakage and warmth at the start, and an early look that closes nothing. */
async function prove(hand: SheetHand): Promise<void> {
  for (const drops of ['4', '2']) {
    await hand.read('proof', drops);
    await hand.read('proof', '42 °C');
  }
  await hand.judged('proof.early', 'caution');
  await hand.answerAll();
  expect(await hand.page.locator('[data-pass-step]').isDisabled()).toBe(true);
}
/** A lead hand lets the sheet be signed before a check is due; the fitter goes on. */
async function letBeSigned(hand: SheetHand): Promise<void> {
  await hand.allStored();
  const lead = await plant.visit('Imke');
  await lead.page.goto(hand.page.url());
  await lead.page
    .locator('[data-finding="proof.due"]')
    .getByRole('button', { name: 'Accept this, by name' })
    .click();
  await lead.page.getByRole('dialog').locator('textarea').fill('the late shift looks every hour');
  await lead.page.getByRole('button', { name: 'Accept', exact: true }).click();
  await lead.page.getByText('Accepted by Imke').waitFor();
  await new SheetHand(lead.page).allStored();
  await lead.context.close();
  await hand.page.reload();
  await hand.page.getByText('Accepted by Imke').waitFor();
  await hand.page.locator('[data-pass-step]').click();
}

it('a fully split seal: splits in line stop it until they are turned on the clock face', async () => {
  const { page, context, complaints } = await plant.visit('Bram');
  const { hand, jobId } = await openJob(page, plant.url, {
    work: 'Fit a seal',
    position: 'Split',
    depth: 'Thorough',
    on: ['Shaft diameters'],
    choices: { 'Seal family': 'Fully split seal' },
    fields: {
      ...SEAT,
      'Joint screws': '2',
      'Joint or clamp-ring torque': '6 N·m',
    },
  });
  const questions = asked(hand);
  await questions(); // parts
  await survey(hand, AROUND);
  await questions(); // halves
  await questions(); // holder
  await hand.answerAll(); // the spacer is held
  await hand.bolts();
  await hand.on();
  await hand.read('splitgaps', '0.10');
  await hand.last('splitgaps', '0.10');
  await questions();
  await questions(); // faces

  const knob = page.locator('[data-knob]');
  const field = page.locator('form[data-place] input');
  for (const at of ['90', '95', '200']) await hand.read('angles', at);
  await hand.last('angles', '210');
  expect(await page.locator('[data-pass-step]').isDisabled()).toBe(true);
  expect(await page.locator('main').textContent()).toContain('stand only 5° apart');
  await page.locator('[data-repeat]').click();
  await page.getByRole('dialog').locator('textarea').fill('rotary turned on');
  await page.getByRole('button', { name: 'Measure again' }).click();
  await hand.read('angles', '90');
  // The rotary split is set by keys on the figure: 5° each, and 1° with Shift.
  await knob.focus();
  for (let i = 0; i < 29; i++) await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Shift+ArrowRight');
  // The last key is drawn a frame later on a busy machine.
  await expect.poll(() => field.inputValue()).toBe('146');
  await page.getByRole('button', { name: 'Store' }).click();
  await page.locator('form[data-place="rotary-seam"]').waitFor();
  // The seam is dragged there: straight down is 180°.
  const box = await knob.boundingBox();
  const face = await page.locator('main svg[role="group"]').first().boundingBox();
  if (!box || !face) throw new Error('The clock face is not there.');
  const scale = face.height / 318;
  const middle = { x: box.x + box.width / 2, y: face.y + 156 * scale };
  await page.mouse.move(middle.x, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(middle.x + 110 * scale, middle.y, { steps: 6 });
  await page.mouse.move(middle.x, middle.y + 110 * scale, { steps: 6 });
  await page.mouse.up();
  // The end of the way is drawn a frame later on a busy machine.
  await expect.poll(async () => Math.abs(Number(await field.inputValue()) - 180)).toBeLessThan(5);
  await hand.read('angles', '210');
  await hand.last('angles', '210');
  await hand.on();

  await questions(); // gland halves
  await hand.last('glandangle', '0');
  await hand.on();
  await screws(hand)();
  await questions(); // flush and drain
  await screws(hand)();
  for (let i = 0; i < 3; i++) await hand.read('gland-gaps', '0.40');
  await hand.last('gland-gaps', '0.40');
  await hand.on();
  await questions(); // placement
  await hand.last('baseline', '0.10');
  await hand.on();
  await questions(); // hand turn
  await questions(); // pipes
  await questions(); // ready
  await prove(hand);
  await letBeSigned(hand);
  await hand.sign('Bram');
  const sheet = await (await page.request.get(`${plant.url}/api/jobs/${jobId}/sheet.json`)).json();
  const angles = sheet.steps.find((s: { id: string }) => s.id === 'angles');
  expect(angles.before).toHaveLength(1);
  expect(sheet.results.baselineMm).toBeCloseTo(0.1, 9);
  expect(complaints).toEqual([]);
  await context.close();
});

it('parts of a plunger are laid in order by keyboard and by hand', async () => {
  const { page, context, complaints } = await plant.visit('Asta');
  await workedTo(page, plant.url, EVERY_KIND.plunger as Setup, 'order', 'Plunger');
  await page.getByRole('button', { name: 'This is the order' }).click();
  await page.locator('[data-finding="parts.order"][data-verdict="reject"]').waitFor();

  const order = () =>
    page.locator('[data-part]').evaluateAll((all) => all.map((x) => (x as HTMLElement).dataset.part));
  const move = async (part: string, key: 'ArrowLeft' | 'ArrowRight', times: number) => {
    await page.locator(`[data-part="${part}"] button`).focus();
    for (const k of ['Space', ...Array<string>(times).fill(key), 'Space']) {
      await page.keyboard.press(k);
      await still(page);
    }
  };
  await move('bottom-ring', 'ArrowLeft', 3);
  expect((await order())[0]).toBe('bottom-ring');
  await move('header', 'ArrowLeft', 2);
  // The wiper goes to the nut by hand.
  const from = await page.locator('[data-part="wiper"]').boundingBox();
  const to = await page.locator('[data-part="adapter"]').boundingBox();
  if (!from || !to) throw new Error('The parts are not there.');
  await page.mouse.move(from.x + from.width / 2, from.y + 40);
  await page.mouse.down();
  await page.mouse.move(to.x + to.width / 2, to.y + 44, { steps: 12 });
  await page.mouse.up();
  await still(page);
  expect(await order()).toEqual(['bottom-ring', 'header', 'pressure-2', 'pressure-1', 'adapter', 'wiper']);
  await page.getByRole('button', { name: 'This is the order' }).click();
  await page.locator('[data-finding="parts.order"][data-verdict="accept"]').waitFor();
  expect(complaints).toEqual([]);
  await context.close();
});
