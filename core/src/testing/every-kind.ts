import {
  type DismountSetup,
  type PackingSetup,
  type PlungerSetup,
  type RegreaseSetup,
  type SealSetup,
  type Setup,
  type SleeveSetup,
  type SplitSetup,
  USUAL_DISMOUNT,
  USUAL_PACKING,
  USUAL_PLUNGER,
  USUAL_REGREASE,
  USUAL_SEAL,
  USUAL_SPLIT,
  USUAL_WEAR,
  type WearSetup,
} from '../api/setup.ts';
import { V_RING_PARTS } from '../packing/plunger.ts';
import type { SettingStepValues } from '../procedures/kinds/seal-setting.ts';
import type { ScriptedHand } from '../simulation/scripted-hand.ts';
import { round, setup, survey } from './test-stand.ts';

const named = { machine: 'Beet washer drum', position: 'Gear side' };

/** A split bearing on a shaft of 90. */
export const split: SplitSetup = {
  ...USUAL_SPLIT,
  ...named,
  shaftMm: 90,
  boreMm: 90,
  condition: { measures: ['shaft'], seat: 'split-race', splitRaceGrade: 'h8' },
  angles: 3,
};
/** The same as a float, by the other schools. */
export const splitFloat: SplitSetup = {
  ...split,
  role: 'float',
  float: { spanMm: 2000, shaftOverBaseK: 25 },
  raceSchool: 'square-first',
  gaugeSchool: 'gauge-out',
};
/** A plain sleeve taken off. */
export const dismount: DismountSetup = { ...USUAL_DISMOUNT, ...named };
/** A nut that is its own puller. */
const captive: DismountSetup = { ...dismount, design: 'captive-nut' };
/** A two-nut unit taken off by pump; the abort pressure invented. */
export const dismountByPump: DismountSetup = {
  ...dismount,
  design: 'hydraulic',
  twoNuts: true,
  maker: { dismountAbortMpa: 50 },
};
/** A spherical roller bearing of 100 bore regreased while it runs. */
export const regrease: RegreaseSetup = { ...USUAL_REGREASE, ...named };
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

/** A cartridge seal on a shaft of 90; torques invented. */
export const cartridgeSeal: SealSetup = {
  ...USUAL_SEAL,
  ...named,
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
/** A box of 115 on a shaft of 90, lantern under its port. */
export const packing: PackingSetup = {
  ...USUAL_PACKING,
  ...named,
  shaftMm: 90,
  boxBoreMm: 115,
  condition: { measures: ['shaft'], seat: 'packing-sleeve' },
};
/** A plunger lubricated with oil. */
export const plunger: PlungerSetup = { ...USUAL_PLUNGER, ...named };

/** A seal watched by its pins. */
export const wornSeal: WearSetup = { ...USUAL_WEAR, ...named, fittedOn: '2026-01-10', baselineMm: 1.2 };

/** A seal of every family and school. */
const SEALS: Record<string, SealSetup> = {
  'cartridge seal': { ...cartridgeSeal, barrier: true, rotation: 'clockwise', seenFrom: 'drive-end' },
  'cartridge seal, clips first': { ...cartridgeSeal, tail: 'clips-first' },
  cassette: { ...cartridgeSeal, family: 'cassette' },
  'component seal': componentSeal,
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
      runoutAngles: 4,
    },
  },
};

/** One setup of every kind and variant of job. */
export const EVERY_KIND: Record<string, Setup> = {
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
  'split bearing': split,
  'split bearing, float': splitFloat,
  'taken off': dismount,
  'taken off, captive nut': captive,
  'taken off by pump': dismountByPump,
  regreased: regrease,
  ...SEALS,
  packed: packing,
  plunger,
  'worn seal': wornSeal,
  surveyed: { ...survey, shaftMm: 90, condition: { ...survey.condition, measures: ['look', 'shaft'] } },
};

