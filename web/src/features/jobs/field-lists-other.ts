import { type Measure, ROLLING_KINDS, THICKENERS } from '@fulcrant/core';
import { chosen, type Field, f, same } from './field.ts';
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
import { ALONGSIDE, boltSet } from './field-lists-parts.ts';

const PART = f('Place', 'partNumber', 'Part, as stamped', 'text', { optional: true });
const SPLIT_MEASURES: readonly Measure[] = [
  'look',
  'shaft',
  'finish',
  'runout',
  'play',
  'softfoot',
  'housings',
];
const HALVES = [
  ['halves', 'two halves, side about'],
  ['circle', 'circle'],
] as const;

/** The setup of a split roller bearing. */
export const SPLIT_FIELDS: readonly Field[] = [
  ...PLACE,
  f('Place', 'role', 'Bearing is', 'choice', {
    options: [
      ['fixed', 'fixed'],
      ['float', 'float'],
    ],
  }),
  PART,
  hold('Place', [
    ['seat', 'seating loop'],
    ['bolts', 'cap bolts'],
    ['handturn', 'hand turn'],
    ['sign', 'signature'],
  ]),
  f('Split race', 'boreMm', 'Bore of the race', 'length', { decimals: 1 }),
  f('Split race', 'clampOffsetDeg', 'Rings’ joints off the race’s, °', 'number', { optional: true }),
  f('Split race', 'raceSchool', 'Outer race goes in', 'choice', {
    options: [
      ['joints-first', 'joints first, eased, then radial'],
      ['square-first', 'square on the shoulder first'],
    ],
  }),
  f('Split race', 'gaugeSchool', 'Clamp screws at the axial place', 'choice', {
    options: [
      ['gauge-in', 'nipped with cage and cartridge in'],
      ['gauge-out', 'after, and checked again'],
    ],
  }),
  f('Split race', 'film', 'Cartridge’s outside', 'choice', {
    options: [
      ['oil', 'light oil'],
      ['anti-seize', 'anti-seize, by the maker'],
    ],
  }),
  ...SHAFT,
  ...boltSet('jointScrews', 'Joint screws, outer race', HALVES),
  ...boltSet('clampScrews', 'Clamp screws', []),
  ...boltSet('cartridgeBolts', 'Cartridge bolts', HALVES),
  ...boltSet('capBolts', 'Cap bolts', [
    ['rectangle', 'rectangle'],
    ['circle', 'circle'],
  ]),
  ...flags(SPLIT_MEASURES),
  ...CONDITION_SIZES,
  ...ALONGSIDE,
  ...SCHOOLS,
  f(MAKER, 'maker.closedBoreMm', 'Bore at which the halves meet', 'length', { optional: true }),
  ...MAKER_SHAFT,
  ...MAKER_CONDITION,
];

/** The setup of a dismounting. */
export const DISMOUNT_FIELDS: readonly Field[] = [
  ...PLACE,
  PART,
  hold('Place', [['sign', 'signature']]),
  f('Sleeve', 'design', 'Taken off by', 'choice', {
    options: [
      ['adapter-sleeve', 'drift on a plain sleeve'],
      ['captive-nut', 'its captive nut'],
      ['hydraulic', 'a hydraulic nut'],
    ],
  }),
  f('Sleeve', 'twoNuts', 'A mount nut and a dismount nut', 'flag', { optional: true }),
  f('Sleeve', 'reused', 'The bearing goes back on', 'flag', { optional: true }),
  f(MAKER, 'maker.dismountAbortMpa', 'Abort pressure, dismounting', 'pressure', {
    optional: true,
    when: chosen('design', 'hydraulic'),
  }),
];

/** The setup of a regreasing. */
export const REGREASE_FIELDS: readonly Field[] = [
  ...PLACE,
  PART,
  f('Bearing', 'kind', 'Bearing is', 'choice', { options: same(ROLLING_KINDS) }),
  f('Bearing', 'boreMm', 'Bore', 'length', { decimals: 0 }),
  f('Bearing', 'outsideMm', 'Outside', 'length', { decimals: 0 }),
  f('Bearing', 'widthMm', 'Width', 'length', { decimals: 0 }),
  f('Bearing', 'speedRpm', 'Speed, rpm', 'number'),
  f('Bearing', 'serviceC', 'Runs at', 'temperature', { optional: true }),
  f('Bearing', 'dirtFactor', 'Dirt factor, 1 is clean', 'number', { optional: true }),
  f('Bearing', 'vertical', 'Shaft is vertical', 'flag', { optional: true }),
  f('Grease', 'thickenerInside', 'In the bearing', 'choice', { options: same(THICKENERS) }),
  f('Grease', 'thickenerFresh', 'In the gun', 'choice', { options: same(THICKENERS) }),
  f('Grease', 'gramsPerStroke', 'One stroke of this gun, g', 'number'),
  f('Grease', 'how', 'Greased', 'choice', {
    options: [
      ['running', 'while it runs, slowly'],
      ['still', 'standing still'],
    ],
  }),
  f('Grease', 'chamber', 'Chamber', 'choice', {
    options: [
      ['open', 'open: purges or relieves'],
      ['closed', 'closed: a few strokes for checks'],
    ],
  }),
];
