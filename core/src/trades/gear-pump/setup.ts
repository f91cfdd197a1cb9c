import { type InferType, number, object, string } from 'yup';
import { type Asked, ask, choice, chosen, isWhole } from '../../engine/asked.ts';
import {
  everyJob,
  fromSheet,
  holdBefore,
  inOrder,
  MAKER_ORDER,
  placeFields,
  schools,
} from '../../steps/setup-parts.ts';
import '../../judgement/sentences.ts';

const PUMP = 'Pump';
const STOCK = 'Gaskets on hand';
export const SHEET_TORQUES = 'Torques, from the pump’s sheet';

/** A torque of the maker's sheet: there is no default. */
const torque = (label: string, what: string) =>
  number()
    .min(0.001)
    .max(2000)
    .meta(
      ask(SHEET_TORQUES, label, {
        later: true,
        needed: `${what} torque is missing: it comes from the maker’s sheet.`,
      }),
    );
const thickness = (label: string) =>
  number()
    .min(0.01)
    .max(5)
    .meta(ask(STOCK, `${label}, each`, { decimals: 3 }));
const count = (label: string, more: Partial<Asked> = {}) =>
  number()
    .integer()
    .min(0)
    .max(60)
    .meta(ask(STOCK, `${label}, how many`, more));

/** An external gear pump rebuilt, its end clearance set by a stack of gaskets. mm, N·m. */
export const gearPumpSetupSchema = object({
  procedure: string()
    .oneOf(['gear-pump'] as const)
    .required(),
  ...placeFields,
  ...everyJob,
  holdBefore: holdBefore({ clearance: 'end clearance', turn2: 'last hand turn', sign: 'signature' }),
  gears: choice(PUMP, 'Gears are', { steel: 'steel', rubber: 'rubber-covered' }).required(),
  plateBolts: number().integer().min(4).max(24).required().meta(ask(PUMP, 'Bolts of an end plate')),
  /** Small sizes take a second ball bearing in the small chambers instead of a roller bearing. */
  smallBearing: choice(PUMP, 'In the small chambers', {
    roller: 'roller and ball bearing',
    balls: 'two ball bearings',
  }).required(),
  rotation: choice(PUMP, 'Drive shaft turns', {
    clockwise: 'clockwise',
    anticlockwise: 'anticlockwise',
  }).required(),
  /** Which way the lips of the small housings face, as drawn. */
  housingLips: choice(PUMP, 'Lips of the small housings face', {
    inward: 'inward',
    outward: 'outward',
  }).required(),
  /** Which way the lock ring is driven round, where practitioners disagree. */
  ringSchool: choice(PUMP, 'Lock ring is driven', {
    'with-rotation': 'with the rotation',
    clockwise: 'always clockwise',
  }).required(),
  thinMm: thickness('Thin').required(),
  thinCount: count('Thin').required(),
  middleMm: thickness('Middle'),
  middleCount: count('Middle'),
  thickMm: thickness('Thick'),
  thickCount: count('Thick'),
  /** Where it is known from what a stack loses under torque. */
  compression: choice(STOCK, 'Lost under torque', {
    none: 'nothing: metal',
    sheet: 'by the sheet',
    measured: 'measured here, three stacks',
  }).required(),
  /** Share of its thickness a stack loses under torque, by the sheet, %. */
  compressedPercent: number()
    .min(0)
    .max(50)
    .meta(
      ask(STOCK, 'By the sheet it loses, %', {
        when: chosen('compression', 'sheet'),
        needed: 'How much of its thickness does a stack lose under torque?',
      }),
    ),
  compressedDoubtPercent: number()
    .min(0)
    .max(25)
    .meta(ask(STOCK, 'That may be off by, %', { when: chosen('compression', 'sheet') })),
  plateNm: torque('End plates to', 'The end plates’'),
  nutNm: torque('Shaft nut to', 'The shaft nut’s'),
  schools,
  maker: object({
    clearanceMinMm: fromSheet(1, 'End clearance, least'),
    clearanceMaxMm: fromSheet(2, 'End clearance, most'),
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
