import { STAND_IN_SHAFTS, surfaceAt } from '@fulcrant/core/simulators';
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Plant } from '../../packages/trials/src/plant.ts';
import { isKept } from './go.ts';
import { sharedPlant } from './shared-plant.ts';
import { still } from './still.ts';
import { openSurvey, pair, sweepStation } from './survey-hand.ts';

let plant: Plant;
beforeAll(async () => {
  plant = await sharedPlant({ ownServer: true });
});
afterAll(() => plant?.close());

const placeOf = (page: Page) => page.locator('form[data-place]').getAttribute('data-place');

/** Space until the reading of this place is taken: the shaft must have come to rest first. */
async function take(page: Page): Promise<void> {
  const place = await placeOf(page);
  for (let i = 0; i < 60; i++) {
    await page.locator('form[data-place] input').focus();
    await page.keyboard.press('Space');
    const gone = await page
      .waitForFunction(
        (b) => document.querySelector<HTMLElement>('form[data-place]')?.dataset.place !== b,
        place,
        { timeout: 250 },
      )
      .catch(() => null);
    if (gone) return;
  }
  throw new Error(`Nothing was taken at ${place}: ${await page.locator('main').textContent()}`);
}

const readingsOf = async (page: Page, jobId: string) => {
  const { events } = await (await page.request.get(`${plant.url}/api/jobs/${jobId}`)).json();
  return events
    .filter((e: { type: string }) => e.type === 'reading.taken')
    .map((e: { data: { place: string; value: number; via?: string; raw: string } }) => e.data) as Array<{
    place: string;
    value: number;
    via?: string;
    raw: string;
  }>;
};

describe('a shaft surveyed through the stand-in dial', () => {
  it('a bent one: the feed drops in the middle, the survey goes on by hand and by feed, and nothing is lost', async () => {
    const { page, context, complaints } = await plant.visit('Asta', { away: true });
    const { hand, jobId } = await openSurvey(page, plant.url, 'bent', ['Run-out']);
    await pair(page, 'bent');
    for (let i = 0; i < 5; i++) await take(page);
    await hand.allStored();
    await isKept(page);

    await plant.killServer();
    await page.locator('[data-feed="dropped"]').waitFor({ timeout: 15_000 });
    await page.getByText('The signal stopped.').waitFor();
    // Space takes nothing from a dead feed, and no number stands where the gauge's was.
    const stuck = await placeOf(page);
    await page.locator('form[data-place] input').focus();
    await page.keyboard.press('Space');
    await still(page);
    expect(await placeOf(page)).toBe(stuck);
    expect(await page.locator('[data-feed-value]').getAttribute('data-feed-value')).toBe('');
    // By hand it goes on; the reading waits on the device. On a busy machine a press more than five may have been taken.
    expect(stuck).toMatch(/^s1\/(225|270|315)$/);
    const [atMm, angle] = [3, Number(stuck?.split('/')[1])];
    await hand.read('runout', surfaceAt(STAND_IN_SHAFTS.bent, atMm, angle).toFixed(3));
    expect(await hand.waiting()).toBeGreaterThanOrEqual(1);
    await page.reload();
    await page.locator(`form[data-place="s1/${angle + 45}"]`).waitFor();

    await plant.restartServer();
    await pair(page, 'bent');
    while ((await page.locator('form[data-place]').count()) > 0 && (await placeOf(page)) !== null) {
      if ((await placeOf(page)) === 's3/360') break;
      await take(page);
    }
    // On a busy machine a press more may have taken the last place too.
    const field = page.locator('form[data-place] input');
    if ((await field.count()) > 0) await field.focus();
    for (let i = 0; i < 20 && (await page.locator('form[data-place="s3/360"]').count()) > 0; i++) {
      await page.keyboard.press('Space');
      await still(page);
    }
    await hand.allStored();

    expect(await page.locator('[data-finding="shaft.bend"]').textContent()).toMatch(/Bent/);
    await hand.judged('runout.tir.3', 'reject');
    // Nobody has a repeat check with a stand-in: so near its limit nothing is called by it.
    await hand.judged('runout.tir.1', 'too-close');
    await hand.judged('gauge.stand-in', 'caution');
    const readings = await readingsOf(page, jobId);
    expect(readings).toHaveLength(27);
    expect(new Set(readings.map((r) => r.place)).size).toBe(27);
    expect(readings.filter((r) => r.via === 'port')).toHaveLength(26);
    for (const r of readings) {
      const [, s, a] = /^s(\d)\/([\d.]+)$/.exec(r.place) ?? [];
      const at = [3, 30, 57][Number(s) - 1] ?? 0;
      expect(Math.abs(r.value - surfaceAt(STAND_IN_SHAFTS.bent, at, Number(a)))).toBeLessThan(0.005);
    }
    // A survey goes on past a stop, and says so at its end.
    await hand.on();
    await page.locator('[data-fit="not-fit"]').waitFor();
    expect(complaints).toEqual([]);
    await context.close();
  });

  it('an oval one, swept: a turn whose feed drops stores nothing, swept again it is told; dressed, both stand side by side', async () => {
    const { page, context } = await plant.visit('Bram');
    const { hand, jobId } = await openSurvey(page, plant.url, 'oval', ['Run-out'], {
      'Angles in a turn': '24',
      'Run-out at stations': '1',
    });
    await pair(page, 'oval');
    await page.locator('[data-sweep-start]').click();
    await page.locator('[data-sweep="turning"]').waitFor();
    // While it turns the figure and the verdict follow, though nothing is stored yet.
    await page.getByText('Result with this reading').waitFor();
    await plant.killServer();
    await page.getByText(/Nothing of this turn is stored/).waitFor({ timeout: 15_000 });
    await plant.restartServer();
    await page.locator('[data-feed="live"]').waitFor({ timeout: 15_000 });
    expect(await readingsOf(page, jobId)).toHaveLength(0);

    await sweepStation(page);
    await hand.allStored();
    const readings = await readingsOf(page, jobId);
    expect(readings).toHaveLength(25);
    expect(readings[0]?.raw).toMatch(/^mean of \d+ values$/);
    expect(await page.locator('[data-finding="runout.shape"]').textContent()).toMatch(/out of round/);
    await hand.judged('runout.tir', 'reject');

    await page.locator('[data-repeat]').click();
    await page.getByRole('dialog').locator('textarea').fill('shaft renewed');
    await page.getByRole('button', { name: 'Measure again', exact: true }).click();
    await page.locator('form[data-place="s1/0"]').waitFor();
    await page.locator('[data-before="1"]').getByText('shaft renewed').waitFor();
    await page.getByRole('button', { name: 'Disconnect the gauge' }).click();
    await pair(page, 'true');
    await sweepStation(page);
    await hand.allStored();
    await hand.judged('runout.tir', 'accept');
    expect(await readingsOf(page, jobId)).toHaveLength(50);
    await context.close();
  });
});
