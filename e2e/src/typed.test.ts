import type { Setup } from '@fulcrant/core/engine/setup';
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { EVERY_KIND } from '../../core/src/testing/every-kind.ts';
import { heldBack } from './held-back.ts';
import type { Plant } from './plant.ts';
import { sharedPlant } from './shared-plant.ts';
import { workedTo } from './worked-job.ts';

let plant: Plant;
let page: Page;
let complaints: string[];
beforeAll(async () => {
  plant = await sharedPlant();
  ({ page, complaints } = await plant.visit('Asta'));
});
afterAll(() => plant?.close());

const kind = (name: string): Setup => EVERY_KIND[name] as Setup;
const surveyed = (measure: string, more: object = {}): Setup => {
  const s = kind('surveyed') as Setup & { condition: object };
  return { ...s, condition: { ...s.condition, measures: [measure], ...more } } as Setup;
};

/** One reading for each kind of gauge, typed as one would say it; values by hand from exact factors. */
const CASES: Array<[gauge: string, setup: Setup, step: string, raw: string, value: number, unit: string]> = [
  ['micrometer', kind('by feelers'), 'shaft', '3 35/64', 90.0906, 'mm'],
  ['feelers', kind('by feelers'), 'bench', '4 thou', 0.1016, 'mm'],
  ['protractor', kind('plunger'), 'preload', '3/4 turn', 270, 'deg'],
  ['dial', surveyed('runout', { runoutStations: 1, runoutAngles: 4 }), 'runout', '-20 µm', -0.02, 'mm'],
  ['depth gauge', kind('worn seal'), 'wear', '0.9', 0.9, 'mm'],
  ['roughness tester', surveyed('finish', { finishParameter: 'Ra' }), 'finish', '16 µin', 0.406, 'µm'],
  [
    'wire',
    surveyed('housings', { housings: 2, housingSpanMm: 600, housingWidthMm: 200 }),
    'housings',
    '0.4',
    0.4,
    'mm',
  ],
  ['pressure gauge', kind('by hydraulic nut'), 'driveup', '30 bar', 3, 'MPa'],
  ['thermometer', kind('regreased'), 'watch', '122 °F', 50, '°C'],
  ['grease gun', kind('regreased'), 'strokes', '40 °C; 12', 12, 'strokes'],
  ['drop counter', kind('packed'), 'breakin', '160', 160, 'drops/min'],
];

it.each(CASES)('with a %s what is typed is what is stored', async (gauge, setup, step, raw, value, unit) => {
  const { jobId } = await workedTo(page, plant.url, setup, step, gauge);
  const field = page.locator('form[data-place] input');
  let place: string | null = null;
  for (const text of raw.split('; ')) {
    await field.waitFor();
    place = await page.locator('form[data-place]').getAttribute('data-place');
    await field.fill(text);
    await page.getByText('read as').waitFor();
    await page.keyboard.press('Enter');
    await page.waitForFunction(
      (before) => document.querySelector<HTMLElement>('form[data-place]')?.dataset.place !== before,
      place,
    );
  }
  await page.locator('[data-waiting="0"]').waitFor();
  const sheet = await (await page.request.get(`${plant.url}/api/jobs/${jobId}/sheet.json`)).json();
  const last = sheet.readings.at(-1);
  expect(last).toMatchObject({ step, place, typed: raw.split('; ').at(-1), unit });
  expect(last.value).toBeCloseTo(value, 3);
  expect(complaints).toEqual([]);
});

it('a bolt is ticked with its torque, and nobody signs with another’s name', async () => {
  // The register of gauges is slow to come: until it is there no bolt is offered that could not be ticked.
  const { comes } = await heldBack(page, '**/api/instruments');
  const { jobId } = await workedTo(page, plant.url, kind('by feelers'), 'bolts', 'wrench');
  const bolt = page.locator('form[data-bolt]');
  await page.getByRole('list', { name: 'Passes' }).waitFor();
  expect(await bolt.count()).toBe(0);
  comes();
  const first = await bolt.getAttribute('data-bolt');
  await bolt.getByRole('button', { name: /^(Hand tight|Tight)$/ }).click();
  // The next bolt is asked for: the first is kept on the device, and on its way.
  await page.waitForFunction(
    (before) => document.querySelector<HTMLElement>('form[data-bolt]')?.dataset.bolt !== before,
    first,
  );
  await page.locator('[data-waiting="0"]').waitFor();
  const sheet = await (await page.request.get(`${plant.url}/api/jobs/${jobId}/sheet.json`)).json();
  expect(sheet.bolts).toHaveLength(1);

  const signing = await workedTo(page, plant.url, kind('by feelers'), 'sign', 'name');
  await page.getByLabel('as recorded here, signed').fill('Imke');
  await page.getByRole('button', { name: 'Sign the sheet' }).click();
  await page.getByText('Sign with your own name').waitFor();
  await expect.poll(() => page.getByLabel('as recorded here, signed').inputValue()).toBe('Imke');
  const event = {
    id: signing.hand.events.at(-1)?.id.replace(/^.{8}/, 'ffffffff'),
    jobId: signing.jobId,
    at: new Date().toISOString(),
    author: { id: 'asta', name: 'Imke', role: 'lead' },
    type: 'sheet.signed',
    data: { name: 'Imke' },
  };
  const answer = await page.request.post(`${plant.url}/api/jobs/${signing.jobId}/events`, {
    data: { events: [event] },
  });
  expect((await answer.json()).outcomes[0]).toMatchObject({
    outcome: 'refused',
    reason: expect.stringContaining('Asta is signed in'),
  });
  expect(complaints).toEqual([]);
});
