import { allTrades, type Trade } from '@fulcrant/core/job';
import { say } from '@fulcrant/core/units';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import '@fulcrant/core/every-trade';
import { gauge, newId, tools } from '../../../core/src/testing/test-stand.ts';
import { setup as bearing } from '../../../core/src/trades/sleeve-bearing/example.ts';
import { Counting, type Opening, openFromBoard, workCounted } from '../testing/counting.ts';
import { openPage } from '../testing/open.tsx';
import { FakeServer } from '../testing/server.ts';
import { press } from '../testing/sheet.ts';
import { until } from '../testing/until.ts';

// A job from the board to its signature at standard depth, by the fewest keys and touches the pages allow: every value fixed before, one
// slip put right in each, one reading near its limit, nothing answered beforehand.

beforeEach(() => vi.useFakeTimers({ toFake: ['Date'], now: new Date('2026-12-02T08:00:00Z') }));
afterEach(() => vi.useRealTimers());

type Job = {
  kind: string;
  opening: Opening;
  /** What the gauges show at a step, in order; `*`: always this. Else what the trade's own example reads. */
  gauges: Record<string, string>;
  slip: { step: string; raw: string };
  here?: Record<string, string>;
  /** The step it is followed to; to its signature where nothing is said. */
  to?: string;
  /** Keys and touches together; what was wished for stands behind it. */
  most: number;
};

/** What the last sheet of a position says of it. */
const KNOWN = { ...bearing, stations: 2, angles: 2, depth: 'standard', partNumber: '22220K', boltNm: 180 };
const BEARING = { partNumber: '22220K', seatMm: '60' };
const SEAT = '-26 -28 -24 -27';
const FELT = {
  shaft: SEAT,
  bench: '0.1 0.100 0.100 0.105 0.100 0.100',
  driveup: '0.1 0.100 0.085 0.085 0.070 0.070 0.055 0.055 0.050 0.045',
  lock: '4 0.045 0.050 0.045 0.050 0.045 0.050',
};
const SLEEVE = {
  shaft: '-5 -6 -4 -7',
  finish: '0.4 1.6',
  runout: '0.035',
  play: '0.03 0.02',
  face: '0.02',
};
const JOBS: Record<string, Job> = {
  'a bearing by feelers at a new position': {
    kind: 'sleeve-bearing',
    opening: { boxes: BEARING, off: ['Housing close-up', 'Load and base bolts', 'Run-in checks'] },
    gauges: FELT,
    slip: { step: 'driveup', raw: '0.11' },
    most: 147, // wished: 110 keys and 60 touches
  },
  'the same bearing at a known position': {
    kind: 'sleeve-bearing',
    opening: { known: 'Pulp press drive' },
    gauges: FELT,
    slip: { step: 'driveup', raw: '0.11' },
    most: 104, // wished: 70 keys and 50 touches
  },
  'a bearing by hydraulic nut': {
    kind: 'sleeve-bearing',
    opening: {
      boxes: { ...BEARING, 'maker:startPressureMpa': '2.5', 'maker:driveUpMinMm': '0.6' },
      chosen: { 'driveUp.school': 'hydraulic' },
      off: ['Housing close-up', 'Load and base bolts', 'Run-in checks'],
    },
    gauges: {
      shaft: SEAT,
      bench: '0.1 0.100 0.100 0.105 0.100 0.100',
      driveup: '3 2 20 1.4',
      lock: '3 0.045 0.050 0.045 0.050 0.045 0.050',
    },
    slip: { step: 'shaft', raw: '-62' },
    here: { 'driveUp.indicator': 'away' },
    most: 158, // wished: 40 keys and 60 touches
  },
  'a split roller bearing': {
    kind: 'split-bearing',
    opening: { off: ['Load and base bolts', 'Run-in checks'] },
    gauges: { shaft: SLEEVE.shaft, runout: '0.035' },
    slip: { step: 'race', raw: '0.5' },
    most: 151, // wished: 45 keys and 70 touches
  },
  'a cartridge seal with its shaft checks': {
    kind: 'seal',
    opening: { choices: [/^Cartridge seal/] },
    gauges: SLEEVE,
    here: { 'measures.bore': '80', 'condition.faceRadiusMm': '60' },
    slip: { step: 'shaft', raw: '-50' },
    most: 190, // wished: 60 keys and 70 touches
  },
  'a fully split seal': {
    kind: 'seal',
    opening: { choices: [/^Fully split/] },
    gauges: SLEEVE,
    here: { 'measures.bore': '80', 'condition.faceRadiusMm': '60' },
    slip: { step: 'shaft', raw: '-50' },
    most: 186, // wished: 35 keys and 60 touches
  },
  'a packed box to the first flat': {
    kind: 'packing',
    opening: {},
    gauges: { runout: '0.035', follower: '0.8 0.8', breakin: '160 1' },
    slip: { step: 'runout', raw: '0.44' },
    to: 'breakin',
    most: 119, // wished: 35 keys and 30 touches
  },
  'a vane pump, both sides': {
    kind: 'vane-pump',
    opening: {},
    gauges: {},
    slip: { step: '', raw: '' },
    most: 143, // wished: 25 keys and 90 touches
  },
};

it.each(Object.entries(JOBS))(
  '%s',
  async (_, { kind, opening, gauges, slip, here, to, most }) => {
    const trade = allTrades().find((t) => t.id === kind) as Trade;
    const server = new FakeServer().on('GET', '/api/positions', () => ({
      positions: [
        {
          id: newId(),
          site: 'Test works',
          label: 'P-1',
          machine: 'Pulp press drive',
          position: 'Tail',
          setup: KNOWN,
        },
      ],
      more: false,
    }));
    // The cupboard of a works: each gauge in its range, blades in steps that come as blades do.
    server.instruments = [
      ...Object.values(tools)
        .filter((g) => !['dial', 'feeler'].includes(g.kind))
        .map((g) => ({ ...g, low: 0, high: 10_000 })),
      gauge('dial', 'dial', 0.01, 0, 10),
      gauge('feelers', 'feeler', 0.005, 0.02, 1),
    ];
    await openPage('/', server);
    const hand = new Counting();
    await openFromBoard(hand, trade, new RegExp(`^${say(trade.words.offer[0], 'mm')}`), opening);
    const jobId = await until(() => server.ids().at(-1) ?? null);
    hand.steps.push(['opening', hand.spent]);
    await workCounted(hand, server, jobId, { gauges, slip, here, to });
    if (!to) {
      await press('Sign the sheet');
      hand.taps++;
      await until(() => server.state(jobId).signed !== null);
    }
    expect(hand.keys + hand.taps, hand.told()).toBeLessThanOrEqual(most);
    // Not far under it either: a job that suddenly costs nothing was not worked.
    expect(hand.keys + hand.taps).toBeGreaterThan(0.7 * most);
  },
  120_000,
);
