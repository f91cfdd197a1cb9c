import type { Setup } from '@fulcrant/core/job';
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { EVERY_KIND } from '../../core/src/testing/every-kind.ts';
import type { Plant } from '../../packages/trials/src/plant.ts';
import { isKept } from './go.ts';
import { sharedPlant } from './shared-plant.ts';
import { SheetHand } from './sheet-hand.ts';
import { workedTo } from './worked-job.ts';

let plant: Plant;
beforeAll(async () => {
  plant = await sharedPlant();
});
afterAll(() => plant?.close());

const sheetOf = async (page: Page, id: string) =>
  (await page.request.get(`${plant.url}/api/jobs/${id}/sheet.json`)).json();

async function giveReason(page: Page, reason: string, does: string): Promise<void> {
  await page.getByRole('dialog').locator('textarea').fill(reason);
  await page.getByRole('button', { name: does, exact: true }).click();
  await page.getByRole('dialog').waitFor({ state: 'detached' });
}

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
  await page.getByLabel('Pick a position').fill('molasses gear');
  await page.getByRole('button', { name: 'Molasses pump 1, Gear pedestal, fixed' }).click();
  await page.getByRole('button', { name: 'Start job' }).click();
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
  await page.locator('[data-job="common.notSentYet"]').filter({ hasText: 'Molasses pump 1' }).waitFor();
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

it('a signed sheet is corrected as a revision; what was signed stays', async () => {
  const { page, context } = await plant.visit('Asta');
  const feelers = EVERY_KIND['by feelers'] as Setup;
  const signed = await workedTo(page, plant.url, feelers, 'sign', 'revised');
  await page.getByLabel('as recorded here, signed').fill('Asta');
  await page.getByRole('button', { name: 'Sign the sheet' }).click();
  await page.getByText('signed by Asta').first().waitFor();
  await new SheetHand(page).allStored();
  await page.goto(`${plant.url}/jobs/${signed.jobId}/sheet`);
  await page.locator('[data-kept="signed"]').waitFor();
  await page.locator('[data-revise]').click();
  await giveReason(page, 'torque was read off the wrong line', 'Start');
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
