import '@fulcrant/core/every-trade';
import type { Setup } from '@fulcrant/core/job';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { allTrades } from '../../core/src/engine/trades.ts';
import { EVERY_KIND } from '../../core/src/testing/every-kind.ts';
import type { Plant } from '../../packages/trials/src/plant.ts';
import { cutOff } from './cut-off.ts';
import { go, hasCome } from './go.ts';
import { sharedPlant } from './shared-plant.ts';
import { drawn } from './still.ts';
import { jobsOnTheWay } from './worked-job.ts';

let plant: Plant;
beforeAll(async () => {
  plant = await sharedPlant();
});
afterAll(() => plant?.close());

const SIZES = [
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
  { width: 390, height: 844 },
];

/** One kind of work of each trade; `EVERY=1` tries every kind at every size, some twenty minutes. */
const EVERY = process.env.EVERY !== undefined;
const KINDS = EVERY
  ? Object.keys(EVERY_KIND)
  : allTrades().flatMap((t) => Object.keys(t.example.setups).slice(0, 1));

it.each(KINDS)('%s: every step has room for words half as long again', async (kind) => {
  const { page, context } = await plant.visit('Asta');
  const found: string[] = [];
  const place = `Bay ${KINDS.indexOf(kind)}`;
  const jobs = await jobsOnTheWay(page, plant.url, EVERY_KIND[kind] as Setup, place, EVERY);
  await page.goto(`${plant.url}/?lang=qps`);
  await hasCome(page);
  for (const [i, [step, id]] of jobs.entries()) {
    await go(page, `/jobs/${id}`);
    // Each step at one size, the next at the next: all sizes meet all parts of a sheet.
    for (const size of EVERY ? SIZES : SIZES.slice(i % SIZES.length).slice(0, 1)) {
      await page.setViewportSize(size);
      await drawn(page);
      found.push(...(await cutOff(page)).map((c) => `${step} ${size.width}: ${c}`));
    }
  }
  await context.close();
  expect(jobs.length).toBeGreaterThan(1);
  expect(found).toEqual([]);
});
