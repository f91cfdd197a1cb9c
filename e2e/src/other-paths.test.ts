import type { Setup } from '@fulcrant/core/engine/setup';
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { EVERY_KIND } from '../../core/src/testing/every-kind.ts';
import { isKept } from './go.ts';
import { type Plant, signIn } from './plant.ts';
import { sharedPlant } from './shared-plant.ts';
import { SheetHand } from './sheet-hand.ts';
import { workedTo } from './worked-job.ts';

let plant: Plant;
beforeAll(async () => {
  plant = await sharedPlant();
});
afterAll(() => plant?.close());

async function openJob(page: Page, machine: string, position: string): Promise<string> {
  const { jobs } = await (await page.request.get(`${plant.url}/api/jobs?limit=200`)).json();
  const job = jobs.find(
    (j: { machine: string; position: string }) => j.machine === machine && j.position.startsWith(position),
  );
  await page.goto(`${plant.url}/jobs/${job.id}`);
  await page.locator('[data-act]').waitFor();
  return job.id;
}

const sheetOf = async (page: Page, id: string) =>
  (await page.request.get(`${plant.url}/api/jobs/${id}/sheet.json`)).json();

/** Choose something from the drawer of rarer acts. */
async function more(page: Page, label: string): Promise<void> {
  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('button', { name: label }).click();
}

async function giveReason(page: Page, reason: string, does: string): Promise<void> {
  await page.getByRole('dialog').locator('textarea').fill(reason);
  await page.getByRole('button', { name: does, exact: true }).click();
  await page.getByRole('dialog').waitFor({ state: 'detached' });
}

it('an inch shaft is measured in inches and thousandths, and shown in either unit', async () => {
  const { page, context, complaints } = await plant.visit('Bram');
  const id = await openJob(page, 'Lime-milk pump 2', 'Drive pedestal');
  const hand = new SheetHand(page);
  await page.locator('form[data-place="s2/60"]').waitFor();
  await page.keyboard.press('F2');
  await page.getByText('in, show mm').waitFor();
  // A bare number is now inches, a fraction always is.
  await hand.read('shaft', '2.4369');
  await hand.read('shaft', '2 87/200');
  await hand.read('shaft', '61.894 mm');
  await hand.read('shaft', '2.4370');
  await page.locator('form[data-place] input').fill('2 7/16');
  await page.getByText('61.912 mm · 2.4375 in').waitFor();
  // 2 7/16 is the nominal itself: within the micrometer's doubt of the upper limit, so it is too close to call.
  await hand.judged('shaft.largest', 'too-close');
  await page.locator('form[data-place] input').fill('2.4367');
  await page.keyboard.press('Enter');
  await page.locator('form[data-place]').waitFor({ state: 'detached' });
  await page.locator('svg[aria-label^="Shaft seat"]').getByText('2.4369').first().waitFor();
  await page.keyboard.press('F2');
  await page.locator('svg[aria-label^="Shaft seat"]').getByText('61.897').first().waitFor();
  await hand.allStored();
  const sheet = await sheetOf(page, id);
  expect(sheet.readings.at(-4).value).toBeCloseTo((2 + 87 / 200) * 25.4, 9);
  expect(complaints).toEqual([]);
  await context.close();
});

it('the maker’s sheet arrives mid-job: its values outrank the table, and the record says so', async () => {
  const { page, context } = await plant.visit('Asta');
  const id = await openJob(page, 'Pulp press drive', 'Gearbox');
  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('link', { name: /Change bearing/ }).click();
  await page.getByLabel('Reduction, least').fill('2 thou');
  await page.getByLabel('Reduction, most').fill('0.045');
  await page.getByRole('button', { name: 'Change it' }).click();
  await page.getByText('lower limit stands above its upper').waitFor();
  await page.getByLabel('Reduction, most').fill('0.058');
  await page.getByRole('button', { name: 'Change it' }).click();
  await page.getByText('A reason takes a few words.').waitFor();
  await page.getByLabel('Why it is changed').fill('sheet found in the box');
  await page.getByRole('button', { name: 'Change it' }).click();
  await page.locator('form[data-place]').waitFor();
  await page.getByText("Maker's sheet, typed in by hand").first().waitFor();
  await new SheetHand(page).allStored();
  const sheet = await sheetOf(page, id);
  expect(sheet.setupChanges).toMatchObject([
    {
      by: 'Asta',
      reason: 'sheet found in the box',
      changed: ['Reduction, least', 'Reduction, most'],
    },
  ]);
  expect(sheet.setup.maker).toEqual({ reductionMinMm: 0.0508, reductionMaxMm: 0.058 });
  await context.close();
});

