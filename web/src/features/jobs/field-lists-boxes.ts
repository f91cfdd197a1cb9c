import { ELASTOMERS, FLUIDS, type Measure, SEAL_FAMILY_TITLE, type SealFamily } from '@fulcrant/core';
import { chosen, type Field, type FormValues, f, same, size } from './field.ts';
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

const PART = f('Place', 'partNumber', 'Part, as stamped', 'text', { optional: true });
const BOX_MEASURES: readonly Measure[] = [
  'look',
  'shaft',
  'finish',
  'runout',
  'play',
  'face',
  'bore',
  'envelope',
  'softfoot',
  'coupling',
];
const of =
  (...families: SealFamily[]) =>
  (values: FormValues): boolean =>
    chosen('family', ...families)(values);
const PRESET = of('cartridge', 'cassette');
const SCREWED = of('component', 'cartridge', 'cassette', 'cartridge-split', 'clamp-split');
const POINTED = of('component', 'cartridge', 'cassette', 'cartridge-split');
const SPLIT = of('cartridge-split', 'fully-split', 'clamp-split');
const SHEET = 'Torques, from the seal’s sheet';

/** The setup of a seal, each field asked where its family has it. */
export const SEAL_FIELDS: readonly Field[] = [
  ...PLACE,
  f('Place', 'family', 'Seal is', 'choice', { options: Object.entries(SEAL_FAMILY_TITLE) }),
  PART,
  hold('Place', [
    ['screws', 'set screws'],
    ['handturn', 'hand turn'],
    ['sign', 'signature'],
  ]),
  size('Seal', 'freeLengthMm', 'Free length', { when: of('component') }),
  size('Seal', 'compressionMm', 'Working compression', { when: of('component') }),
  f('Seal', 'rotary', 'Rotary turns', 'choice', {
    optional: true,
    when: of('component'),
    options: [
      ['inside', 'inside the box'],
      ['outside', 'outside the box'],
    ],
  }),
  size('Seal', 'growthMm', 'Shaft’s growth, + presses', { when: of('component') }),
  f('Seal', 'barrier', 'Barrier ports are turned to place', 'flag', {
    optional: true,
    when: of('cartridge', 'cassette', 'cartridge-split', 'fully-split'),
  }),
  f('Seal', 'rotation', 'Shaft turns', 'choice', {
    optional: true,
    when: chosen('barrier', 'yes'),
    options: [
      ['clockwise', 'clockwise'],
      ['anticlockwise', 'anticlockwise'],
    ],
  }),
  f('Seal', 'seenFrom', 'Seen from', 'choice', {
    optional: true,
    when: chosen('barrier', 'yes'),
    options: [
      ['drive-end', 'the drive end'],
      ['pump-end', 'the pump end'],
    ],
  }),
  f('Seal', 'softGasket', 'Gland’s gasket is soft', 'flag', { optional: true }),
  f('Seal', 'processMpa', 'Process pressure', 'pressure', { optional: true, when: of('purged') }),
  f(SHEET, 'glandBolts', 'Gland or flange bolts', 'number'),
  f(SHEET, 'glandNm', 'Gland bolts to', 'torque', { optional: true }),
  f(SHEET, 'dogs', 'Set screws, dog point', 'number', { optional: true, when: POINTED }),
  f(SHEET, 'cups', 'Set screws, cup point', 'number', { optional: true, when: SCREWED }),
  f(SHEET, 'screwNm', 'Set screws to', 'torque', { optional: true, when: SCREWED }),
  f(SHEET, 'jointScrews', 'Joint screws', 'number', { optional: true, when: SPLIT }),
  f(SHEET, 'jointNm', 'Joint screws to', 'torque', { optional: true, when: SPLIT }),
  f('Set screws by pressure', 'boxPressureMpa', 'Pressure in the box', 'pressure', {
    optional: true,
    when: SCREWED,
  }),
  f('Set screws by pressure', 'hardenedScrews', 'Screws are hardened', 'flag', {
    optional: true,
    when: SCREWED,
  }),
  f('Set screws by pressure', 'caseHardened', 'Shaft is case-hardened', 'flag', {
    optional: true,
    when: SCREWED,
  }),
  f('Elastomer', 'elastomer', 'O-rings', 'choice', {
    optional: true,
    options: [['', 'not given'], ...same(ELASTOMERS)],
  }),
  f('Elastomer', 'fluid', 'Fluid', 'choice', {
    optional: true,
    options: [['', 'not given'], ...same(FLUIDS)],
  }),
  f('Elastomer', 'temperatureC', 'At', 'temperature', { optional: true }),
  f('House rules on this job', 'tail', 'Cartridge’s end', 'choice', {
    fallback: 'screws-first',
    when: PRESET,
    options: [
      ['screws-first', 'set screws, then clips off'],
      ['clips-first', 'clips off, then set screws'],
    ],
  }),
  f('House rules on this job', 'oRings', 'O-ring ends at a split', 'choice', {
    fallback: 'flush',
    when: SPLIT,
    options: [
      ['flush', 'flush'],
      ['proud', 'slightly proud'],
    ],
  }),
  f('House rules on this job', 'spacer', 'Holder’s spacer', 'choice', {
    fallback: 'hand-held',
    when: of('fully-split'),
    options: [
      ['hand-held', 'held by hand'],
      ['fastened', 'fastened to the holder'],
    ],
  }),
  ...SHAFT,
  ...flags(BOX_MEASURES),
  ...CONDITION_SIZES,
  ...SCHOOLS,
  f(MAKER, 'maker.compressionLowerMm', 'Compression, least', 'length', {
    optional: true,
    when: of('component'),
  }),
  f(MAKER, 'maker.compressionUpperMm', 'Compression, most', 'length', {
    optional: true,
    when: of('component'),
  }),
  f(MAKER, 'maker.glandSpreadMm', 'Spread of the gland’s gaps', 'length', { optional: true }),
  ...MAKER_SHAFT,
  ...MAKER_CONDITION,
];

