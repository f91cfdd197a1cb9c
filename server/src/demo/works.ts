import type { DismountSetup } from '@fulcrant/core/trades/dismounting/setup';
import { USUAL_DISMOUNT } from '@fulcrant/core/trades/dismounting/setup';
import type { GearPumpSetup } from '@fulcrant/core/trades/gear-pump/setup';
import { USUAL_GEAR_PUMP } from '@fulcrant/core/trades/gear-pump/setup';
import type { PackingSetup } from '@fulcrant/core/trades/packing/setup';
import { USUAL_PACKING } from '@fulcrant/core/trades/packing/setup';
import type { PlungerSetup } from '@fulcrant/core/trades/plunger/setup';
import { USUAL_PLUNGER } from '@fulcrant/core/trades/plunger/setup';
import type { RegreaseSetup } from '@fulcrant/core/trades/regreasing/setup';
import { USUAL_REGREASE } from '@fulcrant/core/trades/regreasing/setup';
import type { SealSetup } from '@fulcrant/core/trades/seal/setup';
import { USUAL_SEAL } from '@fulcrant/core/trades/seal/setup';
import type { WearSetup } from '@fulcrant/core/trades/seal-wear/setup';
import { USUAL_WEAR } from '@fulcrant/core/trades/seal-wear/setup';
import type { SleeveSetup } from '@fulcrant/core/trades/sleeve-bearing/setup';
import { USUAL_SETUP } from '@fulcrant/core/trades/sleeve-bearing/setup';
import type { SplitSetup } from '@fulcrant/core/trades/split-bearing/setup';
import { USUAL_SPLIT } from '@fulcrant/core/trades/split-bearing/setup';
import type { ConditionSetup } from '@fulcrant/core/trades/survey/setup';
import { USUAL_CONDITION } from '@fulcrant/core/trades/survey/setup';
import type { VanePumpSetup } from '@fulcrant/core/trades/vane-pump/setup';
import { USUAL_VANE_PUMP } from '@fulcrant/core/trades/vane-pump/setup';
import { day } from './people-and-gauges.ts';

/** The sugar-beet works at Holmbeck, between campaigns. People, machines and numbers are invented. */

/** Where each machine of the works stands. */
export const AREAS: Readonly<Record<string, string>> = {
  'Beet washer drum': 'Yard and washing',
  'Press-water pump 2': 'Pulp',
  'Pulp press drive': 'Pulp',
  'Pulp press 2': 'Pulp',
  'Pulp screw conveyor': 'Pulp',
  'Pulp dryer fan': 'Pulp',
  'Pulp-press water pump': 'Pulp',
  'Raw juice pump 4': 'Juice',
  'Thin juice pump 3': 'Juice',
  'Thick juice pump 2': 'Juice',
  'Lime-milk pump 1': 'Lime',
  'Lime-milk pump 2': 'Lime',
  'Molasses pump 1': 'Molasses',
  'Molasses pump 2': 'Molasses',
  'Molasses dosing pump': 'Molasses',
  'Condensate pump 1': 'Boiler house',
  'Condensate pump 2': 'Boiler house',
  'Condensate pump 4': 'Boiler house',
  'Cooling fan 3': 'Cooling',
  'Cooling fan 4': 'Cooling',
};

/** A position's setup, from the common case: a normal-class bearing of 100 bore on a 90 shaft, cap with four M16. */
export function setupOf(machine: string, position: string, change: Partial<SleeveSetup> = {}): SleeveSetup {
  return { ...USUAL_SETUP, condition: { measures: ['shaft'] }, machine, position, demo: true, ...change };
}

/** A survey's setup, from the common case: a 60 shaft under a mechanical seal in a box of 100. */
export function surveyOf(
  machine: string,
  position: string,
  condition: Partial<ConditionSetup['condition']> = {},
  change: Partial<ConditionSetup> = {},
): ConditionSetup {
  return {
    ...USUAL_CONDITION,
    machine,
    position,
    demo: true,
    ...change,
    condition: { ...USUAL_CONDITION.condition, ...condition },
  };
}

/** A seal's setup, from the common case; torques invented. */
const sealOf = (machine: string, position: string, change: Partial<SealSetup> = {}): SealSetup => ({
  ...USUAL_SEAL,
  machine,
  position,
  demo: true,
  glandNm: 34,
  screwNm: 6,
  boxPressureMpa: 0.5,
  ...change,
  condition: change.condition ?? { measures: ['shaft'], seat: 'mechanical-seal' },
});

/** A stuffing box, from the common case. */
const packingOf = (machine: string, position: string, change: Partial<PackingSetup> = {}): PackingSetup => ({
  ...USUAL_PACKING,
  machine,
  position,
  demo: true,
  condition: { measures: ['shaft'], seat: 'packing-sleeve' },
  ...change,
});