it('a fitter holds a step, a lead hand releases it with a note, and both stand on the sheet', async () => {
  const { page, context } = await plant.visit('Asta');
  const id = await openJob(page, 'Pulp press drive', 'Gearbox');
  await more(page, 'Hold this step');
  await page.getByRole('button', { name: 'Hold', exact: true }).click();
  await page.getByText('A reason takes a few words.').waitFor();
  await giveReason(page, 'spanner is at the workshop', 'Hold');
  await page.getByRole('heading', { name: 'Held' }).waitFor();
  expect(await page.locator('form[data-place]').count()).toBe(0);
  await more(page, 'Note on the sheet');
  await giveReason(page, 'spanner promised for two o’clock', 'Write it');
  await new SheetHand(page).allStored();
  await page.goto(plant.url);
  await page.locator('[data-job]').filter({ hasText: 'spanner is at the workshop' }).waitFor();

  await signIn(page, plant.url, 'Imke');
  await page.goto(`${plant.url}/jobs/${id}`);
  await page.getByRole('button', { name: 'Release the hold' }).click();
  await giveReason(page, 'spanner is back', 'Release');
  await page.locator('form[data-place]').waitFor();
  await new SheetHand(page).allStored();
  const sheet = await sheetOf(page, id);
  expect(sheet.holds).toMatchObject([{ reason: 'spanner is at the workshop', released: { by: 'Imke' } }]);
  expect(sheet.notes).toMatchObject([{ by: 'Asta', text: 'spanner promised for two o’clock' }]);
  await context.close();
});

it('bolts go in the pattern; one that still moves asks for another round; loosened ones begin anew', async () => {
  const { page, context } = await plant.visit('Imke');
  const id = await openJob(page, 'Beet washer drum', 'Gear side');
  await page.getByRole('button', { name: 'Release the hold' }).click();
  await page.getByRole('button', { name: 'Release', exact: true }).click();
  const form = page.locator('form[data-bolt]');
  await form.waitFor();
  const hand = new SheetHand(page);
  const order: string[] = [];
  const tick = async () => {
    const before = `${await form.getAttribute('data-pass')}/${await form.getAttribute('data-bolt')}`;
    order.push(before);
    await form.getByRole('button', { name: /^(Hand tight|Tight)$/ }).click();
    await page.waitForFunction((b) => {
      const f = document.querySelector<HTMLElement>('form[data-bolt]');
      return !f || `${f.dataset.pass}/${f.dataset.bolt}` !== b;
    }, before);
  };
  for (let i = 0; i < 4; i++) await tick();
  expect(order).toEqual(['0/1', '0/3', '0/2', '0/4']);
  // A torque that is not the pass's is refused beside the field and stays there.
  await form.locator('input').first().fill('300 Nm');
  await form.getByRole('button', { name: 'Tight' }).click();
  await page.getByText(/is not the 30 % torque/).waitFor();
  await form.locator('input').first().fill('88 lbf ft');
  for (let i = 0; i < 12; i++) await tick();
  await form.getByLabel('it still moved').check();
  for (let i = 0; i < 4; i++) await tick();
  expect(await form.getAttribute('data-pass')).toBe('5');
  await more(page, 'All bolts loosened: begin again');
  await giveReason(page, 'cap sat on a burr', 'They are loose');
  await page.locator('form[data-pass="0"][data-bolt="1"]').waitFor();
  await hand.bolts();
  await hand.on();
  await hand.allStored();
  const sheet = await sheetOf(page, id);
  expect(sheet.loosenings).toMatchObject([{ by: 'Imke', reason: 'cap sat on a burr' }]);
  expect(sheet.bolts).toHaveLength(40);
  // 88 lbf·ft = 119.3 N·m (units -t '88 lbf ft' 'N m' → 119.31198)
  expect(sheet.bolts[4].torqueNm).toBeCloseTo(119.31198, 4);
  await context.close();
});

