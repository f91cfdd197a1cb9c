import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseAngle, parseLength } from '@fulcrant/core/units';
import { afterAll, beforeAll, expect, it } from 'vitest';
import type { Plant } from '../../packages/trials/src/plant.ts';
import { isKept } from './go.ts';
import { showUsual } from './opening.ts';
import { sharedPlant } from './shared-plant.ts';
import { SheetHand } from './sheet-hand.ts';

let plant: Plant;
beforeAll(async () => {
  plant = await sharedPlant({ ownServer: true });
});
afterAll(() => plant?.close());

it('fits one bearing from sign-in to the signed sheet, through misreadings, a kill, a reload and a spell offline', async () => {
  const { page, context, complaints } = await plant.visit('Asta', { away: true });
  await page.goto(plant.url);
  const hand = new SheetHand(page);

  // Open a job at a position the plant knows; a slip in the form is said beside its field and loses nothing.
  await page.getByRole('link', { name: 'Open a job' }).click();
  await page.getByLabel('Pick a position').fill('press gearbox');
  await page.getByRole('button', { name: 'Pulp press drive, Gearbox end, fixed' }).click();
  await showUsual(page);
  // Another job of this position may have brought a maker’s sheet with it; this one goes by the table.
  for (const value of ['Reduction, min', 'Reduction, max']) await page.getByLabel(value).fill('');
  await page.getByLabel('Nut slots').fill('four');
  await page.getByLabel('Part, as stamped').fill('trial sleeve 100');
  await page.getByRole('button', { name: 'Start job' }).click();
  await page.getByRole('alert').first().waitFor();
  await expect.poll(() => page.getByLabel('Part, as stamped').inputValue()).toBe('trial sleeve 100');
  await page.getByLabel('Nut slots').fill('4');
  await page.getByLabel('Washer tabs').fill('17');
  await page.getByRole('button', { name: 'Start job' }).click();
  await page.waitForURL(/\/jobs\/[0-9a-f-]{36}$/);
  const jobId = page.url().split('/').at(-1) ?? '';

  // Gate: nothing opens before every answer.
  expect(await page.locator('[data-pass-step]').isDisabled()).toBe(true);
  await hand.answerAll();
  await hand.on();

  // Shaft: nine places, said in several ways; half a reading survives a reload.
  for (const raw of ['89.974', '89.972 mm', '3.54236 in', '89,973']) await hand.read('shaft', raw);
  await page.locator('form[data-place] input').fill('89.97');
  await page.reload();
  await page.locator('form[data-place] input').waitFor();
  await expect.poll(() => page.locator('form[data-place] input').inputValue()).toBe('89.97');
  expect(await hand.place()).toBe('s2/60');
  // A wrong number is refused beside the field, and stays there to be mended.
  await page.locator('form[data-place] input').fill('8.971');
  await page.getByRole('alert').first().waitFor();
  await page.keyboard.press('Enter');
  expect(await hand.place()).toBe('s2/60');
  for (const raw of ['89.971', '89.975', '89.972', '89.970', '89.974']) {
    if (raw === '89.974') {
      const place = await hand.place();
      await page.locator('form[data-place] input').fill(raw);
      await page.keyboard.press('Enter');
      await page.locator('form[data-place]').waitFor({ state: 'detached' });
      hand.typed.push({ place: place ?? '', raw, step: 'shaft' });
    } else await hand.read('shaft', raw);
  }
  await hand.judged('shaft.form', 'accept');
  await hand.on();
  await hand.answerAll(); // inboard side first
  await hand.on();

  // Bench clearance out of class: the sheet stops, the sets are withdrawn with a reason and felt again.
  // Whatever other gauges the works has by now, these are in the hand.
  await page.getByLabel('Gauge in hand').selectOption({ label: 'Feelers A, 0.005' });
  for (let i = 0; i < 3; i++) await hand.pair('bench', '0.13');
  await hand.judged('bench.class', 'reject');
  expect(await page.locator('[data-pass-step]').isDisabled()).toBe(true);
  for (let i = 0; i < 6; i++) await hand.withdrawLast('ring was tilted on the bench');
  await hand.allStored();

  // The server is killed in the middle of feeling; entries go on and wait on the device.
  // First a gauge that types its digits and Enter without waiting for anybody.
  await page.locator('form[data-place="set1/A"] input').focus();
  await page.keyboard.type('100 µm\n0.1\n');
  await page.locator('form[data-place="set2/A"]').waitFor();
  hand.typed.push(
    { place: 'set1/A', raw: '100 µm', step: 'bench' },
    { place: 'set1/B', raw: '0.1', step: 'bench' },
  );
  await hand.read('bench', '0.1');
  await plant.killServer();
  await hand.read('bench', '.004');
  await hand.pair('bench', '0.100', '0.1');
  await page.locator('[data-queue="away"]').waitFor({ timeout: 20_000 });
  expect(await hand.waiting()).toBeGreaterThanOrEqual(3);
  await plant.restartServer();
  await hand.allStored();
  await hand.on();
  await hand.on();
  await hand.answerAll(); // on the shaft
  await hand.on();

  // Drive-up gone too long: a stop whose only way on is dismounting.
  await hand.pair('driveup', '0.100');
  await hand.pair('driveup', '0.085');
  await hand.pair('driveup', '0.025', '1 thou');
  await hand.judged('driveup.over-driven', 'reject');
  expect(await page.locator('form[data-place]').count()).toBe(0);
  expect(await page.locator('[data-pass-step]').isDisabled()).toBe(true);
  await page.getByRole('button', { name: 'Dismount, new zero' }).click();
  await page.getByRole('dialog').locator('textarea').fill('two eighths at once, driven past');
  await page.getByRole('button', { name: 'Bearing removed' }).click();
  await page.getByRole('dialog').waitFor({ state: 'detached' });
  await hand.answerAll(); // inboard side first
  await hand.on();
  for (const [a, b] of [
    ['0.1', '0.1'],
    ['0.1', '0.105'],
    ['0.1', '0.1'],
  ])
    await hand.pair('bench', a ?? '', b ?? '');
  await page.getByRole('button', { name: /^OK: Ring, sleeve/ }).click();
  await page.locator('[data-item="inspected"] button[aria-pressed="true"]').waitFor();
  await hand.on();
  await hand.on();
  await hand.answerAll(); // on the shaft
  await hand.on();

  // Again, with the network cut and the page reloaded without it.
  await hand.pair('driveup', '0.100');
  await hand.choose('Gap to tab');
  await hand.read('driveup', '4');
  await hand.allStored();
  await isKept(page);
  await context.setOffline(true);
  await hand.pair('driveup', '0.085');
  await hand.pair('driveup', '.00275', '0.070');
  const waitingBefore = await hand.waiting();
  expect(waitingBefore).toBe(4);
  await page.reload();
  await page.locator('form[data-place] input').waitFor();
  expect(await hand.waiting()).toBe(4);
  // By hand: bench (5 × 0.1 + 0.105)/6 = 0.100833; now (.00275 in = 0.06985, 0.070)/2 = 0.069925; taken 0.030908.
  expect(await page.locator('[data-so-far]').getAttribute('data-so-far')).toBe('0.030908');
  await hand.pair('driveup', '0.055');
  expect(await hand.waiting()).toBe(6);
  await context.setOffline(false);
  await hand.allStored();

  // Before the last turn the sheet tells where a tab meets and what that costs.
  const ahead = Number(await page.locator('[data-lock-ahead]').getAttribute('data-lock-ahead'));
  expect(ahead).toBeGreaterThan(0);
  expect(ahead).toBeLessThan(45);
  await page.locator('canvas[aria-label^="Clearance against nut angle"]').waitFor();
  await hand.choose('1/16 on');
  await hand.pair('driveup', '0.050', '0.045');
  await hand.on();

  // Lock: forward to the tab, both rows felt with the nut locked, the tab bent.
  await hand.read('lock', '4');
  for (const [a, b] of [
    ['0.045', '0.050'],
    ['0.050', '0.045'],
    ['0.045', '0.050'],
  ])
    await hand.pair('lock', a ?? '', b ?? '');
  await page.getByRole('button', { name: /^OK: Tab bent/ }).click();
  await page.locator('[data-item="bent"] button[aria-pressed="true"]').waitFor();
  await hand.judged('driveup.place', 'accept');
  await hand.on();
  await hand.answerAll(); // first fill
  await hand.on();

  await hand.bolts();
  await hand.on();
  await hand.answerAll();
  await page.locator('[data-pass-step]').click();
  await page.getByLabel('as recorded here, signed').fill('Asta');
  await page.getByRole('button', { name: 'Sign the sheet' }).click();
  await page.getByText('signed by Asta').first().waitFor();
  await hand.allStored();

  // The sheet as JSON: what was typed, each once, in order.
  const sheet = await (await page.request.get(`${plant.url}/api/jobs/${jobId}/sheet.json`)).json();
  expect(sheet.title).toMatchObject({
    machine: 'Pulp press drive',
    state: 'signed',
    partNumber: 'trial sleeve 100',
  });
  expect(
    sheet.readings.map((r: { place: string; typed: string; step: string }) => ({
      place: r.place,
      raw: r.typed,
      step: r.step,
    })),
  ).toEqual(hand.typed);
  for (const r of sheet.readings) {
    const meant =
      r.unit === 'deg'
        ? parseAngle(r.typed)
        : parseLength(/^\./.test(r.typed) ? `${r.typed} in` : r.typed, 'mm');
    expect(meant.ok && ('mm' in meant ? meant.mm : meant.deg)).toBeCloseTo(r.value, 9);
    expect(r.by).toBe('Asta');
  }
  expect(sheet.readings.filter((r: { withdrawn: unknown }) => r.withdrawn)).toHaveLength(6);
  expect(sheet.dismountings).toHaveLength(1);
  expect(sheet.bolts).toHaveLength(20);
  expect(sheet.results.residualMm).toBeCloseTo(0.0475, 6);
  expect(sheet.results.reductionMm).toBeCloseTo(sheet.results.benchMm - 0.0475, 6);

  // The PDF, by its link: the same numbers, as text.
  await page.goto(`${plant.url}/jobs/${jobId}/sheet`);
  const href = await page.locator('[data-pdf]').getAttribute('href');
  const pdf = await page.request.get(`${plant.url}${href}`);
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  const file = join(mkdtempSync(join(tmpdir(), 'fulcrant-pdf-')), 'sheet.pdf');
  writeFileSync(file, await pdf.body());
  const text = spawnSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' }).stdout;
  const flat = text.replace(/\s+/g, ' ');
  for (const r of sheet.readings)
    expect(flat).toContain(r.unit === 'deg' ? `${r.value}°` : `${r.value.toFixed(3)} mm`);
  for (const word of [
    'Pulp press drive',
    sheet.number,
    'trial sleeve',
    'two eighths at once',
    'ring was tilted',
    sheet.contentHash,
    '0.048 mm',
    'ISO 5753-1',
  ]) {
    expect(flat).toContain(word);
  }
  expect(complaints).toEqual([]);
  await context.close();
});
