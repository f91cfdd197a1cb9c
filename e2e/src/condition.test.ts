import { readFileSync } from 'node:fs';
import { STAND_IN_SHAFTS, surfaceAt } from '@fulcrant/core/simulation/turning-shaft';
import Papa from 'papaparse';
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { violations } from './axe.ts';
import { beginsBy, isKept } from './go.ts';
import { heldBack } from './held-back.ts';
import { type Plant, signIn } from './plant.ts';
import { sharedPlant } from './shared-plant.ts';
import { drawn, still } from './still.ts';
import { openSurvey, pair, sweepStation } from './survey-hand.ts';
import { unsaid } from './unsaid.ts';

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
    await page.getByText('No value is taken from it').waitFor();
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
    await page.locator('form[data-place] input').focus();
    for (let i = 0; i < 20 && (await page.locator('form[data-place="s3/360"]').count()) > 0; i++) {
      await page.keyboard.press('Space');
      await still(page);
    }
    await hand.allStored();

    expect(await page.locator('[data-finding="shaft.bend"]').textContent()).toMatch(/Bent/);
    await hand.judged('runout.tir.3', 'reject');
    await hand.judged('runout.tir.1', 'accept');
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
    await page.getByText('Verdict, if this is stored').waitFor();
    await plant.killServer();
    await page.getByText(/Nothing of that turn is stored/).waitFor({ timeout: 15_000 });
    await plant.restartServer();
    await page.locator('[data-feed="live"]').waitFor({ timeout: 15_000 });
    expect(await readingsOf(page, jobId)).toHaveLength(0);

    await sweepStation(page);
    await hand.allStored();
    const readings = await readingsOf(page, jobId);
    expect(readings).toHaveLength(25);
    expect(readings[0]?.raw).toMatch(/^mean of \d+ from the feed$/);
    expect(await page.locator('[data-finding="runout.shape"]').textContent()).toMatch(/out of round/);
    await hand.judged('runout.tir', 'reject');

    await page.locator('[data-repeat]').click();
    await page.getByRole('dialog').locator('textarea').fill('shaft renewed');
    await page.getByRole('button', { name: 'Measure again', exact: true }).click();
    await page.locator('form[data-place="s1/0"]').waitFor();
    await page.locator('[data-before="1"]').getByText('shaft renewed').waitFor();
    await page.getByRole('button', { name: 'Let the paired gauge go' }).click();
    await pair(page, 'true');
    await sweepStation(page);
    await hand.allStored();
    await hand.judged('runout.tir', 'accept');
    expect(await readingsOf(page, jobId)).toHaveLength(50);
    await context.close();
  });
});

describe('a gauge on a serial port of the device', () => {
  it('is read by its lines; an error word or an unplugged gauge gives no value', async () => {
    const { page, context } = await plant.visit('Asta');
    // The browser's own serial interface, with a gauge of ours behind it: everything above the port is the real thing.
    await page.addInitScript(() => {
      const w = window as unknown as { gauge: { send(text: string): void; unplug(): void } };
      let control: ReadableStreamDefaultController<Uint8Array>;
      const port = {
        open: async () => undefined,
        close: async () => undefined,
        readable: new ReadableStream<Uint8Array>({
          start(c) {
            control = c;
          },
        }),
      };
      w.gauge = {
        send: (text) => control.enqueue(new TextEncoder().encode(text)),
        unplug: () => control.error(new Error('gone')),
      };
      Object.defineProperty(navigator, 'serial', { value: { requestPort: async () => port } });
    });
    const { hand, jobId } = await openSurvey(page, plant.url, 'serial', ['Run-out']);
    const send = (text: string) =>
      page.evaluate((t) => (window as unknown as { gauge: { send(t: string): void } }).gauge.send(t), text);
    await page.getByRole('button', { name: 'Pair a gauge' }).click();
    await page.getByRole('button', { name: 'Choose the port' }).click();
    await page.locator('[data-feed="live"]').waitFor();
    await send('+0.0');
    await send('12 mm\r\n');
    await page.locator('[data-feed-value="0.012"]').waitFor();
    await take(page);
    await send('ERR 3\n');
    await page.getByText(/which is no value with a unit/).waitFor();
    await page.locator('form[data-place] input').focus();
    await page.keyboard.press('Space');
    await still(page);
    expect(await placeOf(page)).toBe('s1/45');
    await send('-.0005 in\n');
    await page.locator('[data-feed-value="-0.0127"]').waitFor();
    await take(page);
    await page.evaluate(() => (window as unknown as { gauge: { unplug(): void } }).gauge.unplug());
    await page.getByText(/unplugged/).waitFor();
    await hand.allStored();
    expect((await readingsOf(page, jobId)).map((r) => [r.place, r.value, r.raw])).toEqual([
      ['s1/0', 0.012, '+0.012 mm'],
      ['s1/45', -0.0127, '-.0005 in'],
    ]);
    await context.close();
  });
});