it('a gauge of one’s own goes into the register and comes to hand', async () => {
  const { page, context } = await plant.visit('Asta');
  await page.goto(plant.url);
  await page.getByRole('link', { name: /^All \d+ gauges/ }).click();
  await page.getByRole('link', { name: 'Add a gauge' }).click();
  await page.getByRole('button', { name: 'Into the register' }).click();
  await page.getByText('Write the date like').waitFor();
  await page.getByLabel('Name, as it is called here').fill('Feelers Z');
  await page.getByLabel(/^Step/).fill('half');
  await page.getByLabel('Calibration due').fill('2031-01-31');
  await page.getByLabel('Reads from').fill('0.02');
  await page.getByLabel('Reads to').fill('1');
  await page.getByRole('button', { name: 'Into the register' }).click();
  await page.getByText('not a length').waitFor();
  await expect.poll(() => page.getByLabel('Name, as it is called here').inputValue()).toBe('Feelers Z');
  await page.getByLabel(/^Step/).fill('0.02');
  await page.getByRole('button', { name: 'Into the register' }).click();
  await page.getByRole('heading', { name: 'Gauges' }).waitFor();
  await page.locator('tr', { hasText: 'Feelers Z' }).getByText('31 Jan 2031').waitFor();
  const id = await openJob(page, 'Pulp press drive', 'Gearbox');
  await page.getByLabel('Gauge in hand').selectOption({ label: 'Feelers Z' });
  const hand = new SheetHand(page);
  await hand.read('driveup', '0.055');
  await hand.allStored();
  const last = (await sheetOf(page, id)).readings.at(-1);
  expect(last).toMatchObject({ instrument: 'Feelers Z', resolution: 0.02, typed: '0.055' });
  // The choice is remembered for the next reading and after a reload.
  await page.reload();
  await page.locator('form[data-place]').waitFor();
  await page
    .getByLabel('Gauge in hand')
    .locator('option:checked', { hasText: 'Feelers Z' })
    .waitFor({ state: 'attached' });
  await context.close();
});

it('a job is opened, worked and reloaded on a device that has no connection, and arrives whole', async () => {
  const { page, context } = await plant.visit('Asta', { away: true });
  await page.goto(plant.url);
  await isKept(page);
  await page.getByRole('link', { name: 'Open a job' }).click();
  await page.getByRole('button', { name: 'Molasses pump 1, Gear pedestal, fixed' }).waitFor();
  await page.goto(plant.url);
  await page.locator('[data-job]').first().waitFor();
  await context.setOffline(true);
  await page.getByRole('link', { name: 'Open a job' }).click();
  await page.getByLabel('A position the plant knows').fill('molasses gear');
  await page.getByRole('button', { name: 'Molasses pump 1, Gear pedestal, fixed' }).click();
  await page.getByRole('button', { name: 'Open the sheet' }).click();
  await page.waitForURL(/\/jobs\/[0-9a-f-]{36}$/);
  const hand = new SheetHand(page);
  // A glove taps twice before the first tap is drawn: one answer.
  await page
    .locator('[data-item] button')
    .first()
    .evaluate((yes: HTMLElement) => [yes, yes].map((y) => y.click()));
  await hand.answerAll();
  await hand.on();
  await hand.read('shaft', '79.974');
  await hand.read('shaft', '79.973');
  await page.getByText('not sent yet').waitFor();
  await page.reload();
  await page.locator('form[data-place="s1/120"]').waitFor();
  const waiting = await hand.waiting();
  expect(waiting).toBe(14);
  await page.goto(plant.url);
  await page.locator('[data-job="not sent"]').filter({ hasText: 'Molasses pump 1' }).waitFor();
  await context.setOffline(false);
  await hand.allStored();
  const { jobs } = await (await page.request.get(`${plant.url}/api/jobs?limit=200`)).json();
  const molasses = jobs.filter(
    (j: { machine: string; kind: string }) =>
      j.machine === 'Molasses pump 1' && j.kind !== 'condition.survey',
  );
  expect(molasses).toHaveLength(1);
  const { events } = await (await page.request.get(`${plant.url}/api/jobs/${molasses[0].id}`)).json();
  expect(events).toHaveLength(14);
  expect(new Set(events.map((e: { id: string }) => e.id)).size).toBe(14);
  await context.close();
});

