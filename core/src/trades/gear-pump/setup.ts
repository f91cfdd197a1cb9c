import { type InferType, number, object, string } from 'yup';
import { type Asked, ask, choice, chosen, isWhole } from '../../engine/asked.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import {
  everyJob,
  fromSheet,
  holdBefore,
  inOrder,
  MAKER_ORDER,
  placeFields,
  schools,
} from '../../steps/setup-parts.ts';
import { M } from './messages.ts';
import '../../judgement/sentences.ts';

const PUMP = COMMON.pump;
const STOCK = M.gasketsHand;
export const SHEET_TORQUES = COMMON.torquesFromPumpsSheet;

/** A torque of the maker's sheet: there is no default. */
const torque = (label: Text, what: Text, upTo: string) =>
  number()
    .min(0.001)
    .max(2000)
    .meta(
      ask(SHEET_TORQUES, label, {
        later: true,
        upTo,
        needed: COMMON.torqueMissingComesFromMakers({ what }),
      }),
    );
/** The upper end of a range, typed with the lower one. */
const upper = () => number().min(0.001).max(2000).meta({ silent: true });
const thickness = (label: Text) =>
  number()
    .min(0.01)
    .max(5)
    .meta(ask(STOCK, M.each({ label }), { decimals: 3 }));
const count = (label: Text, more: Partial<Asked> = {}) =>
  number()
    .integer()
    .min(0)
    .max(60)
    .meta(ask(STOCK, M.howMany({ label }), more));

/** An external gear pump rebuilt, its end clearance set by a stack of gaskets. mm, N·m. */
export const gearPumpSetupSchema = object({
  procedure: string()
    .oneOf(['gear-pump'] as const)
    .required(),
  ...placeFields,
  ...everyJob,
  holdBefore: holdBefore({ clearance: M.endClearance, turn2: M.lastHandTurn, sign: COMMON.signature2 }),
  gears: choice(PUMP, M.gears, { steel: M.steel, rubber: M.rubberCovered }).required(),
  plateBolts: number().integer().min(4).max(24).required().meta(ask(PUMP, M.boltsEndPlate)),
  /** Small sizes take a second ball bearing in the small chambers instead of a roller bearing. */
  smallBearing: choice(PUMP, M.smallChambers, {
    roller: M.rollerBallBearing,
    balls: M.twoBallBearings,
  }).required(),
  rotation: choice(PUMP, M.driveShaftTurns, {
    clockwise: COMMON.clockwise,
    anticlockwise: COMMON.anticlockwise,
  }).required(),
  /** Which way the lips of the small housings face, as drawn. */
  housingLips: choice(PUMP, M.lipsSmallHousingsFace, {
    inward: COMMON.inward,
    outward: COMMON.outward,
  }).required(),
  /** Which way the lock ring is driven round, where practitioners disagree. */
  ringSchool: choice(PUMP, M.lockRingDriven, {
    'with-rotation': M.rotation,
    clockwise: M.alwaysClockwise,
  }).required(),
  thinMm: thickness(COMMON.thin).required(),
  thinCount: count(COMMON.thin).required(),
  middleMm: thickness(COMMON.middle),
  middleCount: count(COMMON.middle),
  thickMm: thickness(COMMON.thick),
  thickCount: count(COMMON.thick),
  /** Where it is known from what a stack loses under torque. */
  compression: choice(STOCK, M.lostUnderTorque, {
    none: M.nothingMetal,
    sheet: M.sheet,
    measured: M.measuredHereThreeStacks,
  }).required(),
  /** Share of its thickness a stack loses under torque, by the sheet, %. */
  compressedPercent: number()
    .min(0)
    .max(50)
    .meta(
      ask(STOCK, M.sheetLoses, {
        when: chosen('compression', 'sheet'),
        needed: M.howMuchThicknessDoesStack,
      }),
    ),
  compressedDoubtPercent: number()
    .min(0)
    .max(25)
    .meta(ask(STOCK, M.mayOff, { when: chosen('compression', 'sheet') })),
  plateNm: torque(M.endPlates, M.endPlates2, 'plateMostNm'),
  plateMostNm: upper(),
  nutNm: torque(M.shaftNut, M.shaftNuts, 'nutMostNm'),
  nutMostNm: upper(),
  schools,
  maker: object({
    clearanceMinMm: fromSheet(1, M.endClearanceLeast),
    clearanceMaxMm: fromSheet(2, M.endClearanceMost),
  })
    .noUnknown()
    .required(),
})
  .noUnknown()
  .test('whole', isWhole)
  .test('maker-order', MAKER_ORDER, inOrder);
export type GearPumpSetup = InferType<typeof gearPumpSetupSchema>;

/** A usual gear pump. Its torques are the maker's sheet's: none is given here. */
export const USUAL_GEAR_PUMP: Omit<GearPumpSetup, 'machine' | 'position'> = {
  procedure: 'gear-pump',
  holdBefore: [],
  maker: {},
  gears: 'steel',
  plateBolts: 8,
  smallBearing: 'roller',
  rotation: 'clockwise',
  housingLips: 'inward',
  ringSchool: 'with-rotation',
  compression: 'none',
  thinMm: 0.1,
  thinCount: 8,
  middleMm: 0.2,
  middleCount: 6,
};

/** End clearance where the sheet says nothing: over none, under a quarter of a millimetre. Common practice, no source. */
export const CLEARANCE_MM = { least: 0, most: 0.25 } as const;

/** Gaskets on hand, thickness by thickness. */
export const piecesOf = (s: GearPumpSetup): Array<{ thicknessMm: number; count: number }> =>
  [
    [s.thinMm, s.thinCount],
    [s.middleMm, s.middleCount],
    [s.thickMm, s.thickCount],
  ].flatMap(([thicknessMm, n]) => (thicknessMm === undefined ? [] : [{ thicknessMm, count: n ?? 0 }]));
