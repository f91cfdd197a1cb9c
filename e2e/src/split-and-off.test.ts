import { afterAll, beforeAll, expect, it } from 'vitest';
import { openJob, survey } from './job-hand.ts';
import type { Plant } from './plant.ts';
import { sharedPlant } from './shared-plant.ts';
import { SheetHand } from './sheet-hand.ts';
import { pair } from './survey-hand.ts';

let plant: Plant;
beforeAll(async () => {
  plant = await sharedPlant();
});
afterAll(() => plant?.close());

it('a split bearing: no gap stops it, gaps equal, rings set off, seated until no screw moves, closed in order', async () => {
  const { page, context, complaints } = await plant.visit('Asta');
  const { hand, jobId } = await openJob(page, plant.url, {
    work: 'Fit a split bearing',
    position: 'Middle hanger',
    on: ['Shaft diameters'],
    fields: { 'Stations along it': '2', 'Angles at each': '3' },
  });
  await survey(hand, 100);
  const questions = async () => {
    await hand.answerAll();
    await hand.on();
  };
  const bolts = async () => {
    await hand.answerAll();
    await hand.bolts();
    await hand.on();
  };
  await questions(); // pedestal
  await bolts(); // outer race
  await questions(); // grease path

  // Inner race: a closed joint is a stop; what was felt stays beside what is felt after.
  await hand.read('race', '0');
  await hand.last('race', '0.2');
  await hand.judged('split-race.closed', 'reject');
  await page.locator('[data-repeat]').click();
  await page.getByRole('dialog').locator('textarea').fill('feeler laid in the lower joint');
  await page.getByRole('button', { name: 'Measure again' }).click();
  await hand.read('race', '0.25');
  await hand.last('race', '0.25');
  await hand.judged('split-race.equal', 'accept');
  await hand.on();

  for (let i = 0; i < 6; i++) await hand.read('clamps', '0.25');
  await hand.last('clamps', '90');
  await questions();
  await hand.read('axial', '1.5');
  await hand.last('axial', '1.7');
  await questions();

  // Seating: how far each screw moved is asked, and the loop ends when a whole round moved none more than 3°.
  await hand.bolts((pass) => ['', '40', '12', '2'][pass] ?? '0');
  await page.getByText('moved 40°').waitFor();
  await hand.on();
  for (let i = 0; i < 5; i++) await hand.read('seated', '0.24');
  await hand.last('seated', '0.24');
  await hand.on();

  await questions(); // cage
  await bolts(); // cartridge
  await questions(); // load on
  await bolts(); // cap, just closed and turned first
  await hand.answerAll();
  await page.locator('[data-pass-step]').click();
  await hand.sign('Asta');
  const sheet = await (await page.request.get(`${plant.url}/api/jobs/${jobId}/sheet.json`)).json();
  expect(sheet.results).toMatchObject({ seatingRounds: 3, gapsMm: [0.24, 0.24] });
  expect(sheet.bolts.filter((b: { step: string }) => b.step === 'seat')).toHaveLength(16);
  expect(complaints).toEqual([]);
  await context.close();
});

it('a bearing comes off by pump: what is seen is written down, the gauge dropping to zero is the proof', async () => {
  const { page, context, complaints } = await plant.visit('Bram');
  const { hand, jobId } = await openJob(page, plant.url, {
    work: 'Take a bearing off',
    position: 'Worm shaft',
    on: ['A mount nut and a dismount nut'],
    choices: { 'Taken off by': 'a hydraulic nut' },
    fields: { 'Abort pressure, dismounting': '55 MPa' },
  });
  // Nothing written: nothing noted.
  await page.locator('[data-item="grease"]').getByRole('button', { name: /^Note/ }).click();
  await page.getByText('Write down what was seen').waitFor();
  await hand.answerAll();
  await hand.on();
  await hand.answerAll();
  await hand.on();
  await hand.read('nutback', '1 turn');
  await hand.judged('nutback', 'incomplete');
  await hand.last('nutback', '2.25 turns');
  await hand.on();

  await pair(page, 'lets-go');
  await hand.pumpTo(36);
  await hand.take((v) => v >= 36);
  await hand.take((v) => v >= 36);
  await hand.judged('letgo.free', 'incomplete');
  await hand.pumpTo(42);
  await hand.take((v) => v >= 42);
  await page.locator('[data-stroke]').click();
  await hand.take((v) => v === 0);
  await hand.judged('letgo.free', 'accept');
  await hand.on();
  await hand.answerAll();
  await hand.on();
  await hand.answerAll();
  await page.locator('[data-pass-step]').click();
  await hand.sign('Bram');
  const sheet = await (await page.request.get(`${plant.url}/api/jobs/${jobId}/sheet.json`)).json();
  expect(sheet.results.letGoMpa).toBeCloseTo(42, 6);
  const found = sheet.steps.find((s: { id: string }) => s.id === 'found');
  expect(found.answers[1].note).toBe('as it should be');
  expect(complaints).toEqual([]);
  await context.close();
});

it('after greasing a rise that falls back is the usual one', async () => {
  const { page, context } = await plant.visit('Bram');
  await page.goto(plant.url);
  await page.locator('[data-job]', { hasText: 'Drive end, greasing' }).click();
  await page.locator('form[data-place="t/3"]').waitFor();
  // A probe that types its digits works unchanged; the chart and the verdict follow.
  const hand = new SheetHand(page);
  await page.locator('canvas[aria-label*="caution"]').waitFor();
  await hand.last('watch', '64');
  await hand.judged('watch', 'accept');
  await context.close();
});