it('a limit typed after the reading lifts no stop until somebody else has looked; a signed sheet is corrected as a revision', async () => {
  const { page, context } = await plant.visit('Asta');
  const feelers = EVERY_KIND['by feelers'] as Setup;
  const { jobId, hand } = await workedTo(page, plant.url, feelers, 'shaft', 'second look');
  const from = hand.events.length;
  hand.survey([89.7, 89.7, 89.7, 89.7, 89.7, 89.7, 89.7, 89.7, 89.7]);
  hand.do('setup.changed', {
    setup: { ...hand.state.setup, maker: { shaftLowerMm: 89, shaftUpperMm: 90 } } as Setup,
    reason: 'as the sheet says',
  });
  await page.request.post(`${plant.url}/api/jobs/${jobId}/events`, {
    data: { events: hand.events.slice(from) },
  });
  await page.reload();
  await page.locator('[data-finding="shaft.unseen"]').waitFor();
  await page.getByText('You made the change').waitFor();
  expect(await page.locator('[data-look]').count()).toBe(0);
  // One alone goes on, flagged; what waits for the look is the signature.
  expect(await page.locator('[data-pass-step]').isDisabled()).toBe(false);
  const other = await plant.visit('Bram');
  await other.page.goto(`${plant.url}/jobs/${jobId}`);
  await other.page.locator('[data-look]').click();
  await other.page.locator('[data-finding="shaft.unseen"]').waitFor({ state: 'detached' });
  await new SheetHand(other.page).allStored();
  const looked = await sheetOf(other.page, jobId);
  expect(looked.setupChanges[0].seen).toMatchObject({ by: 'Bram' });
  await other.context.close();

  const signed = await workedTo(page, plant.url, feelers, 'sign', 'revised');
  await page.getByLabel('as recorded here, signed').fill('Asta');
  await page.getByRole('button', { name: 'Sign the sheet' }).click();
  await page.getByText('signed by Asta').first().waitFor();
  await new SheetHand(page).allStored();
  await page.goto(`${plant.url}/jobs/${signed.jobId}/sheet`);
  await page.locator('[data-kept="signed"]').waitFor();
  await page.locator('[data-revise]').click();
  await giveReason(page, 'torque was read off the wrong line', 'Open it');
  await page.waitForURL(/\/jobs\/[0-9a-f-]{36}$/);
  await page.getByRole('button', { name: 'Sign the sheet' }).click();
  await page.getByText('signed by Asta').first().waitFor();
  await new SheetHand(page).allStored();
  await page.goto(`${plant.url}/jobs/${signed.jobId}/sheet`);
  await page.getByText('revision 2').first().waitFor();
  await page.getByRole('link', { name: /Revision 1, signed by Asta/ }).click();
  await page.waitForURL(/revision=1/);
  await page.locator('[data-kept="signed"]').waitFor();
  expect((await sheetOf(page, signed.jobId)).revisions).toMatchObject([
    { n: 2, reason: 'torque was read off the wrong line', signedBefore: 'Asta' },
  ]);
  await context.close();
});