describe('a survey out of a spreadsheet', () => {
  it('bad rows are named with their lines, the good ones taken; the CSV that comes out holds them', async () => {
    const { page, context } = await plant.visit('Asta');
    const { hand, jobId } = await openSurvey(page, plant.url, 'from a file', ['Shaft diameters']);
    const csv =
      'station;angle;diameter;unit\r\n1;0;59,985;\r\n1;60;2.3616;in\r\n1;120;fifty;\r\n2;0;59.984;mm\r\n9;0;59.98;mm\r\n2;0;59.98;mm\r\n';
    await page.getByRole('button', { name: 'More' }).click();
    await page.getByRole('button', { name: 'Readings from a file' }).click();
    await page
      .locator('input[type=file]')
      .setInputFiles({ name: 'survey.csv', mimeType: 'text/csv', buffer: Buffer.from(`\uFEFF${csv}`) });
    await page.locator('[data-bad-row="4"]').getByText('not a length').waitFor();
    await page.locator('[data-bad-row="6"]').getByText('no such place').waitFor();
    await page.locator('[data-bad-row="7"]').getByText('stands in line 5').waitFor();
    await page.getByRole('button', { name: 'Take the 3 good rows' }).click();
    await page.getByRole('dialog').waitFor({ state: 'detached' });
    await page.locator('form[data-place="s1/120"]').waitFor();
    await hand.allStored();
    const readings = await readingsOf(page, jobId);
    expect(readings.map((r) => [r.place, Number(r.value.toFixed(4)), r.via])).toEqual([
      ['s1/0', 59.985, 'file'],
      ['s1/60', 59.9846, 'file'],
      ['s2/0', 59.984, 'file'],
    ]);
    await page.getByRole('button', { name: 'More' }).click();
    const [download] = await Promise.all([page.waitForEvent('download'), page.locator('[data-csv]').click()]);
    const rows = Papa.parse<string[]>(readFileSync(await download.path(), 'utf8').trim()).data;
    expect(rows.slice(1).map((r) => [r[1], r[2]])).toEqual([
      ['s1/0', '59.985'],
      ['s1/60', '59.98464'],
      ['s2/0', '59.984'],
    ]);
    await context.close();
  });
});

describe('whose limit', () => {
  it('the house rule a lead hand sets is taken over by a new job; the maker’s value typed in place outranks it; the sheet tells', async () => {
    const { page, context } = await plant.visit('Imke');
    // Nothing stands as chosen before the plant has said what is: a press then would be taken for one already made.
    const { comes } = await heldBack(page, '**/api/house-rules');
    await page.goto(`${plant.url}/house-rules`);
    await page.getByText('Fetching the house rules').waitFor();
    expect(await page.locator('[data-rule]').count()).toBe(0);
    comes();
    await page
      .locator('[data-rule="runout"]')
      .getByRole('button', { name: /0\.025 mm/ })
      .click();
    await page.getByText('Last set by Imke').waitFor();
    await signIn(page, plant.url, 'Asta');
    const { hand, jobId } = await openSurvey(page, plant.url, 'limits', ['Run-out'], {
      'Run-out at stations': '1',
      'Angles in a turn': '4',
    });
    await page.locator('[data-limits]').getByText('0.025 mm, process-pump standards').waitFor();
    for (const v of ['0', '0.04', '0.08']) await hand.read('runout', v);
    await hand.judged('runout.tir', 'reject');
    // The other schools stand beside it on the beam as stops of their own.
    expect(await page.locator('[data-beam] title').allTextContents()).toEqual([
      'flat: 0.050',
      'a thousandth of the shaft: 0.060',
    ]);
    await page.locator('[data-limit="runoutMm"]').click();
    await page.getByRole('dialog').locator('input').fill('a lot');
    await page.getByRole('button', { name: 'It says so' }).click();
    await page.getByText('is not a length').waitFor();
    await page.getByRole('dialog').locator('input').fill('.005 in');
    await page.getByRole('button', { name: 'It says so' }).click();
    await page.locator('[data-limits]').getByText('maker’s sheet, 0.127 mm').waitFor();
    await hand.judged('runout.tir', 'accept');
    await hand.allStored();
    const sheet = await (await page.request.get(`${plant.url}/api/jobs/${jobId}/sheet.json`)).json();
    expect(sheet.setup.schools.runout).toBe('standards');
    expect(sheet.setupChanges[0]).toMatchObject({ changed: ['Run-out'], by: 'Asta' });
    expect(sheet.sources.map((s: { id: string }) => s.id)).toContain('maker');
    // Back as it was, for the tests after this one.
    await signIn(page, plant.url, 'Imke');
    await page.goto(`${plant.url}/house-rules`);
    await page
      .locator('[data-rule="runout"]')
      .getByRole('button', { name: /a thousandth of the shaft/ })
      .click();
    await page
      .locator('[data-rule="runout"]')
      .getByRole('button', { name: /a thousandth of the shaft/, pressed: true })
      .waitFor();
    await context.close();
  });

  it('a fitter sees the house rules but does not set them', async () => {
    const { page, context } = await plant.visit('Asta');
    await page.goto(`${plant.url}/house-rules`);
    expect(
      await page
        .locator('[data-rule="face"]')
        .getByRole('button', { name: /whatever the size/ })
        .isDisabled(),
    ).toBe(true);
    await context.close();
  });
});

