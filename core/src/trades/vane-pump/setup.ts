import { boolean, type InferType, number, object, string } from 'yup';
import { ask, choice, chosen, type FormValues, isWhole } from '../../engine/asked.ts';
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
import { driveField } from '../../steps/start-order.ts';
import { M } from './messages.ts';
import '../../judgement/sentences.ts';

const PUMP = COMMON.pump;
const SHIMS = M.shimsThickness;
export const SHEET_TORQUES = COMMON.torquesFromPumpsSheet;

const thickness = (label: Text) =>
  number()
    .min(0.01)
    .max(5)
    .meta(ask(SHIMS, label, { decimals: 3 }));
const capOpens = (form: FormValues) => form.capStays !== 'yes';
const byFloat = (form: FormValues) => capOpens(form) && form.renewed === 'yes';
const spare = (label: Text) =>
  number()
    .integer()
    .min(0)
    .max(60)
    .meta(ask(SHIMS, M.sparesHand({ label }), { when: byFloat }));
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

/** Thicknesses that differ by more than this are of two units. Our own choice. */
const UNIT_SLIP = 12;

/** A vane pump whose seals sit in its heads, changed in its pipes. mm, N·m. */
export const vanePumpSetupSchema = object({
  procedure: string()
    .oneOf(['vane-pump'] as const)
    .required(),
  ...placeFields,
  ...everyJob,
  holdBefore: holdBefore({ start: COMMON.start3, sign: COMMON.signature2 }),
  mounted: choice(PUMP, M.pump2, { foot: M.feet, hung: M.hungFromPipes }).required(),
  /** Both heads, or one with the other left as it is, and why. */
  sides: choice(PUMP, COMMON.opened, { both: M.bothHeads, first: M.oneHeadOnly }).required(),
  leftBecause: string()
    .trim()
    .max(200)
    .meta(
      ask(PUMP, M.otherLeftBecause, {
        when: chosen('sides', 'first'),
        needed: M.whyOtherHeadLeftStands,
      }),
    ),
  /** Without the special tools the bearing cap may stay on. */
  capStays: boolean().meta(ask(PUMP, M.noToolsBearingCapStays)),
  product: choice(PUMP, M.pumps, { liquid: M.liquid, light: M.liquefiedGasLightEnd }).required(),
  /** Guard ring, shaft guard and guide rods: not every kit has them. */
  fixtures: choice(PUMP, M.guardsGuideRods, { kit: M.kit, none: M.kitHasNone }, { fallback: 'kit' }),
  drive: driveField('untouched', PUMP),
  headBolts: number().integer().min(4).max(24).required().meta(ask(PUMP, M.boltsHead)),
  capBolts: number().integer().min(2).max(16).required().meta(ask(PUMP, M.boltsBearingCap)),
  /** With a new head or bearing the shims that came off say nothing: float is measured, and the heap worked out. */
  renewed: boolean().meta(ask(PUMP, M.headBearingRenewedShimsMeasured, { when: capOpens })),
  thinMm: thickness(COMMON.thin).required(),
  thinSpare: spare(COMMON.thin),
  middleMm: thickness(COMMON.middle),
  middleSpare: spare(COMMON.middle),
  thickMm: thickness(COMMON.thick),
  thickSpare: spare(COMMON.thick),
  headNm: torque(M.headBolts, M.headBolts2, 'headMostNm'),
  headMostNm: upper(),
  capNm: torque(M.capBolts, M.capBolts2, 'capMostNm'),
  capMostNm: upper(),
  schools,
  maker: object({
    floatMinMm: fromSheet(2, M.endFloatLeast, {
      when: byFloat,
      needed: M.endFloatWantedLeastComes,
    }),
    floatMaxMm: fromSheet(2, M.endFloatMost, {
      when: byFloat,
      needed: M.endFloatWantedMostComes,
    }),
  })
    .noUnknown()
    .required(),
})
  .noUnknown()
  .test('maker-order', MAKER_ORDER, inOrder)
  // Thicknesses of one pump lie near each other: a value of another unit does not.
  .test('thicknesses', (s, context) => {
    const named = [
      ['thinMm', s?.thinMm],
      ['middleMm', s?.middleMm],
      ['thickMm', s?.thickMm],
    ] as const;
    const given = named.flatMap(([name, mm]) => (mm === undefined ? [] : [{ name, mm }]));
    const odd = given.find((g, i) => {
      const before = given[i - 1];
      return before !== undefined && (g.mm < before.mm || g.mm > UNIT_SLIP * before.mm);
    });
    return odd === undefined
      ? true
      : context.createError({ path: odd.name, message: M.shimThicknessOddUnit });
  })
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
