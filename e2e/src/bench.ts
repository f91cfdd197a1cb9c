import { runout } from '@fulcrant/core/calculators';
import { type JobEvent, reduce } from '@fulcrant/core/job';
import { driveUpMonteCarlo, type MonteCarloInput } from '@fulcrant/core/trials';
import FFT from 'fft.js';
import type { Page } from 'playwright-core';
import { linearRegression } from 'simple-statistics';
import { fitHarmonics } from '../../core/src/metrology/harmonics.ts';
import { fitLine } from '../../core/src/metrology/line.ts';
import { trialSummary } from '../../core/src/simulation/drive-up-trial.ts';
import { largestDisagreement, modelAgainstTable } from '../../core/src/simulation/model-and-table.ts';
import { Plant } from '../../packages/trials/src/plant.ts';
import { echoes } from './bench-keys.ts';
import { firstLoad } from './bench-load.ts';
import { still as standsStill } from './still.ts';
import { openSurvey, pair } from './survey-hand.ts';

/** One frame at 60 Hz. */
const FRAME_MS = 1000 / 60;
const KEYSTROKES = 120;

const at = (sorted: number[], share: number) =>
  sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;
const line = (what: string, value: string) => console.log(`${what.padEnd(58)} ${value}`);

/**
 * Type into a field and time each keystroke in the page: from the input event to the end of all the work it caused
 * (React answers a keystroke in microtasks, so all of it is done before the browser may paint). What the browser then
 * needs to paint without a graphics card is the machine's, not ours, and is left out.
 */
async function keystrokes(page: Page, selector: string, texts: string[]): Promise<number[]> {
  await page.evaluate(() => {
    const w = window as unknown as { times: number[] };
    w.times = [];
    let began = 0;
    addEventListener(
      'input',
      () => {
        began = performance.now();
      },
      { capture: true },
    );
    // Fires after React's own listener and the microtasks it left; a few turns more for what effects set off.
    addEventListener('input', async () => {
      for (let i = 0; i < 20; i++) await null;
      w.times.push(performance.now() - began);
    });
  });
  await page.locator(selector).focus();
  let typed = 0;
  while (typed < KEYSTROKES) {
    for (const text of texts) {
      await page.keyboard.type(text, { delay: 12 });
      typed += text.length;
      for (let i = 0; i < text.length; i++) await page.keyboard.press('Backspace', { delay: 4 });
    }
  }
  return page.evaluate(() => (window as unknown as { times: number[] }).times.sort((a, b) => a - b));
}

type Frames = { count: number; late: number; worst: number; longTasks: number };

/**
 * Watch the page's frames for a while: how many came, how many more than one and a half frames after the one before (a frame
 * was dropped), and how many tasks held the page over 50 ms.
 */
function frames(page: Page, ms: number): Promise<Frames> {
  return page.evaluate(
    ([length, frame]) =>
      new Promise<Frames>((done) => {
        let last = performance.now();
        const end = last + (length as number);
        const gaps: number[] = [];
        let longTasks = 0;
        const watcher = new PerformanceObserver((l) => {
          longTasks += l.getEntries().length;
        });
        watcher.observe({ entryTypes: ['longtask'] });
        const step = (now: number) => {
          gaps.push(now - last);
          last = now;
          if (now < end) requestAnimationFrame(step);
          else {
            watcher.disconnect();
            done({
              count: gaps.length,
              late: gaps.filter((g) => g > 1.5 * (frame as number)).length,
              worst: Math.max(...gaps),
              longTasks,
            });
          }
        };
        requestAnimationFrame(step);
      }),
    [ms, FRAME_MS],
  );
}

/** Mean milliseconds of one call, over enough calls to matter. */
function perCall(work: () => unknown): number {
  for (let i = 0; i < 50; i++) work();
  const began = performance.now();
  let n = 0;
  while (performance.now() - began < 600) {
    work();
    n++;
  }
  return (performance.now() - began) / n;
}

/** A drive-up of a bearing of 100 bore after three readings, as the sheet asks the worker. */
const TRIAL: MonteCarloInput = {
  seed: 7,
  samples: 100_000,
  benchMm: 0.1,
  benchU: 0.0015,
  expectedPerDegMm: 0.000_356_5,
  bladeStepMm: 0.005,
  points: [
    { angleDeg: 0, clearanceMm: 0.1, u: 0.0015 },
    { angleDeg: 45, clearanceMm: 0.0875, u: 0.001 },
    { angleDeg: 90, clearanceMm: 0.0725, u: 0.001 },
  ],
  band: { reductionMinMm: 0.045, reductionMaxMm: 0.06, leastResidualMm: 0.035 },
  aimMm: 0.0525,
  nowDeg: 90,
  stopsDeg: [90, 138, 143.3, 148.6, 153.9, 159.2],
};