describe('the coupling', () => {
  it('read, moved, read again: shims and side moves at the feet, before and after side by side', async () => {
    const { page, context } = await plant.visit('Asta');
    const { hand } = await openSurvey(page, plant.url, 'coupling', ['Coupling'], {
      'Speed, rpm': '1480',
      'Diameter swept on the face': '120',
      'Driver’s dial to front feet': '150',
      'Front to back feet': '400',
    });
    await hand.choose('Sag, rim');
    await page.locator('form[data-place="rim/sag"]').waitFor();
    await hand.read('coupling', '-0.10');
    for (const v of ['0', '-0.25', '-0.50', '-0.25', '0', '-0.06', '-0.12']) await hand.read('coupling', v);
    await page.locator('form[data-place] input').fill('-0.06');
    await page.keyboard.press('Enter');
    await page.locator('form[data-place]').waitFor({ state: 'detached' });
    const figure = page.getByRole('img', { name: /Coupling from the side/ });
    expect(await figure.textContent()).toContain('take out 0.350');
    expect(await figure.textContent()).toContain('take out 0.750');
    await hand.judged('coupling.vertical.offset', 'reject');
    await page.getByRole('button', { name: 'Moved: measure again' }).click();
    await page.getByRole('dialog').locator('textarea').fill('shims out, 0.35 front and 0.75 back');
    await page.getByRole('button', { name: 'Measure again', exact: true }).click();
    await page.locator('form[data-place="rim/0"]').waitFor();
    await hand.choose('Sag, rim');
    await hand.read('coupling', '-0.10');
    for (const v of ['0', '-0.05', '-0.10', '-0.05', '0', '0', '0']) await hand.read('coupling', v);
    await page.locator('form[data-place] input').fill('0');
    await page.keyboard.press('Enter');
    await page.locator('form[data-place]').waitFor({ state: 'detached' });
    await hand.judged('coupling.vertical.offset', 'accept');
    await page
      .locator('[data-before="1"]')
      .getByText(/driver stands high/)
      .waitFor();
    await context.close();
  });
});

describe('every measure’s sheet', () => {
  it('has no axe violation by day and by night, and needs no sideways scrolling on a tablet', async () => {
    const { page, context } = await plant.visit('Asta');
    const { jobs } = await (await page.request.get(`${plant.url}/api/jobs?limit=200`)).json();
    const found: string[] = [];
    const of = (machine: string, position: string) =>
      jobs.find(
        (j: { machine: string; position: string }) => j.machine === machine && j.position === position,
      ).id;
    for (const id of [
      of('Raw juice pump 4', 'Seal, drive side'),
      of('Molasses pump 1', 'Motor and coupling'),
      of('Pulp press drive', 'Both housings'),
    ]) {
      for (const theme of ['day', 'night']) {
        await page.setViewportSize({ width: 1280, height: 800 });
        await beginsBy(page, theme);
        await page.goto(`${plant.url}/jobs/${id}`);
        const steps = page.getByRole('navigation', { name: 'Steps' }).locator('button:not([disabled])');
        await steps.first().waitFor();
        for (let i = 0; i < (await steps.count()); i++) {
          await steps.nth(i).click();
          await still(page);
          // At night only the inks are others.
          const rule = theme === 'night' ? 'color-contrast' : undefined;
          found.push(...(await violations(page, rule)).map((v) => `${id} step ${i}, ${theme}: ${v}`));
          found.push(...(await unsaid(page)).map((u) => `${id} step ${i} says ${u}`));
        }
      }
      for (const size of [
        { width: 800, height: 1280 },
        { width: 1024, height: 768 },
      ]) {
        await page.setViewportSize(size);
        await drawn(page);
        const over = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
        if (over > 0) found.push(`${id} at ${size.width}: ${over} px`);
      }
    }
    expect(found).toEqual([]);
    await context.close();
  });
});
