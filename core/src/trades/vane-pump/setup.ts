import { boolean, type InferType, number, object, string } from 'yup';
import { ask, choice, chosen, type FormValues, isWhole } from '../../engine/asked.ts';
import {
  everyJob,
  fromSheet,
  holdBefore,
  inOrder,
  MAKER_ORDER,
  placeFields,
  schools,
} from '../../steps/setup-parts.ts';
import { driveField } from '../../steps/start-order.ts';
import '../../judgement/sentences.ts';

const PUMP = 'Pump';
const SHIMS = 'Shims, by thickness';
export const SHEET_TORQUES = 'Torques, from the pump’s sheet';

const thickness = (label: string) =>
  number()
    .min(0.01)
    .max(5)
    .meta(ask(SHIMS, label, { decimals: 3 }));
const capOpens = (form: FormValues) => form.capStays !== 'yes';
const byFloat = (form: FormValues) => capOpens(form) && form.renewed === 'yes';
const spare = (label: string) =>
  number()
    .integer()
    .min(0)
    .max(60)
    .meta(ask(SHIMS, `${label}, spares on hand`, { when: byFloat }));
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

/** A vane pump whose seals sit in its heads, changed in its pipes. mm, N·m. */
export const vanePumpSetupSchema = object({
  procedure: string()
    .oneOf(['vane-pump'] as const)
    .required(),
  ...placeFields,
  ...everyJob,
  holdBefore: holdBefore({ start: 'start', sign: 'signature' }),
  mounted: choice(PUMP, 'Pump is', { foot: 'on its feet', hung: 'hung from its pipes' }).required(),
  /** Both heads, or one with the other left as it is, and why. */
  sides: choice(PUMP, 'Opened', { both: 'both heads', first: 'one head only' }).required(),
  leftBecause: string()
    .trim()
    .max(200)
    .meta(
      ask(PUMP, 'The other is left because', {
        when: chosen('sides', 'first'),
        needed: 'Why is the other head left? It stands on the sheet.',
      }),
    ),
  /** Without the special tools the bearing cap may stay on. */
  capStays: boolean().meta(ask(PUMP, 'No tools for it: the bearing cap stays on')),
  product: choice(PUMP, 'It pumps', { liquid: 'a liquid', light: 'liquefied gas or a light end' }).required(),
  /** Guard ring, shaft guard and guide rods: not every kit has them. */
  fixtures: choice(
    PUMP,
    'Guards and guide rods',
    { kit: 'in the kit', none: 'the kit has none' },
    { fallback: 'kit' },
  ),
  drive: driveField('untouched', PUMP),
  headBolts: number().integer().min(4).max(24).required().meta(ask(PUMP, 'Bolts of a head')),
  capBolts: number().integer().min(2).max(16).required().meta(ask(PUMP, 'Bolts of a bearing cap')),
  /** With a new head or bearing the shims that came off say nothing: float is measured, and the heap worked out. */
  renewed: boolean().meta(
    ask(PUMP, 'Head or bearing is renewed: shims by measured float', { when: capOpens }),
  ),
  thinMm: thickness('Thin').required(),
  thinSpare: spare('Thin'),
  middleMm: thickness('Middle'),
  middleSpare: spare('Middle'),
  thickMm: thickness('Thick'),
  thickSpare: spare('Thick'),
  headNm: torque('Head bolts to', 'The head bolts’'),
  capNm: torque('Cap bolts to', 'The cap bolts’'),
  schools,
  maker: object({
    floatMinMm: fromSheet(2, 'End float, least', {
      when: byFloat,
      needed: 'End float wanted, least: it comes from the maker’s sheet.',
    }),
    floatMaxMm: fromSheet(2, 'End float, most', {
      when: byFloat,
      needed: 'End float wanted, most: it comes from the maker’s sheet.',
    }),
  })
    .noUnknown()
    .required(),
})
  .noUnknown()
  .test('maker-order', MAKER_ORDER, inOrder)
  .test('whole', isWhole);
export type VanePumpSetup = InferType<typeof vanePumpSetupSchema>;

/** A usual vane pump. Its torques are the maker's sheet's: none is given here. */
export const USUAL_VANE_PUMP: Omit<VanePumpSetup, 'machine' | 'position'> = {
  procedure: 'vane-pump',
  holdBefore: [],
  maker: {},
  mounted: 'foot',
  sides: 'both',
  product: 'liquid',
  headBolts: 8,
  capBolts: 4,
  thinMm: 0.1,
  middleMm: 0.2,
  thickMm: 0.4,
};

/** Are its shims worked out from a measured float? */
export const shimsByFloat = (s: VanePumpSetup): boolean => s.renewed === true && s.capStays !== true;

/** Spares of each of its thicknesses, in the order of `thicknessesOf`. */
export const sparesOf = (s: VanePumpSetup): number[] =>
  (
    [
      [s.thinMm, s.thinSpare],
      [s.middleMm, s.middleSpare],
      [s.thickMm, s.thickSpare],
    ] as const
  ).flatMap(([mm, spare]) => (mm === undefined ? [] : [spare ?? 0]));

/** Thicknesses of its shims, thinnest first as they were typed. */
export const thicknessesOf = (s: VanePumpSetup): number[] =>
  [s.thinMm, s.middleMm, s.thickMm].flatMap((t) => t ?? []);
