import { BOLT_GRADES, BOLT_SIZES, type Measure } from '@fulcrant/core';
import { chosen, type Field, type FormValues, f, same } from './field.ts';
import {
  CONDITION_SIZES,
  flags,
  hold,
  MAKER,
  MAKER_CONDITION,
  MAKER_SHAFT,
  PLACE,
  SCHOOLS,
  SHAFT,
} from './field-lists-condition.ts';
import { ALONGSIDE } from './field-lists-parts.ts';

const hydraulic = chosen('driveUp.school', 'hydraulic');
const byAngle = chosen('driveUp.school', 'nut-angle');
const uneven = chosen('lock.by', 'plate', 'clip');
const otherSchool = (values: FormValues): boolean => hydraulic(values) || byAngle(values);

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
  f('Bearing and sleeve', 'driveUp.school', 'Drive-up judged by', 'choice', {
    fallback: 'feelers',
    options: [
      ['feelers', 'feelers'],
      ['nut-angle', 'nut angle from zero'],
      ['hydraulic', 'hydraulic nut'],
    ],
  }),
  f('Bearing and sleeve', 'pitchMm', 'Sleeve thread pitch', 'length', { decimals: 2 }),
  f('Bearing and sleeve', 'lock.by', 'Locked by', 'choice', {
    fallback: 'washer',
    options: [
      ['washer', 'tab washer'],
      ['plate', 'lock plate'],
      ['clip', 'lock clip'],
    ],
  }),
  f('Bearing and sleeve', 'nutSlots', 'Nut slots', 'number'),
  f('Bearing and sleeve', 'washerTabs', 'Washer tabs', 'number'),
  f('Bearing and sleeve', 'lock.nutDeg', 'Uneven nut holes, degrees', 'angles', {
    optional: true,
    when: uneven,
  }),
  f('Bearing and sleeve', 'lock.washerDeg', 'Uneven lock, degrees', 'angles', {
    optional: true,
    when: uneven,
  }),
  f('Bearing and sleeve', 'driveUp.indicator', 'At the indicator the face', 'choice', {
    fallback: 'away',
    when: hydraulic,
    options: [
      ['away', 'moves away'],
      ['towards', 'comes towards'],
    ],
  }),
  f('Bearing and sleeve', 'driveUp.twoNuts', 'A mount and a dismount nut', 'flag', {
    optional: true,
    when: hydraulic,
  }),
  f('Bearing and sleeve', 'driveUp.feelersToo', 'Feelers beside it', 'flag', {
    optional: true,
    when: otherSchool,
  }),
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
  f('Shaft', 'shaftOverRingK', 'Shaft warmer than ring now, K', 'number', { optional: true }),
  f('Shaft', 'serviceOverRingK', 'Shaft warmer in service, K', 'number', { optional: true }),
  ...CAP_BOLTS,
  ...flags(SLEEVE_MEASURES),
  ...CONDITION_SIZES.filter((x) => !x.name.startsWith('condition.seat') && x.group !== 'Shaft'),
  ...ALONGSIDE,
  ...SCHOOLS,
  f(MAKER, 'maker.nutAngleMinDeg', 'Nut angle, least, °', 'number', { optional: true, when: byAngle }),
  f(MAKER, 'maker.nutAngleMaxDeg', 'Nut angle, most, °', 'number', { optional: true, when: byAngle }),
  f(MAKER, 'maker.startPressureMpa', 'Start pressure', 'pressure', { optional: true, when: hydraulic }),
  f(MAKER, 'maker.sheetAreaMm2', 'Piston area for it, mm²', 'number', { optional: true, when: hydraulic }),
  f(MAKER, 'maker.nutAreaMm2', 'Piston area, nut in hand, mm²', 'number', {
    optional: true,
    when: hydraulic,
  }),
  f(MAKER, 'maker.driveUpMinMm', 'Drive-up, least', 'length', { optional: true, when: hydraulic }),
  f(MAKER, 'maker.driveUpMaxMm', 'Drive-up, most', 'length', { optional: true, when: hydraulic }),
  f(MAKER, 'maker.abortPressureMpa', 'Abort pressure', 'pressure', { optional: true, when: hydraulic }),
  f(MAKER, 'maker.benchLowerMm', 'Bench clearance, least', 'length', { optional: true }),
  f(MAKER, 'maker.benchUpperMm', 'Bench clearance, most', 'length', { optional: true }),
  f(MAKER, 'maker.reductionMinMm', 'Reduction, least', 'length', { optional: true }),
  f(MAKER, 'maker.reductionMaxMm', 'Reduction, most', 'length', { optional: true }),
  f(MAKER, 'maker.leastResidualMm', 'Least residual', 'length', { optional: true }),
  ...MAKER_SHAFT,
  f(MAKER, 'maker.torqueNm', 'Cap-bolt torque', 'torque', { optional: true }),
  ...MAKER_CONDITION,
];
