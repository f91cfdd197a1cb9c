import {
  BOLT_GRADES,
  BOLT_SIZES,
  COUPLING_METHODS,
  type JobKind,
  MEASURE_TITLE,
  MEASURES,
  type Measure,
  SPLIT_RACE_GRADES,
} from '@fulcrant/core';

type Kind = 'text' | 'length' | 'number' | 'torque' | 'roughness' | 'choice' | 'flag';

/** What the form holds: text a field, by its form name. */
export type FormValues = Record<string, string>;

export type Field = {
  name: string;
  label: string;
  group: string;
  kind: Kind;
  options?: ReadonlyArray<readonly [string, string]>;
  optional?: boolean;
  decimals?: number;
  /** Asked only where the form so far says so. */
  when?: (values: FormValues) => boolean;
};

const f = (group: string, name: string, label: string, kind: Kind, more: Partial<Field> = {}): Field => ({
  group,
  name,
  label,
  kind,
  ...more,
});
const same = (values: readonly string[]) => values.map((v) => [v, v] as const);
const size = (group: string, name: string, label: string, more: Partial<Field> = {}) =>
  f(group, name, label, 'length', { optional: true, decimals: 2, ...more });

/** RHF reads a dot as nesting; the fields of a part travel with a colon. */
export const formName = (name: string): string => name.replace('.', ':');

/** Is a measure asked for in the form as it stands? */
const asked =
  (...measures: Measure[]) =>
  (values: FormValues): boolean =>
    measures.some((m) => values[`measures:${m}`] === 'yes');
const isSeat = (seat: string) => (values: FormValues) => values['condition:seat'] === seat;

const MAKER = 'Maker’s sheet, outranks every table';
const MEASURED = 'What is measured';

const PLACE: Field[] = [f('Place', 'machine', 'Machine', 'text'), f('Place', 'position', 'Position', 'text')];

const SHAFT: Field[] = [
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

const flags = (measures: readonly Measure[]): Field[] =>
  measures.map((m) => f(MEASURED, `measures.${m}`, MEASURE_TITLE[m], 'flag', { optional: true }));

const TURNS = 'Turns of the indicator';
/** The sizes the measures need, each asked only where its measure is. */
const CONDITION_SIZES: Field[] = [
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

const SCHOOLS: Field[] = [
  f('House rules on this job', 'schools.runout', 'Run-out', 'choice', {
    options: [
      ['proportional', '1 µm per mm of shaft'],
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

const hold = (group: string, options: ReadonlyArray<readonly [string, string]>): Field =>
  f(group, 'holdBefore', 'Lead hand releases before', 'choice', { options: [['', 'nothing'], ...options] });

const MAKER_SHAFT: Field[] = [
  f(MAKER, 'maker.shaftLowerMm', 'Shaft, least', 'length', { optional: true }),
  f(MAKER, 'maker.shaftUpperMm', 'Shaft, most', 'length', { optional: true }),
];
const MAKER_CONDITION: Field[] = [
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

const BEARING: Field[] = [
  f('Bearing and sleeve', 'boreMm', 'Bearing bore', 'length', { decimals: 1 }),
  f('Bearing and sleeve', 'taper', 'Taper', 'choice', {
    options: [
      ['12', '1:12'],
      ['30', '1:30'],
    ],
  }),
  f('Bearing and sleeve', 'clearanceClass', 'Clearance class', 'choice', {
    options: [
      ['C2', 'C2'],
      ['CN', 'normal'],
      ['C3', 'C3'],
      ['C4', 'C4'],
      ['C5', 'C5'],
    ],
  }),
  f('Bearing and sleeve', 'pitchMm', 'Sleeve thread pitch', 'length', { decimals: 2 }),
  f('Bearing and sleeve', 'nutSlots', 'Nut slots', 'number'),
  f('Bearing and sleeve', 'washerTabs', 'Washer tabs', 'number'),
  f('Bearing and sleeve', 'feltAt', 'Gap is felt', 'choice', {
    options: [
      ['top', 'top (ring standing)'],
      ['bottom', 'bottom (ring hanging)'],
    ],
  }),
  f('Bearing and sleeve', 'feel', 'A reading is', 'choice', {
    options: [
      ['snug', 'the snug blade, as felt'],
      ['goes', 'the thickest blade that goes'],
    ],
  }),
];

const CAP_BOLTS: Field[] = [
  f('Cap bolts', 'boltSize', 'Size', 'choice', { options: same(BOLT_SIZES.map((b) => b.name)) }),
  f('Cap bolts', 'boltGrade', 'Grade', 'choice', { options: same(BOLT_GRADES) }),
  f('Cap bolts', 'boltCount', 'Bolts', 'number'),
  f('Cap bolts', 'boltLayout', 'Set out as', 'choice', {
    options: [
      ['rectangle', 'rectangle'],
      ['circle', 'circle'],
    ],
  }),
  f('Cap bolts', 'friction', 'Threads', 'choice', {
    options: [
      ['dry', 'dry'],
      ['oiled', 'lightly oiled'],
      ['anti-seize', 'anti-seize'],
    ],
  }),
  hold('Cap bolts', [
    ['driveup', 'drive-up'],
    ['lock', 'lock'],
    ['bolts', 'cap bolts'],
    ['handturn', 'hand turn'],
    ['sign', 'signature'],
  ]),
];

/** Measures a bearing job may ask for before and after the fitting; the diameters always. */
const SLEEVE_MEASURES: readonly Measure[] = [
  'look',
  'shaft',
  'finish',
  'runout',
  'play',
  'softfoot',
  'housings',
];

/** The setup of a bearing job: what is asked, in the order of the work. Lengths are typed as people say them. */
export const SLEEVE_FIELDS: readonly Field[] = [
  ...PLACE,
  f('Place', 'role', 'Bearing is', 'choice', {
    options: [
      ['fixed', 'fixed'],
      ['float', 'float'],
    ],
  }),
  f('Place', 'partNumber', 'Part, as stamped', 'text', { optional: true }),
  ...BEARING,
  ...SHAFT,
  f('Shaft', 'hollowBoreMm', 'Bore of a hollow shaft', 'length', { optional: true, decimals: 1 }),
  ...CAP_BOLTS,
  ...flags(SLEEVE_MEASURES),
  ...CONDITION_SIZES.filter((x) => !x.name.startsWith('condition.seat') && x.group !== 'Shaft'),
  ...SCHOOLS,
  f(MAKER, 'maker.benchLowerMm', 'Bench clearance, least', 'length', { optional: true }),
  f(MAKER, 'maker.benchUpperMm', 'Bench clearance, most', 'length', { optional: true }),
  f(MAKER, 'maker.reductionMinMm', 'Reduction, least', 'length', { optional: true }),
  f(MAKER, 'maker.reductionMaxMm', 'Reduction, most', 'length', { optional: true }),
  f(MAKER, 'maker.leastResidualMm', 'Least residual', 'length', { optional: true }),
  ...MAKER_SHAFT,
  f(MAKER, 'maker.torqueNm', 'Cap-bolt torque', 'torque', { optional: true }),
  ...MAKER_CONDITION,
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

export const fieldsOf = (kind: JobKind): readonly Field[] =>
  kind === 'condition.survey' ? SURVEY_FIELDS : SLEEVE_FIELDS;
