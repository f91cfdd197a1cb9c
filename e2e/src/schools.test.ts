import { afterAll, beforeAll, expect, it } from 'vitest';
import { openJob, survey } from './job-hand.ts';
import { showUsual } from './opening.ts';
import type { Plant } from './plant.ts';
import { sharedPlant } from './shared-plant.ts';
import { pair } from './survey-hand.ts';

let plant: Plant;
beforeAll(async () => {
  plant = await sharedPlant();
});
afterAll(() => plant?.close());

const SEAT = { 'Stations along it': '2', 'Angles at each': '3', Bolts: '2' };

it('by nut angle: the zero is proven by taps, the mark turned into the maker’s band, feelers check it; a reload loses nothing', async () => {
  const { page, context, complaints } = await plant.visit('Asta');
  const { hand, jobId } = await openJob(page, plant.url, {
    work: 'Fit a bearing',
    position: 'Gear end, by angle',
    on: ['Shaft diameters', 'Housing close-up', 'Feelers beside it'],
    choices: { 'Drive-up judged by': 'nut angle from zero', 'Locked by': 'lock plate' },
    fields: { ...SEAT, 'Nut angle, least, °': '110', 'Nut angle, most, °': '140' },
  });
  await survey(hand, 90);
  await hand.answerAll(); // inboard side first
  await hand.on();
  for (let i = 0; i < 3; i++) await hand.pair('bench', '0.1');
  await hand.on();
  await hand.answerAll();
  await hand.on();

  // Zero: two taps that move it, one that does not; the questions come only then, the mark is drawn only then.
  await hand.read('zero', '12');
  await hand.read('zero', '3°');
  expect(await page.locator('[data-pass-step]').isDisabled()).toBe(true);
  await hand.last('zero', '0');
  await hand.judged('zero.proven', 'accept');
  await hand.answerAll();
  await hand.on();

  // The turn: short, back is refused beside the field, then into the band; the page reloaded in the middle.
  await hand.read('driveup', '90');
  await hand.judged('nut-angle.turned', 'incomplete');
  await page.locator('form[data-place] input').fill('45');
  await page.getByText('is not believable here').waitFor();
  await page.locator('form[data-place] input').fill('1/3 turn');
  await page.reload();
  await page.locator('form[data-place] input').waitFor();
  await expect.poll(() => page.locator('form[data-place] input').inputValue()).toBe('1/3 turn');
  await page.locator('form[data-place] input').focus();
  await page.keyboard.press('Enter');
  await page.locator('[data-finding="nut-angle.turned"][data-verdict="accept"]').waitFor();
  await page.locator('[data-turned="120"]').waitFor();
  await hand.on();

  await hand.read('lock', '2');
  await hand.read('lock', '0.055');
  await hand.last('lock', '0.055');
  await hand.judged('cross-check', 'accept');
  await hand.answerAll();
  await hand.on();
  await hand.answerAll();
  await hand.on();
  await hand.bolts();
  await hand.on();
  await hand.answerAll();
  await hand.on();
  await hand.answerAll();
  await page.locator('[data-pass-step]').click();
  await hand.sign('Asta');
  const sheet = await (await page.request.get(`${plant.url}/api/jobs/${jobId}/sheet.json`)).json();
  expect(sheet.procedure.title).toMatch(/by nut angle/);
  expect(sheet.results.nutDeg).toBe(122);
  expect(sheet.results.residualMm).toBeCloseTo(0.055, 9);
  expect(complaints).toEqual([]);
  await context.close();
});