export const POSITIONS = {
  pressGear: setupOf('Pulp press drive', 'Gearbox end, fixed'),
  pressTail: setupOf('Pulp press drive', 'Tail end, float', { role: 'float' }),
  washerGear: setupOf('Beet washer drum', 'Gear side, fixed', {
    shaftMm: 125,
    boreMm: 140,
    seatMm: 92,
    clearanceClass: 'C3',
    boltSize: 'M20',
    washerTabs: 19,
    holdBefore: ['bolts'],
  }),
  washerTail: setupOf('Beet washer drum', 'Tail side, float', {
    role: 'float',
    shaftMm: 125,
    boreMm: 140,
    seatMm: 92,
    clearanceClass: 'C3',
    boltSize: 'M20',
    washerTabs: 19,
  }),
  fanDrive: setupOf('Cooling fan 3', 'Drive end, fixed', {
    shaftMm: 70,
    boreMm: 80,
    seatMm: 58,
    boltSize: 'M12',
    boltCount: 2,
  }),
  fanOut: setupOf('Cooling fan 3', 'Outboard, float', {
    role: 'float',
    shaftMm: 70,
    boreMm: 80,
    seatMm: 58,
    boltSize: 'M12',
    boltCount: 2,
  }),
  limeMilk: setupOf('Lime-milk pump 2', 'Drive pedestal, fixed', {
    shaftSystem: 'inch',
    shaftMm: 61.9125,
    boreMm: 70,
    seatMm: 54,
    boltSize: '5/8-11',
    boltGrade: 'SAE 5',
  }),
  juice: setupOf('Raw juice pump 4', 'Countershaft, fixed', {
    shaftMm: 110,
    boreMm: 125,
    seatMm: 84,
    washerTabs: 19,
  }),
  washerMiddle: setupOf('Beet washer drum', 'Layshaft, fixed', {
    shaftMm: 55,
    boreMm: 60,
    seatMm: 48,
    boltSize: 'M12',
    driveUp: { school: 'nut-angle', feelersToo: true },
    lock: { by: 'plate' },
    maker: { nutAngleMinDeg: 75, nutAngleMaxDeg: 105 },
    closing: { order: 'room', seals: 'contact', rings: 'both' },
  }),
  dryerTail: setupOf('Pulp dryer fan', 'Tail end, float', {
    role: 'float',
    shaftMm: 200,
    boreMm: 220,
    seatMm: 130,
    clearanceClass: 'C3',
    pitchMm: 4,
    boltSize: 'M24',
    driveUp: { school: 'hydraulic', twoNuts: true, indicator: 'away' },
    lock: { by: 'plate' },
    maker: {
      startPressureMpa: 2.6,
      sheetAreaMm2: 11_500,
      nutAreaMm2: 10_000,
      driveUpMinMm: 1.4,
      driveUpMaxMm: 1.8,
      abortPressureMpa: 30,
    },
    closing: { order: 'in-place', seals: 'labyrinth' },
    baseBolts: { size: 'M24', grade: '8.8', count: 4, friction: 'oiled', layout: 'rectangle' },
    runIn: {},
  }),
  coolFixed: setupOf('Cooling fan 4', 'Drive end, fixed', {
    shaftMm: 70,
    boreMm: 80,
    seatMm: 58,
    boltSize: 'M12',
    boltCount: 2,
    runIn: { retorque: true },
  }),
  coolFloat: setupOf('Cooling fan 4', 'Outboard, float', {
    role: 'float',
    shaftMm: 70,
    boreMm: 80,
    seatMm: 58,
    boltSize: 'M12',
    boltCount: 2,
    float: { spanMm: 1150, shaftOverBaseK: 25 },
    grease: {
      school: 'by-speed',
      outsideMm: 140,
      widthMm: 33,
      massKg: 2.1,
      speedRpm: 1480,
      housingCm3: 420,
    },
    closing: { order: 'in-place', seals: 'labyrinth' },
    baseBolts: { size: 'M16', grade: '8.8', count: 2, friction: 'oiled', layout: 'rectangle' },
    runIn: {},
  }),
  screwMiddle: {
    ...USUAL_SPLIT,
    machine: 'Pulp screw conveyor',
    position: 'Middle hanger, float',
    demo: true,
    role: 'float',
    float: { spanMm: 3200, shaftOverBaseK: 15 },
    baseBolts: { size: 'M16', grade: '8.8', count: 2, friction: 'oiled', layout: 'rectangle' },
    maker: { closedBoreMm: 99.82 },
    angles: 3,
    condition: { measures: ['look', 'shaft'], seat: 'split-race', splitRaceGrade: 'h8' },
  } satisfies SplitSetup,
  screwDrive: {
    ...USUAL_SPLIT,
    machine: 'Pulp screw conveyor',
    position: 'Drive end, fixed',
    demo: true,
    maker: { closedBoreMm: 99.82 },
    angles: 3,
    condition: { measures: ['shaft'], seat: 'split-race', splitRaceGrade: 'h8' },
  } satisfies SplitSetup,
  pressOff: {
    ...USUAL_DISMOUNT,
    machine: 'Pulp press 2',
    position: 'Worm shaft, upper',
    demo: true,
    design: 'hydraulic' as const,
    twoNuts: true,
    maker: { dismountAbortMpa: 55 },
  } satisfies DismountSetup,
  dryerGrease: {
    ...USUAL_REGREASE,
    machine: 'Pulp dryer fan',
    position: 'Drive end, greasing',
    demo: true,
    boreMm: 160,
    outsideMm: 290,
    widthMm: 80,
    speedRpm: 740,
    serviceC: 62,
  } satisfies RegreaseSetup,
  molasses: setupOf('Molasses pump 1', 'Gear pedestal, fixed', { shaftMm: 80, boreMm: 90, seatMm: 63 }),
  dryer: setupOf('Pulp dryer fan', 'Drive end, fixed', {
    shaftMm: 140,
    boreMm: 160,
    seatMm: 105,
    clearanceClass: 'C3',
    boltSize: 'M24',
    washerTabs: 19,
    holdBefore: ['driveup'],
  }),
  juiceSeal: surveyOf('Raw juice pump 4', 'Seal, drive side', {
    measures: ['look', 'shaft', 'finish', 'runout', 'play', 'face', 'bore', 'envelope'],
    sealBoreLowerMm: 98,
    sealBoreUpperMm: 101,
    sealDepthMm: 62,
    sealReachMm: 48,
    sealStudCircleMm: 146,
  }),
  limeBox: surveyOf(
    'Lime-milk pump 2',
    'Stuffing box',
    { measures: ['look', 'shaft', 'runout', 'play'], seat: 'packing-sleeve', runoutStations: 2 },
    { shaftSystem: 'inch', shaftMm: 61.9125, seatMm: 76.2 },
  ),
  molassesCoupling: surveyOf('Molasses pump 1', 'Motor and coupling', {
    measures: ['softfoot', 'coupling'],
    feet: 4,
    couplingMethod: 'rim-and-face',
    speedRpm: 1480,
    faceDiameterMm: 140,
    frontFeetMm: 180,
    feetSpanMm: 380,
  }),
  pressHousings: surveyOf(
    'Pulp press drive',
    'Both housings',
    { measures: ['softfoot', 'housings'], feet: 4, housings: 2, housingSpanMm: 1400, housingWidthMm: 110 },
    { shaftMm: 90 },
  ),
  thinJuiceSeal: sealOf('Thin juice pump 3', 'Seal, drive side', {
    barrier: true,
    rotation: 'clockwise',
    seenFrom: 'drive-end',
    boxPressureMpa: 0.5,
    elastomer: 'EPDM',
    fluid: 'water',
    temperatureC: 85,
  }),
  condensateSeal: sealOf('Condensate pump 1', 'Seal, drive side', {
    family: 'component',
    freeLengthMm: 58,
    compressionMm: 5.5,
    growthMm: 0.15,
    condition: { measures: ['shaft', 'play'], seat: 'mechanical-seal' },
  }),
  pulpWaterSeal: sealOf('Pulp-press water pump', 'Seal, drive side', {
    family: 'fully-split',
    shaftMm: 90,
    jointScrews: 2,
    jointNm: 6,
    barrier: false,
  }),
  limePacked: packingOf('Lime-milk pump 1', 'Stuffing box'),
  pulpWaterWear: {
    ...USUAL_WEAR,
    machine: 'Press-water pump 2',
    position: 'Seal in service',
    demo: true,
    fittedOn: day(-200),
    baselineMm: 1.2,
  } satisfies WearSetup,
  dosingPlunger: {
    ...USUAL_PLUNGER,
    machine: 'Molasses dosing pump',
    position: 'Plunger 2',
    demo: true,
    nutPitchMm: 3,
    lubrication: 'oil',
  } satisfies PlungerSetup,
  molassesGear: {
    ...USUAL_GEAR_PUMP,
    machine: 'Molasses pump 2',
    position: 'Pump',
    demo: true,
    plateBolts: 10,
    thinMm: 0.12,
    middleMm: 0.18,
    compression: 'sheet',
    compressedPercent: 7,
    compressedDoubtPercent: 1,
    plateNm: 44,
    nutNm: 58,
  } satisfies GearPumpSetup,
  condensateVane: {
    ...USUAL_VANE_PUMP,
    machine: 'Condensate pump 4',
    position: 'Pump',
    demo: true,
    headNm: 38,
    capNm: 17,
  } satisfies VanePumpSetup,
  condensate2: surveyOf('Condensate pump 2', 'Seal, drive side', {
    measures: ['look', 'shaft', 'runout'],
    runoutStations: 1,
  }),
  thickJuice: surveyOf('Thick juice pump 2', 'Seal, drive side', {
    measures: ['look', 'shaft', 'runout', 'play'],
  }),
};
