import type { Example } from '../../engine/trade.ts';
import { reportAt } from '../../engine/trades.ts';
import { SHARED_WORK } from '../../steps/example.ts';
import { feelAt, feelBench } from './hand.ts';
import { type SleeveSetup, schoolOf, USUAL_SETUP } from './setup.ts';

/** A normal-class bearing of 100 bore on a 90 shaft. */
export const setup: SleeveSetup = {
  ...USUAL_SETUP,
  machine: 'Pulp press drive',
  position: 'Gearbox end, fixed',
  condition: { measures: ['shaft'] },
};
/** A float with everything round it: seat, grease, housing, base bolts, first hours. */
export const floatWhole: SleeveSetup = {
  ...setup,
  role: 'float',
  position: 'Tail end, float',
  float: { spanMm: 1400, shaftOverBaseK: 30 },
  grease: {
    school: 'by-speed',
    outsideMm: 180,
    widthMm: 46,
    massKg: 4.9,
    speedRpm: 980,
    housingCm3: 900,
  },
  closing: { order: 'in-place', seals: 'labyrinth', rings: 'none' },
  baseBolts: { size: 'M20', grade: '8.8', count: 4, friction: 'oiled', layout: 'rectangle' },
  runIn: { retorque: true },
};

const setups: Record<string, SleeveSetup> = {
  'by feelers': setup,
  'by nut angle': {
    ...setup,
    driveUp: { school: 'nut-angle', feelersToo: true },
    maker: { nutAngleMinDeg: 110, nutAngleMaxDeg: 140 },
  },
  'by hydraulic nut': {
    ...setup,
    driveUp: { school: 'hydraulic', twoNuts: true, indicator: 'away' },
    maker: {
      startPressureMpa: 2.5,
      sheetAreaMm2: 12_000,
      nutAreaMm2: 10_000,
      driveUpMinMm: 0.6,
      driveUpMaxMm: 0.75,
      abortPressureMpa: 30,
    },
  },
  'float, whole': floatWhole,
};

const work: Example<SleeveSetup>['work'] = {
  ...SHARED_WORK,
  bench: (h) =>
    feelBench(h, [
      [0.1, 0.1],
      [0.1, 0.105],
      [0.1, 0.1],
    ]),
  zero: (h) => h.read('zero', 'tap/1', 8, 'protractor').read('zero', 'tap/2', 0, 'protractor'),
  driveup: (h, on) => {
    const school = schoolOf(on);
    if (school === 'nut-angle') h.read('driveup', 'turn/1', 125, 'protractor');
    else if (school === 'hydraulic')
      h.read('driveup', 'start/p', 3, 'pressure')
        .read('driveup', 'start/z', 2, 'dial')
        .read('driveup', 'n1/p', 20, 'pressure')
        .read('driveup', 'n1/d', 1.33, 'dial');
    else
      for (const [deg, gap] of [
        [0, 0.1],
        [45, 0.085],
        [90, 0.07],
        [135, 0.055],
        [150, 0.05],
      ] as const)
        feelAt(h, deg, gap, gap);
  },
  lock: (h, on) => {
    h.read('lock', 'turn', 3, 'protractor');
    if (on.driveUp?.twoNuts) h.read('lock', 'back', 4, 'protractor');
    const next = () => reportAt(h.state, 'lock')?.next;
    for (let i = 0; i < 6 && next(); i++) h.read('lock', next()?.key ?? '', 0.0475, 'feeler');
  },
};

/** Each of its variants, and how it is worked. */
export const example: Example<SleeveSetup> = { setups, work };
