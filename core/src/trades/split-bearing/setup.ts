import { type InferType, number, object, string } from 'yup';
import { ask, choice, isWhole } from '../../engine/asked.ts';
import { boltSet, HALVES, massFits, ROWS, splitParts } from '../../steps/bearing/fitting-parts.ts';
import { conditionPart } from '../../steps/condition/condition.ts';
import { makerCondition, makerShaft, shaftFields, shaftSchools } from '../../steps/condition/setup-fields.ts';
import {
  everyJob,
  fromSheet,
  holdBefore,
  inOrder,
  MAKER_ORDER,
  placeFields,
} from '../../steps/setup-parts.ts';
import type { ClampMethod, FilmMethod, RaceMethod } from './methods.ts';
import '../../judgement/sentences.ts';

export const RACE = 'Split race';

/**
 * A split cylindrical roller bearing in its split cartridge and pedestal. Lengths in mm, torques in N·m.
 */
export const splitSetupSchema = object({
  procedure: string()
    .oneOf(['split-bearing'] as const)
    .required(),
  ...placeFields,
  role: choice('Place', 'Bearing is', { fixed: 'fixed', float: 'float' }).required(),
  ...everyJob,
  holdBefore: holdBefore({
    seat: 'seating loop',
    bolts: 'cap bolts',
    handturn: 'hand turn',
    sign: 'signature',
  }),
  /** Bore of the inner race, for the first fill. */
  boreMm: number()
    .moreThan(18)
    .max(1000)
    .required()
    .meta(ask(RACE, 'Bore of the race', { decimals: 1, ofPlace: true })),
  /** The rings' joints stand so far off the race's, or as they are marked. Degrees. */
  clampOffsetDeg: number().min(0).max(90).meta(ask(RACE, 'Rings’ joints off the race’s, °')),
  /** Outer race into its cartridge, clamp screws at the axial place, film on the cartridge: the schools. */
  raceSchool: choice(RACE, 'Outer race goes in', {
    'joints-first': 'joints first, eased, then radial',
    'square-first': 'square on the shoulder first',
  } satisfies Record<RaceMethod, string>).required(),
  gaugeSchool: choice(RACE, 'Clamp screws at the axial place', {
    'gauge-in': 'nipped with cage and cartridge in',
    'gauge-out': 'after, and checked again',
  } satisfies Record<ClampMethod, string>).required(),
  film: choice(RACE, 'Cartridge’s outside', {
    oil: 'light oil',
    'anti-seize': 'anti-seize, by the maker',
  } satisfies Record<FilmMethod, string>).required(),
  seals: choice(
    RACE,
    'Seals',
    { labyrinth: 'split labyrinth', packed: 'packing rings', lip: 'split lip' },
    { fallback: 'labyrinth' },
  ),
  /** How the shaft is turned while the cartridge aligns itself. */
  aligned: choice(
    RACE,
    'Cartridge aligned by',
    { hand: 'slow turns by hand', power: 'slow power turn, light load' },
    { fallback: 'hand' },
  ),
  ...shaftFields,
  jointScrews: boltSet('Joint screws, outer race', HALVES).required(),
  clampScrews: boltSet('Clamp screws').required(),
  cartridgeBolts: boltSet('Cartridge bolts', HALVES).required(),
  capBolts: boltSet('Cap bolts', ROWS).required(),
  condition: conditionPart([
    'look',
    'shaft',
    'finish',
    'runout',
    'play',
    'softfoot',
    'housings',
    'belts',
  ]).required(),
  ...splitParts,
  schools: shaftSchools,
  maker: object({
    closedBoreMm: fromSheet(1000, 'Bore at which the halves meet'),
    ...makerShaft,
    ...makerCondition,
  })
    .noUnknown()
    .required(),
})
  .noUnknown()
  .test('bore', (s, context) =>
    s && Math.abs(s.boreMm - s.shaftMm) > 0.05 * s.shaftMm
      ? context.createError({
          path: 'boreMm',
          message: 'The race of a split bearing sits on the shaft itself: its bore is the shaft’s size.',
        })
      : true,
  )
  .test('clamp-even', (s, context) =>
    s && (s.clampScrews?.count ?? 0) % 2 === 1
      ? context.createError({
          path: 'clampScrews.count',
          message: 'A split race has as many clamp screws on each side.',
        })
      : true,
  )
  .test('mass', (s, context) => massFits(s, context))
  .test('whole', isWhole)
  .test('maker-order', MAKER_ORDER, inOrder);

export type SplitSetup = InferType<typeof splitSetupSchema>;

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
