import { describe, expect, it } from 'vitest';
import type { Past } from '../engine/trade.ts';
import { tradeOf } from '../engine/trades.ts';
import { english } from '../testing/english.ts';
import { EVERY_KIND, workAll } from '../testing/every-kind.ts';
import { handAt } from '../testing/test-stand.ts';
import { dismountingTrade } from '../trades/dismounting/index.ts';
import { sealWearTrade } from '../trades/seal-wear/index.ts';
import { limitsOf } from './limits.ts';
import type { PastJob } from './past.ts';
import { besideEachOther, livesOf, tracesOf } from './traces.ts';

let n = 0;
const job = (signedAt: string | null, results: PastJob['results'], more: Partial<PastJob> = {}): PastJob => ({
  jobId: `j${++n}`,
  number: `H-${n}`,
  kind: 'sleeve-bearing',
  sheet: 'Fit-up sheet',
  state: signedAt ? 'signed' : 'open',
  openedAt: '2020-01-01T00:00:00Z',
  signedAt,
  signedBy: null,
  partNumber: null,
  results,
  limits: {},
  rows: [],
  ...more,
});

describe('the numbers of a position over the years', () => {
  it('stand in order of time whatever order they come in, found beside left in one trace', () => {
    const traces = tracesOf([
      job('2026-04-01T00:00:00Z', { foundMm: 0.082 }, { kind: 'dismounting' }),
      job('2024-09-01T00:00:00Z', { residualMm: 0.05, benchMm: 0.11 }),
    ]);
    const residual = traces.find((t) => english(t.label) === 'Residual clearance');
    expect(residual?.points.map((p) => [p.value, p.found])).toEqual([
      [0.05, false],
      [0.082, true],
    ]);
    expect(traces.find((t) => english(t.label) === 'Bench clearance')?.points).toHaveLength(1);
    expect(tracesOf([job('2024-09-01T00:00:00Z', { verdict: 'fit', gapsMm: [1, 2] })])).toEqual([]);
  });

  it('run-out that grows by 6 µm a year tells the day it stands at its limit, with a band; its limits are the newest’s', () => {
    const years = [2020, 2021, 2022, 2023].map((y, i) =>
      job(
        `${y}-06-01T00:00:00Z`,
        { runoutMm: 0.02 + 0.006 * i },
        { limits: { runoutMm: { upper: i < 3 ? 0.06 : 0.05 } } },
      ),
    );
    const [trace] = tracesOf(years);
    expect(trace?.limits).toEqual({ upper: 0.05 });
    // 0.030 at 0.006 a year from the first: five years.
    expect(trace?.trend?.day).toBeCloseTo(5 * 365.25, -1);
    expect(trace?.trend?.from).toBeLessThan(5 * 365);
    // Clearances are set anew at each fitting: they tell no day.
    expect(tracesOf(years.map((j) => ({ ...j, results: { residualMm: 0.05 } })))[0]?.trend).toBeNull();
  });

  it('two fittings lie side by side, number by number, and what only one has stands alone', () => {
    const before = job('2024-01-01T00:00:00Z', { residualMm: 0.05, torqueNm: 150 });
    const after = job('2026-01-01T00:00:00Z', { residualMm: 0.08, hottestC: 61 });
    const rows = Object.fromEntries(besideEachOther(before, after).map((r) => [english(r.label), r]));
    expect(rows['Residual clearance']?.changed).toBeCloseTo(0.03, 9);
    expect(rows.Hottest).toMatchObject({ before: null, after: 61, changed: null });
    expect(rows['Bolts tightened to']).toMatchObject({ before: 150, after: null });
  });

  it('a seal lived from its signature to the next of its kind; the last one lives still', () => {
    const lives = livesOf(
      [
        job('2025-01-01T00:00:00Z', {}, { kind: 'seal', partNumber: 'S 60' }),
        job('2025-06-01T00:00:00Z', {}, { kind: 'bearing' }),
        job('2026-01-01T00:00:00Z', {}, { kind: 'seal' }),
        job(null, {}, { kind: 'seal' }),
      ],
      '2026-03-02T00:00:00Z',
    );
    expect(lives.map((l) => [l.kind, l.days, l.to !== null])).toEqual([
      ['seal', 365, true],
      ['bearing', 274, false],
      ['seal', 60, false],
    ]);
    expect(lives[0]?.partNumber).toBe('S 60');
  });
});

describe('limits of what a job came to', () => {
  it.each(Object.keys(EVERY_KIND))('%s: those it has hold its own number', (name) => {
    const setup = EVERY_KIND[name];
    if (!setup) throw new Error(name);
    const { state } = workAll(handAt(setup));
    const { results } = tradeOf(setup).words.came(state);
    for (const [result, { lower, upper }] of Object.entries(limitsOf(state, results))) {
      const value = results[result] as number;
      // Worked by the book: nothing stands beyond its limits by more than what is told of a doubt.
      if (lower !== undefined) expect(value, result).toBeGreaterThanOrEqual(lower - 0.05);
      if (upper !== undefined) expect(value, result).toBeLessThanOrEqual(upper + 0.05);
    }
  });

  it('a bearing’s bench clearance has its class for limits', () => {
    const setup = EVERY_KIND['by feelers'];
    if (!setup) throw new Error('by feelers');
    const { state } = workAll(handAt(setup));
    const { results } = tradeOf(setup).words.came(state);
    expect(limitsOf(state, results).benchMm).toMatchObject({
      lower: expect.any(Number),
      upper: expect.any(Number),
    });
  });
});

describe('what the past tells a new job', () => {
  const past: Past[] = [
    { signedAt: '2026-02-03T08:00:00Z', results: { letGoMpa: 30 } },
    { signedAt: '2025-08-09T08:00:00Z', results: { residualMm: 0.0525, baselineMm: 1.18 } },
    { signedAt: '2021-08-09T08:00:00Z', results: { residualMm: 0.07, baselineMm: 1.02 } },
  ];
  it('a dismounting asks for what the last fitting left; a wear watch begins at the last seal’s baseline and day', () => {
    expect(dismountingTrade.fromPast?.(past)).toEqual({ asLeftMm: 0.0525 });
    expect(sealWearTrade.fromPast?.(past)).toEqual({ baselineMm: 1.18, fittedOn: '2025-08-09' });
    expect(dismountingTrade.fromPast?.([])).toEqual({});
    expect(sealWearTrade.fromPast?.(past.slice(0, 1))).toEqual({});
  });
});
