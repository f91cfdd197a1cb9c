import { mkdirSync } from 'node:fs';
import type { Page } from 'playwright-core';
import { Plant } from '../../packages/trials/src/plant.ts';
import { RigHand } from './rig-hand.ts';
import { SheetHand } from './sheet-hand.ts';
import { still } from './still.ts';
import { openSurvey, pair } from './survey-hand.ts';

/** One current picture of each main view, from the demo data, into docs/screenshots. */
const OUT = 'docs/screenshots';
mkdirSync(OUT, { recursive: true });

const plant = await Plant.open();
const { page } = await plant.visit('Asta');
await page.goto(plant.url);
const { jobs } = await (await page.request.get(`${plant.url}/api/jobs?limit=200`)).json();
const of = (machine: string, position: string): string =>
  jobs.find(
    (j: { machine: string; position: string }) => j.machine === machine && j.position.startsWith(position),
  ).id;

async function shot(
  name: string,
  path: string | null,
  theme: 'day' | 'night' = 'day',
  act?: (page: Page) => Promise<void>,
): Promise<void> {
  await page.evaluate((t) => localStorage.setItem('fulcrant.theme', t), theme);
  if (path !== null) await page.goto(`${plant.url}${path}`);
  await page.locator('main').waitFor();
  await still(page);
  if (act) await act(page);
  await still(page);
  await page.screenshot({ path: `${OUT}/${name}.png` });
}

/** The last reading of a step: after it there is no field left. */
async function last(raw: string): Promise<void> {
  await page.locator('form[data-place] input').fill(raw);
  await page.keyboard.press('Enter');
  await page.locator('form[data-place]').waitFor({ state: 'detached' });
}

try {
  const hand = new SheetHand(page);
  const press = `/jobs/${of('Pulp press drive', 'Gearbox')}`;
  await shot('board-day', '/');
  const seal = `/jobs/${of('Raw juice pump 4', 'Seal')}`;
  await shot('box-face', seal, 'day', async () => {
    await hand.on();
    for (const raw of ['0', '0.16', '0']) await hand.read('play', raw);
    await last('0.03');
    await hand.on();
    for (const raw of ['0', '0.012', '0.021', '0.03', '0.024', '0.011']) await hand.read('face', raw);
  });
  await openSurvey(page, plant.url, 'Stand-in bench', ['Run-out'], { 'Angles in a turn': '24' });
  await shot('run-out-night', new URL(page.url()).pathname, 'night', async (p) => {
    await pair(p, 'oval');
    await p.locator('[data-sweep-start]').click();
    await p.locator('[data-sweep="turning"]').waitFor();
    await p.waitForFunction(() => document.querySelectorAll('circle').length > 14);
  });
  await shot('split-bearing', `/jobs/${of('Pulp screw conveyor', 'Drive')}`);
  await shot('seal-setting', `/jobs/${of('Condensate pump 1', 'Seal')}`);
  const thin = `/jobs/${of('Thin juice pump 3', 'Seal')}`;
  await shot('opened-again', thin, 'day', async (p) => {
    await p
      .getByRole('navigation', { name: 'Steps' })
      .getByRole('button', { name: /^Gland bolts/ })
      .click();
    await p.getByRole('button', { name: 'More' }).click();
    await p.getByRole('button', { name: /^All bolts loosened/ }).click();
    await p.getByRole('dialog').locator('textarea').fill('gasket weeps at bolt 3');
    await p.getByRole('button', { name: 'They are loose' }).click();
    await p.getByRole('dialog').waitFor({ state: 'detached' });
  });
  const lime = `/jobs/${of('Lime-milk pump 1', 'Stuffing')}`;
  await shot('packing', lime, 'day', async (p) => {
    await p
      .getByRole('navigation', { name: 'Steps' })
      .getByRole('button', { name: /^Section/ })
      .click();
  });
  const gear = `/jobs/${of('Molasses pump 2', 'Pump')}`;
  const atStep = (name: RegExp) => async (p: Page) => {
    await p.getByRole('navigation', { name: 'Steps' }).getByRole('button', { name }).click();
  };
  await shot('gear-pump', gear);
  await shot('gear-pump-apart', gear, 'night', atStep(/^Fit gears/));
  await shot(
    'vane-pump',
    `/jobs/${of('Condensate pump 4', 'Pump')}`,
    'day',
    atStep(/^Refit same shims, side 1/),
  );
  await shot('drive-up-day', press, 'day', async (p) => {
    await p.locator('form[data-place] input').fill('2.2 thou');
  });
  await shot('fit-up-sheet', `/jobs/${of('Cooling fan 3', 'Drive')}/sheet`);
  await shot('open-a-job', '/jobs/new', 'day', async (p) => {
    await p.getByLabel('Machine', { exact: true }).fill('Pulp elevator 2');
    await p.getByLabel('Position', { exact: true }).fill('Head bearing, drive side');
    await p.getByLabel('Part, as stamped', { exact: true }).fill('22220 K C3');
    await p.keyboard.press('Tab');
  });
  const { positions } = await (await page.request.get(`${plant.url}/api/register?q=Cooling+fan+3`)).json();
  await shot('register', '/register');
  await shot('position', `/positions/${positions[0].id}`);
  await shot('bench', '/bench', 'day', async (p) => {
    await p.getByRole('button', { name: /^A seal’s faces/ }).click();
    await p.locator('main svg[role="img"]').first().waitFor();
    await p.evaluate(() => scrollTo(0, 0));
  });
  const { outages } = await (await page.request.get(`${plant.url}/api/outages`)).json();
  await shot('outage', `/outages/${outages[0].id}`, 'day', async (p) => {
    await p.getByRole('radio', { name: 'Day' }).click();
    await p.locator('[data-risk]').waitFor();
    await p.locator('button[data-piece]').nth(4).click();
  });
  await shot('practice-bench', '/practice/bench/gland?difficulty=sound&seed=3', 'night', async (p) => {
    const rig = new RigHand(p, /as if drawn/);
    await p.locator('[data-rig]').waitFor();
    // As far as the gap all round: the wrench is pulled bolt by bolt before it.
    while ((await p.locator('[data-push]').count()) === 0) {
      await rig.look();
      if ((await p.locator('[data-bring]').count()) > 0) {
        const blades = /blades/.test((await p.locator('[data-bring]').textContent()) ?? '');
        if (blades) await p.locator('[data-bring]').click();
        else await rig.read();
      } else if ((await p.locator('form[data-pass]').count()) > 0) await hand.bolts();
      else await rig.pass();
    }
    const blade = p.getByRole('slider', { name: 'Blade in hand' });
    for (let i = 0; i < 16; i++) await blade.press('ArrowRight');
    await p.locator('[data-push]').click();
    await p.locator('[data-blade]').waitFor();
  });
  await shot('practice-debrief', '/practice/bench/seat?difficulty=one&seed=12', 'day', async (p) => {
    const rig = new RigHand(p, /curl off|lies open/);
    await p.locator('[data-rig]').waitFor();
    for (let i = 0; i < 2; i++) {
      await rig.look();
      await rig.pass();
    }
    while ((await p.locator('[data-bring]').count()) > 0) await rig.read();
    await rig.call(['oval']);
  });
} finally {
  await plant.close();
}
