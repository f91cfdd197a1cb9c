import { type InferType, number, object, string } from 'yup';
import { ask, choice, isWhole } from '../../engine/asked.ts';
import { M as H } from '../../engine/headings/messages.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
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
import { M } from './messages.ts';
import type { ClampMethod, FilmMethod, RaceMethod } from './methods.ts';
import '../../judgement/sentences.ts';

export const RACE = M.splitRace;

/**
 * A split cylindrical roller bearing in its split cartridge and pedestal. Lengths in mm, torques in N·m.
 */
export const splitSetupSchema = object({
  procedure: string()
    .oneOf(['split-bearing'] as const)
    .required(),
  ...placeFields,
  role: choice(H.place, COMMON.bearing2, { fixed: COMMON.fixed, float: COMMON.float2 }).required(),
  ...everyJob,
  holdBefore: holdBefore({
    seat: M.seatingLoop,
    bolts: COMMON.capBolts2,
    handturn: COMMON.handTurn,
    sign: COMMON.signature2,
  }),
  /** Bore of the inner race, for the first fill. */
  boreMm: number()
    .moreThan(18)
    .max(1000)
    .required()
    .meta(ask(RACE, M.boreRace, { decimals: 1, ofPlace: true })),
  /** The rings' joints stand so far off the race's, or as they are marked. Degrees. */
  clampOffsetDeg: number().min(0).max(90).meta(ask(RACE, M.ringsJointsOffRaces)),
  /** Outer race into its cartridge, clamp screws at the axial place, film on the cartridge: the schools. */
  raceSchool: choice(RACE, M.outerRaceGoes, {
    'joints-first': M.jointsFirstEasedThenRadial,
    'square-first': M.squareShoulderFirst,
  } satisfies Record<RaceMethod, Text>).required(),
  gaugeSchool: choice(RACE, M.clampScrewsAxialPlace, {
    'gauge-in': M.nippedCageCartridge,
    'gauge-out': M.afterCheckedAgain,
  } satisfies Record<ClampMethod, Text>).required(),
  film: choice(RACE, M.cartridgesOutside, {
    oil: M.lightOil,
    'anti-seize': M.antiSeizeMaker,
  } satisfies Record<FilmMethod, Text>).required(),
  seals: choice(
    RACE,
    COMMON.seals,
    { labyrinth: M.splitLabyrinth, packed: M.packingRings, lip: M.splitLip },
    { fallback: 'labyrinth' },
  ),
  /** How the shaft is turned while the cartridge aligns itself. */
  aligned: choice(
    RACE,
    M.cartridgeAligned,
    { hand: M.slowTurnsHand, power: M.slowPowerTurnLightLoad },
    { fallback: 'hand' },
  ),
  ...shaftFields,
  jointScrews: boltSet('jointScrews', H.jointScrewsOuterRace, HALVES).required(),
  clampScrews: boltSet('clampScrews', COMMON.clampScrews).required(),
  cartridgeBolts: boltSet('cartridgeBolts', COMMON.cartridgeBolts, HALVES).required(),
  capBolts: boltSet('capBolts', COMMON.capBolts, ROWS).required(),
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
    closedBoreMm: fromSheet(1000, M.boreWhichHalvesMeet),
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
          message: M.raceSplitBearingSitsShaft,
        })
      : true,
  )
  .test('clamp-even', (s, context) =>
    s && (s.clampScrews?.count ?? 0) % 2 === 1
      ? context.createError({
          path: 'clampScrews.count',
          message: M.splitRaceHasAsMany,
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
