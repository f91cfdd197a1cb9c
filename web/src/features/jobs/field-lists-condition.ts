import { COUPLING_METHODS, MEASURE_TITLE, MEASURES, type Measure, SPLIT_RACE_GRADES } from '@fulcrant/core';
import { asked, type Field, f, isSeat, same, size } from './field.ts';

export const MAKER = 'Maker’s sheet, outranks every table';
const MEASURED = 'What is measured';

export const PLACE: Field[] = [
  f('Place', 'machine', 'Machine', 'text'),
  f('Place', 'position', 'Position', 'text'),
];

export const SHAFT: Field[] = [
  f('Shaft', 'shaftSystem', 'Shaft is', 'choice', {
    options: [
      ['metric', 'metric'],
      ['inch', 'inch commercial'],
    ],
  }),
  f('Shaft', 'shaftMm', 'Shaft diameter', 'length', { decimals: 3 }),
  f('Shaft', 'seatMm', 'Seat length', 'length', { decimals: 1 }),
  f('Shaft', 'stations', 'Stations along it', 'number'),
  f('Shaft', 'angles', 'Angles at each', 'number'),
];

export const flags = (measures: readonly Measure[]): Field[] =>
  measures.map((m) => f(MEASURED, `measures.${m}`, MEASURE_TITLE[m], 'flag', { optional: true }));

const TURNS = 'Turns of the indicator';
/** The sizes the measures need, each asked only where its measure is. */
export const CONDITION_SIZES: Field[] = [
  f('Shaft', 'condition.seat', 'Seat is for', 'choice', {
    optional: true,
    when: asked('shaft'),
    options: [
      ['adapter-sleeve', 'an adapter sleeve'],
      ['mechanical-seal', 'a mechanical seal'],
      ['packing-sleeve', 'a packing sleeve'],
      ['split-race', 'a split race, direct'],
      ['throttle', 'a gas-purged throttle'],
    ],
  }),
  f('Shaft', 'condition.splitRaceGrade', 'Split race wants', 'choice', {
    optional: true,
    when: isSeat('split-race'),
    options: same(SPLIT_RACE_GRADES),
  }),
  size('Shaft', 'condition.throttleBoreMm', 'Bore of the throttle', {
    decimals: 3,
    when: isSeat('throttle'),
  }),
  f('Shaft', 'condition.grooveUnder', 'Over a worn groove lies', 'choice', {
    optional: true,
    when: asked('shaft'),
    options: [
      ['moving-o-ring', 'an O-ring that moves'],
      ['seal-drive', 'the seal’s drive'],
      ['elsewhere', 'neither'],
    ],
  }),
  f(TURNS, 'condition.runoutStations', 'Run-out at stations', 'number', {
    optional: true,
    when: asked('runout'),
  }),
  f(TURNS, 'condition.runoutAngles', 'Angles in a turn', 'number', {
    optional: true,
    when: asked('runout', 'face', 'bore'),
  }),
  f('Finish', 'condition.finishParameter', 'The tester gives', 'choice', {
    optional: true,
    when: asked('finish'),
    options: [
      ['Ra', 'Ra'],
      ['Rq', 'Rq'],
    ],
  }),
  size('Box', 'condition.boxBoreMm', 'Box bore', { when: asked('face', 'bore') }),
  size('Box', 'condition.faceRadiusMm', 'Radius of the face sweep', { when: asked('face') }),
  size('Seal’s sheet', 'condition.sealBoreLowerMm', 'Box bore, least', { when: asked('envelope') }),
  size('Seal’s sheet', 'condition.sealBoreUpperMm', 'Box bore, most', { when: asked('envelope') }),
  size('Seal’s sheet', 'condition.sealDepthMm', 'Box depth, least', { when: asked('envelope') }),
  size('Seal’s sheet', 'condition.sealReachMm', 'Clear to the first obstruction', {
    when: asked('envelope'),
  }),
  size('Seal’s sheet', 'condition.sealStudCircleMm', 'Stud circle', { when: asked('envelope') }),
  f('Feet and housings', 'condition.feet', 'Feet', 'number', { optional: true, when: asked('softfoot') }),
  f('Feet and housings', 'condition.housings', 'Housings', 'number', {
    optional: true,
    when: asked('housings'),
  }),
  size('Feet and housings', 'condition.housingSpanMm', 'Housing to housing', { when: asked('housings') }),
  size('Feet and housings', 'condition.housingWidthMm', 'Near to far place on one', {
    when: asked('housings'),
  }),
  f('Coupling', 'condition.couplingMethod', 'Read by', 'choice', {
    optional: true,
    when: asked('coupling'),
    options: COUPLING_METHODS.map(
      (m) => [m, m === 'reverse' ? 'two dials, reverse' : 'rim and face'] as const,
    ),
  }),
  f('Coupling', 'condition.speedRpm', 'Speed, rpm', 'number', { optional: true, when: asked('coupling') }),
  size('Coupling', 'condition.faceDiameterMm', 'Diameter swept on the face', { when: asked('coupling') }),
  size('Coupling', 'condition.dialDistanceMm', 'Dial to dial (reverse)', { when: asked('coupling') }),
  size('Coupling', 'condition.frontFeetMm', 'Driver’s dial to front feet', { when: asked('coupling') }),
  size('Coupling', 'condition.feetSpanMm', 'Front to back feet', { when: asked('coupling') }),
];