it('by hydraulic nut, the stand-in pump reaching abort first: released, the other nut freed, driven up from the same zero', async () => {
  const { page, context, complaints } = await plant.visit('Bram');
  const { hand, jobId } = await openJob(page, plant.url, {
    work: 'Fit a bearing',
    position: 'Tail end, by pump',
    on: ['Shaft diameters'],
    choices: { 'Drive-up judged by': 'hydraulic nut' },
    fields: {
      ...SEAT,
      'Start pressure': '26 bar',
      'Piston area for it, mm²': '11500',
      'Piston area, nut in hand, mm²': '10000',
      'Drive-up, least or the one value': '0.6',
      'Drive-up, most': '0.75',
      'Abort pressure': '30 MPa',
    },
  });
  await survey(hand, 90);
  await hand.answerAll(); // inboard side first
  await hand.on();
  await hand.answerAll();
  await hand.on();

  await pair(page, 'other-nut-tight');
  await hand.pumpTo(3);
  expect(await hand.take((v) => v >= 3)).toBeCloseTo(3, 6);
  const zero = await hand.take((v) => v > 1);
  await hand.pumpTo(30);
  await hand.take((v) => v >= 30);
  const held = await hand.take((v) => v > 1);
  expect(zero - held).toBeLessThan(0.13);
  await hand.judged('hydraulic.abort', 'reject');
  expect(await page.locator('[data-pass-step]').isDisabled()).toBe(true);
  await page.locator('[data-release]').click();
  await hand.take((v) => v === 0);
  await hand.read('driveup', '360');
  await hand.pumpTo(21);
  await hand.take((v) => v >= 21);
  await hand.take((v) => v < 1.6);
  await page.locator('[data-finding="hydraulic.travel"][data-verdict="accept"]').waitFor();
  await hand.judged('hydraulic.aborted', 'caution');
  await hand.on();
  await hand.answerAll();
  await hand.on();
  await hand.last('lock', '2');
  await hand.answerAll();
  await hand.on();
  await hand.allStored();
  const sheet = await (await page.request.get(`${plant.url}/api/jobs/${jobId}/sheet.json`)).json();
  expect(sheet.results.travelMm).toBeGreaterThan(0.6);
  expect(sheet.results.travelMm).toBeLessThan(0.75);
  const driven = sheet.readings.filter((r: { step: string }) => r.step === 'driveup');
  expect(driven.map((r: { place: string }) => r.place)).toEqual([
    'start/p',
    'start/z',
    'n1/p',
    'n1/d',
    'n1/release',
    'n1/back',
    'n2/p',
    'n2/d',
  ]);
  expect(driven.filter((r: { standIn: boolean; via: string }) => r.standIn && r.via === 'port')).toHaveLength(
    7,
  );
  expect(complaints).toEqual([]);
  await context.close();
});

it('what the sheet must give is asked at its field: a school without its values does not open', async () => {
  const { page, context } = await plant.visit('Asta');
  await page.goto(`${plant.url}/jobs/new`);
  await page.getByLabel('Machine', { exact: true }).fill('Test drive');
  await page.getByLabel('Position', { exact: true }).fill('Nowhere');
  await showUsual(page);
  await page.getByLabel('Drive-up judged by', { exact: true }).selectOption({ label: 'hydraulic nut' });
  await page.getByRole('button', { name: 'Open the sheet' }).click();
  await page.getByText('The start pressure is missing.').waitFor();
  await expect.poll(() => page.getByLabel('Position', { exact: true }).inputValue()).toBe('Nowhere');
  await context.close();
});

it('a float waits for the fixed bearing of its shaft, named by its job', async () => {
  const { page, context } = await plant.visit('Asta');
  await page.goto(plant.url);
  await page
    .locator('[data-job]', { hasText: 'Outboard, float' })
    .filter({ hasText: 'Cooling fan 4' })
    .click();
  await page.getByRole('heading', { name: /Which job mounted/ }).waitFor();
  expect(await page.locator('[data-pass-step]').isDisabled()).toBe(true);
  await page.getByRole('button', { name: 'This one is on' }).click();
  await page.getByRole('button', { name: 'Named' }).waitFor();
  await page.locator('[data-waiting="0"]').waitFor();
  await page.locator('[data-pass-step]').click();
  await page.locator('form[data-place="s1/0"]').waitFor();
  await context.close();
});
