import type { Setup } from '@fulcrant/core/engine/setup';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { EVERY_KIND } from '../../core/src/testing/every-kind.ts';
import { violations } from './axe.ts';
import { heldBack } from './held-back.ts';
import type { Plant } from './plant.ts';
import { sharedPlant } from './shared-plant.ts';
import { SheetHand } from './sheet-hand.ts';
import { still } from './still.ts';
import { workedTo } from './worked-job.ts';

let plant: Plant;
beforeAll(async () => {
  plant = await sharedPlant();
});
afterAll(() => plant?.close());

const kind = (name: string): Setup => EVERY_KIND[name] as Setup;
const focused = 'form[data-place] input:focus';

it('a reading is mended by touching it in the matrix, and the hand goes on at the field', async () => {
  const { page, context, complaints } = await plant.visit('Asta');
  await workedTo(page, plant.url, kind('by feelers'), 'shaft', 'Mended seat');
  const hand = new SheetHand(page);
  for (const raw of ['89.974', '89.573', '89.976']) await hand.read('shaft', raw);
  const slip = page.locator('[data-mend="s1/60"]');
  expect(await slip.getAttribute('aria-label')).toBe('89.573: mend station 1 at 60°');
  await still(page);
  expect(await violations(page)).toEqual([]);
  await slip.focus();
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog');
  await dialog.getByText('typed “89.573”').waitFor();
  await dialog.locator('textarea').fill('a digit slipped');
  await dialog.getByRole('button', { name: 'Withdraw it' }).click();
  await dialog.waitFor({ state: 'detached' });
  // The hole is the next place asked, and the caret is in its field.
  await page.locator('form[data-place="s1/60"] input:focus').waitFor();
  await hand.read('shaft', '89.973');
  await page.locator('[data-mend="s1/60"]').getByText('89.973').waitFor();
  // A refusal said before goes with the next entry.
  await page.locator('form[data-place="s2/0"]').waitFor();
  await hand.allStored();
  expect(complaints).toEqual([]);
  await context.close();
});

it('terms say what they mean at a touch', async () => {
  const { page, context } = await plant.visit('Asta');
  // The screws come to the sheet when the register of wrenches does, and do not close what is being read.
  const { comes } = await heldBack(page, '**/api/instruments');
  await workedTo(page, plant.url, kind('cartridge seal'), 'screws', 'Explained seal');
  await page.locator('[data-term="Dog points"]').first().click();
  await page.getByText('A set screw with a plain pin').waitFor();
  comes();
  await page.locator('form[data-bolt]').waitFor();
  await page.getByText('A set screw with a plain pin').waitFor();
  await still(page);
  expect(await violations(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await page.getByText('A set screw with a plain pin').waitFor({ state: 'detached' });
  await context.close();
});

it('a temperature read earlier is entered with its time, and marked so on the sheet', async () => {
  const { page, context } = await plant.visit('Asta');
  const first = Object.values(EVERY_KIND).find((s) => s.procedure === 'sleeve-bearing' && 'runIn' in s);
  const running = first ?? ({ ...kind('by feelers'), runIn: {} } as Setup);
  const { jobId } = await workedTo(page, plant.url, running, 'runin', 'Early reading');
  const hand = new SheetHand(page);
  await hand.read('runin', '21');
  await page.locator('form[data-place="t/1"]').waitFor();
  // A clock two minutes ahead is yesterday's, and that was before the job: refused beside the field, nothing lost.
  const clock = (minutes: number) =>
    page.evaluate((m) => {
      const at = new Date(Date.now() + m * 60_000);
      return `${String(at.getHours()).padStart(2, '0')}:${String(at.getMinutes()).padStart(2, '0')}`;
    }, minutes);
  await page.getByLabel('read earlier, at').fill(await clock(2));
  await page.locator('form[data-place] input').fill('24');
  await page.keyboard.press('Enter');
  await page.getByText('the times go on, never back').waitFor();
  await expect.poll(() => page.locator('form[data-place] input').inputValue()).toBe('24');
  await page.getByLabel('read earlier, at').fill(await clock(-1));
  await page.keyboard.press('Tab');
  await hand.read('runin', '24');
  await hand.allStored();
  await expect.poll(() => page.getByLabel('read earlier, at').inputValue()).toBe('');
  const { events } = await (await page.request.get(`${plant.url}/api/jobs/${jobId}`)).json();
  const read = events.findLast((e: { type: string }) => e.type === 'reading.taken');
  expect(Date.parse(read.at) - Date.parse(read.data.readAt)).toBeGreaterThan(30_000);
  const sheet = await (await page.request.get(`${plant.url}/api/jobs/${jobId}/sheet.json`)).json();
  expect(JSON.stringify(sheet.document)).toContain('read then, entered');
  await context.close();
});

it('a form that was begun is there after a reload; a known position brings its kind of work', async () => {
  const { page, context } = await plant.visit('Asta');
  await page.goto(`${plant.url}/jobs/new`);
  await page.getByRole('button', { name: /^Fit a seal/ }).click();
  await page.getByLabel('Machine', { exact: true }).fill('Half-typed pump');
  await page.getByLabel('Shaft diameter', { exact: true }).fill('62');
  await page.reload();
  await page.getByLabel('Shaft diameter', { exact: true }).waitFor();
  await expect.poll(() => page.getByLabel('Machine', { exact: true }).inputValue()).toBe('Half-typed pump');
  await expect.poll(() => page.getByLabel('Shaft diameter', { exact: true }).inputValue()).toBe('62');
  await page.getByRole('button', { name: /^Fit a bearing/ }).click();
  // What cannot be stands beside the field it is about.
  await page.getByLabel('Machine', { exact: true }).fill('Test drive');
  await page.getByLabel('Position', { exact: true }).fill('Too thick');
  await page.getByLabel('Bearing bore', { exact: true }).fill('90');
  await page.getByLabel('Shaft diameter', { exact: true }).fill('95');
  await page.getByLabel('Seat length', { exact: true }).fill('68');
  await page.getByRole('button', { name: 'Open the sheet' }).click();
  await page
    .locator('[id="field-shaftMm-fault"]')
    .getByText('must be smaller than the bearing bore')
    .waitFor();
  await page.getByLabel('A position the plant knows').fill('condensate seal');
  // Another kind of work is another form; the words of the search are not begun anew with it.
  await page.getByRole('button', { name: /^Pack a box/ }).click();
  expect(await page.getByLabel('A position the plant knows').inputValue()).toBe('condensate seal');
  await page.getByRole('button', { name: /^Condensate pump 1, Seal/ }).click();
  await page.getByLabel('Free length', { exact: true }).waitFor();
  expect(await page.getByRole('button', { name: /^Fit a seal/ }).getAttribute('aria-pressed')).toBe('true');
  await context.close();
});

it('on to the next step, the keys go on where the hand is', async () => {
  const { page, context } = await plant.visit('Asta');
  await workedTo(page, plant.url, kind('by feelers'), 'safe', 'Focus kept');
  const hand = new SheetHand(page);
  await hand.answerAll();
  await page.locator('[data-pass-step]').click();
  await page.locator(focused).waitFor();
  await page.keyboard.type('89.974');
  await page.keyboard.press('Enter');
  await page.locator('form[data-place="s1/60"] input:focus').waitFor();
  await hand.withdrawLast('slipped');
  await page.locator('form[data-place="s1/0"] input:focus').waitFor();
  await context.close();
});