/** A bare loop over typed arrays of as many samples: what the machine can do at all. */
function bareLoop(): number {
  const a = new Float64Array(TRIAL.samples);
  let sum = 0;
  for (let i = 0; i < a.length; i++) {
    a[i] = Math.sqrt(i) * 1.0001;
    sum += a[i] ?? 0;
  }
  return sum;
}

const plant = await Plant.open();
try {
  const { page, context } = await plant.visit('Asta');
  const { jobs } = await (await page.request.get(`${plant.url}/api/jobs?limit=200`)).json();
  const job = jobs.find(
    (j: { machine: string; present: string }) => j.machine === 'Pulp press drive' && j.present === 'driveup',
  );
  await page.goto(`${plant.url}/jobs/${job.id}`);
  await page.locator('form[data-place] input').waitFor();
  await standsStill(page);
  const verdict = await keystrokes(page, 'form[data-place] input', ['0.054', '3 thou', '.0021', '52 µm']);
  const slow = [];
  for (const slower of [4, 6])
    slow.push([slower, await echoes(page, 'form[data-place] input', slower)] as const);
  await page.goto(`${plant.url}/sign-in`);
  await page.getByLabel('Name').waitFor();
  const bareSlow = [];
  for (const slower of [4, 6]) bareSlow.push(await echoes(page, 'input[autocomplete=username]', slower));
  const bareKeys = await keystrokes(page, 'input[autocomplete=username]', [
    '0.054',
    '3 thou',
    '.0021',
    '52 µm',
  ]);
  const { events }: { events: JobEvent[] } = await (
    await page.request.get(`${plant.url}/api/jobs/${job.id}`)
  ).json();
  await page.goto(`${plant.url}/jobs/${job.id}`);
  await page.locator('[data-trial="done"]').waitFor();
  const worked: number[] = [];
  const busy: Frames[] = [];
  for (const raw of ['0.055', '0.055', '0.050', '0.050']) {
    const watching = frames(page, 2500);
    await page.locator('form[data-place] input').fill(raw);
    await page.keyboard.press('Enter');
    busy.push(await watching);
    await page.locator('[data-trial="done"]').waitFor();
    worked.push(Number(await page.locator('[data-trial]').getAttribute('data-trial-ms')));
  }
  await openSurvey(page, plant.url, 'bench', ['Run-out'], {
    'Angles in a turn': '24',
    'Run-out at stations': '1',
  });
  await frames(page, 500);
  const still = await frames(page, 4000);
  await pair(page, 'oval');
  const shown = await frames(page, 4000);
  await page.evaluate(() => {
    const w = window as unknown as { heard: number };
    w.heard = 0;
    const seen = new MutationObserver(() => w.heard++);
    const value = document.querySelector('[data-feed-value]');
    if (value) seen.observe(value, { attributes: true });
  });
  await page.locator('[data-sweep-start]').click();
  await page.locator('[data-sweep="turning"]').waitFor();
  const swept = await frames(page, 4000);
  const moved = await page.evaluate(() => (window as unknown as { heard: number }).heard);
  await context.close();

  const said = (f: Frames) =>
    `${((1000 * f.count) / 4000).toFixed(1)} a second, ${((100 * f.late) / f.count).toFixed(1)} % late, worst ${f.worst.toFixed(0)} ms, ${f.longTasks} tasks over 50 ms`;
  console.log('\nIn the browser, run-out on 24 angles from a feed of 50 readings a second:');
  line('  frames of the sheet standing still', said(still));
  line('  frames with the feed shown', said(shown));
  line('  frames while a turn is swept: fit, verdict, figure', said(swept));
  line('  value on the sheet changed, times in those 4 s', String(moved));
  line('  frames swept as a share of frames standing still', (swept.count / still.count).toFixed(3));

  console.log('\nIn the browser, drive-up step, keystroke to verdict (parse, reduce, judge, render):');
  line(
    '  median / 95 % / worst, ms',
    `${at(verdict, 0.5).toFixed(1)} / ${at(verdict, 0.95).toFixed(1)} / ${at(verdict, 1).toFixed(1)}`,
  );
  line(
    '  share of keystrokes within one frame (16.7 ms)',
    `${((100 * verdict.filter((t) => t <= FRAME_MS).length) / verdict.length).toFixed(1)} % of ${verdict.length}`,
  );
  line('  95 % as a share of one frame', (at(verdict, 0.95) / FRAME_MS).toFixed(2));
  line(
    '  the same in a bare field, median / 95 %',
    `${at(bareKeys, 0.5).toFixed(1)} / ${at(bareKeys, 0.95).toFixed(1)}`,
  );
  line(
    '  median, ratio to a bare field of the same page set-up',
    (at(verdict, 0.5) / Math.max(0.05, at(bareKeys, 0.5))).toFixed(1),
  );

  console.log(
    '\nFirst load with nothing kept, 10 Mbit/s, a processor 4 times as slow, each the middle of three, ms:',
  );
  const loads: number[] = [];
  const bareLoads: number[] = [];
  for (let i = 0; i < 3; i++) {
    const asta = await plant.visit('Asta');
    loads.push(await firstLoad(asta.context, plant.url, 'main a[href^="/jobs/"]', 4));
    await asta.context.close();
    const nobody = await plant.device();
    bareLoads.push(await firstLoad(nobody, `${plant.url}/sign-in`, 'input[autocomplete=username]', 4));
    await nobody.close();
  }
  const middle = (all: number[]) =>
    at(
      [...all].sort((a, b) => a - b),
      0.5,
    );
  line('  the board, to its first job', middle(loads).toFixed(0));
  line('  the sign-in page, of the same libraries', middle(bareLoads).toFixed(0));
  line('  ratio', (middle(loads) / middle(bareLoads)).toFixed(2));

  console.log('\nFrom a key to the next picture, on a slower processor (event timing, to 8 ms):');
  for (const [i, [slower, told]] of slow.entries()) {
    const bare = bareSlow[i];
    line(
      `  ${slower} times as slow, drive-up: median / 95 % / longest, ms`,
      `${told.median} / ${told.most95} / ${told.longest}`,
    );
    line(
      `  the same in a bare field of the same libraries`,
      `${bare?.median} / ${bare?.most95} / ${bare?.longest}`,
    );
  }

  console.log('\nA drive-up tried 100 000 times in a web worker, after each reading:');
  line('  in the worker, ms', worked.map((ms) => ms.toFixed(0)).join(', '));
  line(
    '  longest gap between frames of the page meanwhile, ms',
    busy.map((f) => f.worst.toFixed(0)).join(', '),
  );
  line('  tasks of the page over 50 ms meanwhile', busy.map((f) => f.longTasks).join(', '));
  line(
    '  ratio to a bare loop over as many typed-array cells, one process',
    (perCall(() => driveUpMonteCarlo(TRIAL)) / perCall(bareLoop)).toFixed(0),
  );

  const rows = modelAgainstTable();
  const worst = largestDisagreement(rows);
  console.log('\nModel of thick rings beside the drive-up table (docs/drive-up-model.md):');
  line('  rows', String(rows.length));
  line(
    '  largest disagreement: bore, taper, least and most',
    `over ${worst.overMm} to ${worst.uptoMm}, 1:${worst.taper}, ${worst.off.map((o) => `${(100 * o).toFixed(0)} %`).join(' and ')}`,
  );

  const points = Array.from({ length: 8 }, (_, i) => ({
    x: 45 * i,
    y: 0.1 - 0.015 * i + (i % 2 ? 0.001 : 0),
  }));
  const pairs = points.map((p) => [p.x, p.y]);
  console.log('\nIn core, one process:');
  line(`  reduce and judge a job of ${events.length} events, ms`, perCall(() => reduce(events)).toFixed(3));
  line(
    '  fitted line with uncertainties, ratio to simple-statistics',
    (perCall(() => fitLine(points, 0.001)?.at(90)) / perCall(() => linearRegression(pairs))).toFixed(2),
  );
  console.log('\nDrive-up trial: 1000 simulated bearings driven up by each rule (docs/drive-up-trial.md):');
  for (const [boreMm, pitchMm] of [
    [60, 2],
    [100, 2],
    [160, 3],
    [280, 4],
  ] as const)
    for (const rule of ['forecast', 'notebook'] as const) {
      const t = trialSummary(
        { boreMm, taper: 12, clearanceClass: 'CN', pitchMm, bladeStepMm: 0.005 },
        1000,
        rule,
      );
      line(
        `  bore ${boreMm}, ${rule}: in band / short / over-driven, readings`,
        `${(100 * t.inBand).toFixed(1)} / ${(100 * t.short).toFixed(1)} / ${(100 * t.overDriven).toFixed(1)} %, ${t.readings.toFixed(2)}`,
      );
    }

  const turn = Array.from({ length: 24 }, (_, i) => ({
    angleDeg: 15 * i,
    valueMm: 0.02 * Math.cos((i * Math.PI) / 12) + 0.004 * Math.cos((i * Math.PI) / 6),
  }));
  const whole = () =>
    runout({
      shaftMm: 60,
      readings: turn,
      closingMm: 0.024,
      resolutionMm: 0.002,
      school: 'flat',
      wanted: 24,
    });
  const fft = new FFT(32);
  const out = fft.createComplexArray();
  const samples = Array.from({ length: 32 }, (_, i) => Math.cos(i));
  const bare = perCall(() => fft.realTransform(out, samples));
  line('  run-out on 24 angles, fit and verdict, ms', perCall(whole).toFixed(3));
  line('  its share of the 20 ms between two readings', (perCall(whole) / 20).toFixed(4));
  line(
    '  harmonic fit on 24 angles, ratio to an FFT of 32 points (fft.js)',
    (perCall(() => fitHarmonics(turn, 0.001)) / bare).toFixed(0),
  );
} finally {
  await plant.close();
}