/** The setup of a stuffing box. */
export const PACKING_FIELDS: readonly Field[] = [
  ...PLACE,
  PART,
  hold('Place', [
    ['breakin', 'break-in'],
    ['sign', 'signature'],
  ]),
  f('Box', 'boxBoreMm', 'Box bore', 'length', { decimals: 1 }),
  f('Box', 'boxDepthMm', 'Box depth', 'length', { decimals: 1 }),
  size('Box', 'lanternMm', 'Lantern ring’s width'),
  size('Box', 'portMm', 'Flush port’s middle, from the bottom'),
  f('Packing', 'allowancePercent', 'Allowance on the length, %', 'number'),
  f('Packing', 'cut', 'Cut', 'choice', {
    options: [
      ['diagonal', 'diagonal, 45°'],
      ['butt', 'butt'],
    ],
  }),
  f('Packing', 'staggerDeg', 'Joints apart', 'choice', {
    options: [
      ['90', '90°'],
      ['120', '120°'],
    ],
  }),
  f('Packing', 'boxes', 'Boxes to pack in the outage', 'number', { optional: true }),
  f('Follower', 'studs', 'Studs', 'number'),
  f('Follower', 'studPitchMm', 'Their pitch', 'length', { decimals: 2 }),
  f('Follower', 'followerMm', 'Its way from finger-tight', 'length', { decimals: 1 }),
  f('House rules on this job', 'leakSchool', 'Leakage', 'choice', {
    options: [
      ['per-diameter', '8 to 12 drops a minute for each 25 mm'],
      ['flat', 'one figure'],
    ],
  }),
  f('House rules on this job', 'flatDropsPerMin', 'Drops a minute', 'number', {
    optional: true,
    when: chosen('leakSchool', 'flat'),
  }),
  ...SHAFT,
  ...flags(['look', 'shaft', 'finish', 'runout', 'play', 'softfoot', 'coupling']),
  ...CONDITION_SIZES,
  ...SCHOOLS,
  f(MAKER, 'maker.glandSpreadMm', 'Spread of the follower’s gaps', 'length', { optional: true }),
  ...MAKER_SHAFT,
  ...MAKER_CONDITION,
];

/** The setup of a seal watched for its wear. */
export const WEAR_FIELDS: readonly Field[] = [
  ...PLACE,
  PART,
  hold('Place', [['sign', 'signature']]),
  f('Baseline, from the seal’s sheet', 'gauge', 'Read on', 'choice', {
    options: [
      ['pins', 'the locking pins'],
      ['spacer', 'the setting spacer against the gland'],
    ],
  }),
  f('Baseline, from the seal’s sheet', 'fittedOn', 'Fitted on, as 2026-11-26', 'text'),
  f('Baseline, from the seal’s sheet', 'baselineMm', 'Stood proud by', 'length', { decimals: 2 }),
  f('Baseline, from the seal’s sheet', 'serviceMm', 'Service due at', 'length', { decimals: 2 }),
];

/** The setup of a plunger's V-ring set. */
export const PLUNGER_FIELDS: readonly Field[] = [
  ...PLACE,
  PART,
  hold('Place', [['sign', 'signature']]),
  f('Packing nut', 'lubrication', 'Plunger is lubricated with', 'choice', {
    options: [
      ['oil', 'oil'],
      ['grease', 'grease'],
    ],
  }),
  f('Packing nut', 'nutPitchMm', 'Pitch of its thread', 'length', { decimals: 2 }),
];