/** Splits as they should stand. */
const SPLIT_AT: Record<string, number> = {
  'gland-split': 0,
  'rotary-split': 90,
  'stationary-split': 90,
  'rotary-seam': 200,
  'stationary-seam': 200,
};
/** Kinds of job whose seat is held closer than a sleeve's. */
const SEATED_CLOSE = ['condition.survey', 'seal', 'packing'];
const sealFamily = (h: ScriptedHand) => (h.state.setup as SealSetup).family;
/** Where the setting wants the collar. */
const wantedCollar = (h: ScriptedHand): number => {
  const values = h.state.steps.find((s) => s.id === 'setting')?.report?.values;
  return (values as SettingStepValues | undefined)?.setting?.collarMm ?? 0;
};

/** How each step of any job is worked by the book; a step not named here is questions only. */
const WORK: Record<string, (h: ScriptedHand) => unknown> = {
  fixedfirst: (h) =>
    h.do('fixed.named', {
      job: '018f0000-0000-7000-8000-cccccccccccc',
      position: 'Gearbox end, fixed',
      sheet: 'F-12',
      lockedAt: '2026-11-23T10:00:00Z',
    }),
  // A seal's seat is held closer than a sleeve's.
  shaft: (h) =>
    h.survey(round.map((d) => d + (SEATED_CLOSE.includes(h.state.setup.procedure ?? '') ? 0.02 : 0))),
  bench: (h) =>
    h.bench([
      [0.1, 0.1],
      [0.1, 0.105],
      [0.1, 0.1],
    ]),
  zero: (h) => h.read('zero', 'tap/1', 8, 'protractor').read('zero', 'tap/2', 0, 'protractor'),
  driveup: (h) => {
    const school = (h.state.setup as SleeveSetup).driveUp?.school ?? 'feelers';
    if (school === 'nut-angle') h.read('driveup', 'turn/1', 125, 'protractor');
    else if (school === 'hydraulic')
      h.read('driveup', 'start/p', 3, 'pressure')
        .read('driveup', 'start/z', 2, 'dial')
        .read('driveup', 'n1/p', 20, 'pressure')
        .read('driveup', 'n1/d', 1.33, 'dial');
    else
      h.drive(0, 0.1, 0.1)
        .drive(45, 0.085, 0.085)
        .drive(90, 0.07, 0.07)
        .drive(135, 0.055, 0.055)
        .drive(150, 0.05, 0.05);
  },
  lock: (h) => {
    h.read('lock', 'turn', 3, 'protractor');
    if ((h.state.setup as SleeveSetup).driveUp?.twoNuts) h.read('lock', 'back', 4, 'protractor');
    const next = () => h.state.steps.find((s) => s.id === 'lock')?.report?.next;
    for (let i = 0; i < 6 && next(); i++) h.read('lock', next()?.key ?? '', 0.0475, 'feeler');
  },
  float: (h) => h.read('float', 'room/towards', 4, 'caliper').read('float', 'room/away', 4.2, 'caliper'),
  runin: (h) => {
    h.read('runin', 'ambient', 20, 'thermometer');
    [24, 40, 48, 48.2, 48.3].forEach((c, i) => {
      h.read('runin', `t/${i + 1}`, c, 'thermometer').wait(14);
    });
  },
  race: (h) => h.read('race', 'race/a', 0.3, 'feeler').read('race', 'race/b', 0.3, 'feeler'),
  clamps: (h) => h.follow('clamps', 'feeler', () => 0.3, 4).read('clamps', 'offset', 90, 'protractor'),
  axial: (h) => h.read('axial', 'side/towards', 2, 'caliper').read('axial', 'side/away', 2.2, 'caliper'),
  seat: (h) => h.tighten('seat', (r) => (r === 1 ? 40 : r === 2 ? 8 : 2)),
  seated: (h) => h.follow('seated', 'feeler', () => 0.29),
  nutback: (h) => h.read('nutback', 'back/1', 800, 'protractor'),
  letgo: (h) => h.read('letgo', 'n1/peak', 32, 'pressure').read('letgo', 'n1/after', 0, 'pressure'),
  strokes: (h) => h.read('strokes', 'before', 48, 'thermometer').read('strokes', 'strokes/1', 34, 'gun'),
  runout: (h) => {
    [0, 0.02, 0.04, 0.02, 0].forEach((mm) => {
      const next = h.state.steps.find((s) => s.id === 'runout')?.report?.next;
      if (next) h.read('runout', next.key, mm, 'dial');
    });
  },
  ports: (h) => h.read('ports', 'inlet', 120, 'protractor').read('ports', 'outlet', 60, 'protractor'),
  setting: (h) => h.read('setting', 'seat', 5, 'caliper').read('setting', 'gasket', 0.5, 'caliper'),
  collar: (h) => h.read('collar', 'collar', wantedCollar(h), 'caliper'),
  impeller: (h) => sealFamily(h) === 'component' && h.read('impeller', 'impeller', 0.2, 'dial'),
  splitgaps: (h) => h.read('splitgaps', 'split/a', 0.1, 'feeler').read('splitgaps', 'split/b', 0.1, 'feeler'),
  angles: (h) =>
    h.follow('angles', 'protractor', (p) =>
      p.key === 'rotary-split' && sealFamily(h) === 'fully-split' ? 140 : (SPLIT_AT[p.key] ?? 0),
    ),
  baseline: (h) => h.read('baseline', 'baseline', 1.2, 'caliper'),
  throttle: (h) => h.follow('throttle', 'feeler', () => 0.1),
  gas: (h) => h.read('gas', 'gas', 0.15, 'pressure'),
  'gland-gaps': (h) => h.follow('gland-gaps', 'feeler', () => 0.5),
  follower: (h) => h.follow('follower', 'feeler', () => 0.8),
  proof: (h) => {
    [12, 15, 45, 1380].forEach((wait, i) => {
      const m = [0, 15, 60, 1440][i];
      h.wait(wait)
        .read('proof', `leak/${m}`, 4 - i, 'counter')
        .read('proof', `temp/${m}`, 40 + i, 'thermometer');
    });
  },
  rings: (h) => h.follow('rings', 'protractor', (p) => ((Number(p.key.split('/')[1]) - 1) * 90) % 360),
  breakin: (h) => {
    for (let i = 0, drops = 160; i < 30; i++) {
      const next = h.state.steps.find((s) => s.id === 'breakin')?.report?.next;
      if (!next) break;
      if (next.key.startsWith('drops/')) h.wait(14).read('breakin', next.key, drops, 'counter');
      else {
        h.read('breakin', next.key, 60, 'protractor');
        drops = Math.max(36, drops - 50);
      }
    }
  },
  order: (h) =>
    h.do('gate.answered', { step: 'order', item: 'order', answer: 'yes', note: V_RING_PARTS.join(' ') }),
  wear: (h) =>
    h
      .read('wear', 'wear/1', 0.9, 'caliper')
      .wait(60 * 24 * 90)
      .read('wear', 'wear/2', 0.7, 'caliper'),
  preload: (h) => h.read('preload', 'back', 270, 'protractor').read('preload', 'end', 20, 'protractor'),
  watch: (h) => {
    [55, 62, 58, 52].forEach((c, i) => {
      h.wait(14).read('watch', `t/${i + 1}`, c, 'thermometer');
    });
  },
};

/** Work the present step by the book, as far as it can be passed. */
export function workStep(h: ScriptedHand): void {
  const id = h.state.present ?? '';
  const step = h.state.steps.find((s) => s.id === id);
  if (['outer', 'cartridge', 'bolts'].includes(id)) h.answerAll(id);
  WORK[id]?.(h);
  const values = h.state.steps.find((s) => s.id === id)?.report?.values;
  if (values && typeof values === 'object' && 'passes' in values) h.tighten(id);
  if (id !== 'bench') h.answerAll(id);
  if (!step) throw new Error('Nothing is present.');
}

/** Work the whole job by the book, to the signature. */
export function workAll(h: ScriptedHand): ScriptedHand {
  for (let i = 0; i < 60 && h.state.present && h.state.present !== 'sign'; i++) {
    const id = h.state.present;
    workStep(h);
    h.pass(id);
  }
  return h.do('sheet.signed', { name: 'Asta' });
}
