import type { ConditionSetup } from './condition-setup.ts';
import type { DismountSetup } from './dismount-setup.ts';
import type { PackingSetup, PlungerSetup } from './packing-setup.ts';
import type { RegreaseSetup } from './regrease-setup.ts';
import type { SealSetup } from './seal-setup.ts';
import type { SleeveSetup } from './sleeve-setup.ts';
import type { SplitSetup } from './split-setup.ts';
import type { WearSetup } from './wear-setup.ts';

/** A usual position to start from: a normal-class bearing of 100 bore on a 90 shaft. Nothing of it is a limit. */
export const USUAL_SETUP: Omit<SleeveSetup, 'machine' | 'position'> = {
  role: 'fixed',
  shaftSystem: 'metric',
  shaftMm: 90,
  boreMm: 100,
  taper: 12,
  clearanceClass: 'CN',
  pitchMm: 2,
  nutSlots: 4,
  washerTabs: 17,
  seatMm: 68,
  stations: 3,
  angles: 3,
  boltSize: 'M16',
  boltGrade: '8.8',
  boltCount: 4,
  boltLayout: 'rectangle',
  friction: 'oiled',
  holdBefore: [],
  feltAt: 'top',
  feel: 'snug',
  maker: {},
  condition: { measures: ['look', 'shaft', 'runout'], runoutStations: 2, runoutAngles: 8 },
};

/** A usual pump to survey before a seal: a 60 shaft in a box of 100. Nothing of it is a limit. */
export const USUAL_CONDITION: Omit<ConditionSetup, 'machine' | 'position'> = {
  procedure: 'condition.survey',
  shaftSystem: 'metric',
  shaftMm: 60,
  seatMm: 60,
  stations: 3,
  angles: 3,
  holdBefore: [],
  maker: {},
  condition: {
    measures: ['look', 'shaft', 'finish', 'runout', 'play', 'face', 'bore'],
    seat: 'mechanical-seal',
    runoutStations: 3,
    runoutAngles: 8,
    boxBoreMm: 100,
    faceRadiusMm: 80,
  },
};

/** A usual split bearing on a shaft of 100. Nothing of it is a limit. */
export const USUAL_SPLIT: Omit<SplitSetup, 'machine' | 'position'> = {
  procedure: 'split-bearing',
  role: 'fixed',
  shaftSystem: 'metric',
  shaftMm: 100,
  boreMm: 100,
  seatMm: 80,
  stations: 3,
  angles: 4,
  clampOffsetDeg: 90,
  jointScrews: { size: 'M8', grade: '12.9', count: 4, friction: 'oiled', layout: 'halves' },
  clampScrews: { size: 'M8', grade: '12.9', count: 4, friction: 'oiled' },
  cartridgeBolts: { size: 'M10', grade: '8.8', count: 4, friction: 'oiled', layout: 'halves' },
  capBolts: { size: 'M16', grade: '8.8', count: 2, friction: 'oiled', layout: 'rectangle' },
  raceSchool: 'joints-first',
  gaugeSchool: 'gauge-in',
  film: 'oil',
  holdBefore: [],
  maker: {},
  condition: { measures: ['look', 'shaft'], seat: 'split-race', splitRaceGrade: 'h8' },
};

/** A usual dismounting. */
export const USUAL_DISMOUNT: Omit<DismountSetup, 'machine' | 'position'> = {
  procedure: 'dismounting',
  design: 'adapter-sleeve',
  holdBefore: [],
  maker: {},
};

/** A usual regreasing: a spherical roller bearing of 100 bore. Nothing of it is a limit. */
export const USUAL_REGREASE: Omit<RegreaseSetup, 'machine' | 'position'> = {
  procedure: 'regreasing',
  kind: 'spherical',
  boreMm: 100,
  outsideMm: 180,
  widthMm: 46,
  speedRpm: 980,
  gramsPerStroke: 1.2,
  how: 'running',
  chamber: 'open',
  thickenerInside: 'lithium complex',
  thickenerFresh: 'lithium complex',
  holdBefore: [],
  maker: {},
};

/** What a new bearing's sheet usually carries beside the fitting: close-up, load and base bolts, the first hours. */
export const USUAL_PARTS: Pick<SleeveSetup, 'closing' | 'baseBolts' | 'runIn'> = {
  closing: { order: 'room', seals: 'labyrinth', rings: 'both' },
  baseBolts: { size: 'M20', grade: '8.8', count: 4, friction: 'oiled', layout: 'rectangle' },
  runIn: {},
};

/** A usual cartridge seal on a shaft of 60. Torques are the maker's sheet's: none is given here. */
export const USUAL_SEAL: Omit<SealSetup, 'machine' | 'position'> = {
  procedure: 'seal',
  family: 'cartridge',
  shaftSystem: 'metric',
  shaftMm: 60,
  seatMm: 60,
  stations: 3,
  angles: 3,
  holdBefore: [],
  maker: {},
  rotary: 'inside',
  glandBolts: 4,
  dogs: 3,
  cups: 3,
  tail: 'screws-first',
  condition: {
    measures: ['look', 'shaft', 'runout', 'play', 'face'],
    seat: 'mechanical-seal',
    runoutStations: 2,
    runoutAngles: 8,
    boxBoreMm: 100,
    faceRadiusMm: 80,
  },
};

/** A usual stuffing box on a sleeve of 60. Nothing of it is a limit. */
export const USUAL_PACKING: Omit<PackingSetup, 'machine' | 'position'> = {
  procedure: 'packing',
  shaftSystem: 'metric',
  shaftMm: 60,
  seatMm: 80,
  stations: 3,
  angles: 3,
  holdBefore: [],
  maker: {},
  boxBoreMm: 85,
  boxDepthMm: 90,
  lanternMm: 20,
  portMm: 42,
  allowancePercent: 2,
  cut: 'diagonal',
  staggerDeg: 90,
  boxes: 1,
  studs: 2,
  studPitchMm: 2,
  followerMm: 25,
  leakSchool: 'per-diameter',
  condition: {
    measures: ['look', 'shaft', 'runout'],
    seat: 'packing-sleeve',
    runoutStations: 2,
    runoutAngles: 8,
  },
};

/** A usual plunger's packing nut. */
export const USUAL_PLUNGER: Omit<PlungerSetup, 'machine' | 'position'> = {
  procedure: 'plunger',
  holdBefore: [],
  maker: {},
  lubrication: 'oil',
  nutPitchMm: 3,
};

/** A usual seal watched by its pins; day and baseline are its sheet's. */
export const USUAL_WEAR: Omit<WearSetup, 'machine' | 'position' | 'fittedOn' | 'baselineMm'> = {
  procedure: 'seal-wear',
  holdBefore: [],
  maker: {},
  gauge: 'pins',
  serviceMm: 0,
};
