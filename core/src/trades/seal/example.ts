import type { Example } from '../../engine/trade.ts';
import { reportAt } from '../../engine/trades.ts';
import { closeSeat, NAMED, SHARED_WORK } from '../../steps/example.ts';
import { proofMinutes } from './proof.ts';
import { sealSettingStep } from './setting.ts';
import { type SealSetup, USUAL_SEAL } from './setup.ts';

/** A cartridge seal on a shaft of 90; torques invented. */
export const cartridgeSeal: SealSetup = {
  ...USUAL_SEAL,
  ...NAMED,
  shaftMm: 90,
  seatMm: 60,
  glandNm: 34,
  screwNm: 6,
  boxPressureMpa: 0.4,
  hardenedScrews: false,
  elastomer: 'FKM',
  fluid: 'water',
  temperatureC: 70,
  condition: { measures: ['shaft'], seat: 'mechanical-seal' },
};
/** A component seal on the same shaft: 62 long, pressed together by 6. */
export const componentSeal: SealSetup = {
  ...cartridgeSeal,
  family: 'component',
  freeLengthMm: 62,
  compressionMm: 6,
  rotary: 'inside',
  growthMm: 0.2,
};
/** A fully split one, its holder's spacer held by hand. */
export const fullySplitSeal: SealSetup = {
  ...cartridgeSeal,
  family: 'fully-split',
  jointScrews: 2,
  jointNm: 6,
};
/** A split one with a clamp ring. */
export const clampSplit: SealSetup = { ...cartridgeSeal, family: 'clamp-split', jointScrews: 2, jointNm: 6 };
const setups: Record<string, SealSetup> = {
  'cartridge seal': { ...cartridgeSeal, barrier: true, rotation: 'clockwise', seenFrom: 'drive-end' },
  'cartridge seal, clips first': {
    ...cartridgeSeal,
    tail: 'clips-first',
    impellerSet: true,
    maker: { impellerLowerMm: 0.3, impellerUpperMm: 0.5 },
  },
  cassette: { ...cartridgeSeal, family: 'cassette' },
  'component seal': componentSeal,
  // Faces invented: 112 by 102, balanced at 105.
  'component seal, faces given': {
    ...componentSeal,
    glandMostNm: 40,
    faces: { outsideMm: 112, insideMm: 102, balanceMm: 105, springN: 250 },
  },
  'cartridge split seal': { ...cartridgeSeal, family: 'cartridge-split', jointScrews: 4, jointNm: 6 },
  'fully split seal': fullySplitSeal,
  'fully split seal, fastened': { ...fullySplitSeal, spacer: 'fastened', oRings: 'proud' },
  'clamped split seal': clampSplit,
  'purged seal': {
    ...cartridgeSeal,
    family: 'purged',
    processMpa: 0.1,
    condition: {
      measures: ['shaft', 'runout'],
      seat: 'throttle',
      throttleBoreMm: 90.1,
      runoutStations: 1,
      runoutAngles: 6,
    },
  },
};

/** Splits as they should stand. */
const SPLIT_AT: Record<string, number> = {
  'gland-split': 0,
  'rotary-split': 90,
  'stationary-split': 90,
  'rotary-seam': 200,
  'stationary-seam': 200,
};

const work: Example<SealSetup>['work'] = {
  ...SHARED_WORK,
  shaft: closeSeat,
  ports: (h) => h.read('ports', 'inlet', 120, 'protractor').read('ports', 'outlet', 60, 'protractor'),
  reach: (h) => h.read('reach', 'sleeve', 12.4, 'caliper'),
  reached: (h) => h.read('reached', 'sleeve', 12.44, 'caliper'),
  setting: (h) => h.read('setting', 'seat', 5, 'caliper').read('setting', 'gasket', 0.5, 'caliper'),
  collar: (h) =>
    h.read(
      'collar',
      'collar',
      sealSettingStep.valuesOf(reportAt(h.state, 'setting'))?.setting?.collarMm ?? 0,
      'caliper',
    ),
  impeller: (h, { family, impellerSet }) => {
    if (family === 'component') h.read('impeller', 'impeller', 0.2, 'dial');
    else if (impellerSet) h.follow('impeller', 'caliper', (p) => (p.key === 'before' ? 0.9 : 0.4));
  },
  splitgaps: (h) => h.read('splitgaps', 'split/a', 0.1, 'feeler').read('splitgaps', 'split/b', 0.1, 'feeler'),
  angles: (h, { family }) =>
    h.follow('angles', 'protractor', (p) =>
      p.key === 'rotary-split' && family === 'fully-split' ? 140 : (SPLIT_AT[p.key] ?? 0),
    ),
  glandangle: (h) => h.read('glandangle', 'gland-split', 0, 'protractor'),
  baseline: (h, { family }) =>
    h.read('baseline', 'baseline', family === 'clamp-split' ? 1.2 : 0.3, 'caliper'),
  throttle: (h) => h.follow('throttle', 'feeler', () => 0.05),
  gas: (h) => h.read('gas', 'gas', 0.15, 'pressure'),
  breakaway: (h) => h.read('breakaway', 'breakaway', 4, 'wrench'),
  'gland-gaps': (h) => h.follow('gland-gaps', 'feeler', () => 0.5),
  proof: (h, setup) => {
    const waits: Record<number, number> = { 0: 12, 15: 15, 60: 45, 1440: 1380 };
    proofMinutes(setup).forEach((m, i) => {
      h.wait(waits[m] ?? 0);
      if (setup.family === 'purged') h.read('proof', `gas/${m}`, 0.15, 'pressure');
      else h.read('proof', `leak/${m}`, 4 - i, 'counter');
      h.read('proof', `temp/${m}`, 40 + i, 'thermometer');
    });
  },
};

/** Each of its variants, and how it is worked. */
export const example: Example<SealSetup> = { setups, work };
