import { lateRisk, planned } from '@fulcrant/core/outage';
import { firstCome } from '../../core/src/arithmetic/planning/search.ts';
import { triedNetwork } from '../../core/src/testing/tried-network.ts';
import { Plant } from '../../packages/trials/src/plant.ts';

/**
 * The planner held against its lower bound and against first come, first served, on networks made as the literature makes them; late risk
 * timed; and the page watched while its worker plans: how long it was ever blocked.
 */
const line = (what: string, value: string) => console.log(`${what.padEnd(58)} ${value}`);
const percent = (x: number) => `${(100 * x).toFixed(1)} %`;
const NETWORKS = 5;
const SECONDS = 5;

for (const n of [30, 60, 120]) {
  const gaps: number[] = [];
  const saved: number[] = [];
  for (let seed = 1; seed <= NETWORKS; seed++) {
    const network = triedNetwork(n, 1000 + seed);
    const plan = planned(network, { seed, looks: Number.POSITIVE_INFINITY, seconds: SECONDS });
    gaps.push(plan.gap);
    saved.push(1 - plan.end / firstCome(network).end);
  }
  const mean = (all: number[]) => all.reduce((a, b) => a + b, 0) / all.length;
  line(
    `${n} tasks, 4 resources, ${SECONDS} s: above the bound`,
    `mean ${percent(mean(gaps))}, worst ${percent(Math.max(...gaps))}`,
  );
  line(`  shorter than first come, first served by`, `mean ${percent(mean(saved))}`);
}

const network = triedNetwork(120, 7);
const plan = planned(network, { looks: 20 });
const doubts = network.tasks.map((t) => ({
  id: t.id,
  least: 0.7 * t.minutes,
  likely: t.minutes,
  most: 2 * t.minutes,
}));
const began = performance.now();
lateRisk(network, plan.placed, doubts, plan.end * 1.1);
line(
  'late risk, 10 000 draws of 120 tasks',
  `${((performance.now() - began) / 1000).toFixed(2)} s (aim under 2)`,
);

const plant = await Plant.open();
try {
  const { page } = await plant.visit('Imke');
  await page.goto(`${plant.url}/outages`);
  await page.locator('[data-outage]').first().click();
  await page.locator('[data-piece]').first().waitFor();
  await page.locator('[data-risk]').waitFor();
  await page.evaluate(() => {
    const w = window as unknown as { longest: number };
    w.longest = 0;
    new PerformanceObserver((list) => {
      for (const e of list.getEntries()) w.longest = Math.max(w.longest, e.duration);
    }).observe({ entryTypes: ['longtask'] });
  });
  await page.locator('[data-plan]').click();
  await page.locator('[data-proposal]').waitFor({ timeout: 60_000 });
  const longest = await page.evaluate(() => (window as unknown as { longest: number }).longest);
  line(
    'page while its worker plans: longest task',
    longest === 0 ? 'none over 50 ms' : `${Math.round(longest)} ms`,
  );
} finally {
  await plant.close();
}