export const SCHOOLS: Field[] = [
  f('House rules on this job', 'schools.runout', 'Run-out', 'choice', {
    options: [
      ['proportional', 'a thousandth of the shaft'],
      ['flat', 'flat 0.05 mm'],
      ['standards', 'standards, 0.025 mm'],
    ],
  }),
  f('House rules on this job', 'schools.face', 'Box face', 'choice', {
    options: [
      ['standards', '0.5 µm per mm of bore'],
      ['proportional', '5 µm per mm of shaft'],
      ['flat', 'flat 0.05 mm'],
    ],
  }),
  f('House rules on this job', 'schools.endPlay', 'End play', 'choice', {
    options: [
      ['strict', '0.13 mm'],
      ['flat', '0.25 mm'],
    ],
  }),
  f('House rules on this job', 'schools.decision', 'Decision', 'choice', {
    options: [
      ['k2', 'k = 2'],
      ['one-sided', '1.65 u at one-sided limits'],
    ],
  }),
];

export const hold = (group: string, options: ReadonlyArray<readonly [string, string]>): Field =>
  f(group, 'holdBefore', 'Lead hand releases before', 'choice', { options: [['', 'nothing'], ...options] });

export const MAKER_SHAFT: Field[] = [
  f(MAKER, 'maker.shaftLowerMm', 'Shaft, least', 'length', { optional: true }),
  f(MAKER, 'maker.shaftUpperMm', 'Shaft, most', 'length', { optional: true }),
];
export const MAKER_CONDITION: Field[] = [
  f(MAKER, 'maker.runoutMm', 'Run-out', 'length', { optional: true, when: asked('runout') }),
  f(MAKER, 'maker.finishUm', 'Finish, Ra', 'roughness', { optional: true, when: asked('finish') }),
  f(MAKER, 'maker.endPlayMm', 'End play', 'length', { optional: true, when: asked('play') }),
  f(MAKER, 'maker.radialPlayMm', 'Radial play', 'length', { optional: true, when: asked('play') }),
  f(MAKER, 'maker.faceMm', 'Box face', 'length', { optional: true, when: asked('face') }),
  f(MAKER, 'maker.boreMm', 'Box bore to shaft', 'length', { optional: true, when: asked('bore') }),
  f(MAKER, 'maker.softFootMm', 'Gap at a foot', 'length', { optional: true, when: asked('softfoot') }),
  f(MAKER, 'maker.abilityDeg', 'Bearing takes up, degrees', 'number', {
    optional: true,
    when: asked('housings'),
  }),
  f(MAKER, 'maker.offsetMm', 'Coupling offset', 'length', { optional: true, when: asked('coupling') }),
  f(MAKER, 'maker.anglePer100Mm', 'Coupling angle per 100', 'length', {
    optional: true,
    when: asked('coupling'),
  }),
];

/** The setup of a survey. */
export const SURVEY_FIELDS: readonly Field[] = [
  ...PLACE,
  f('Place', 'partNumber', 'Part, as stamped', 'text', { optional: true }),
  hold('Place', [
    ['verdict', 'verdict'],
    ['sign', 'signature'],
  ]),
  ...flags(MEASURES),
  ...SHAFT,
  ...CONDITION_SIZES,
  ...SCHOOLS,
  ...MAKER_SHAFT,
  ...MAKER_CONDITION,
];
