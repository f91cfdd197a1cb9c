import { convertSchema } from '@sodaru/yup-to-json-schema';
import { array, number, object, type Schema, string } from 'yup';
import { check } from '../api/sentences.ts';
import { clearanceClass } from '../bearings/clearance-class.ts';
import { CLEARANCE_CLASSES } from '../bearings/clearance-table.ts';
import { driveUpForecast } from '../bearings/drive-up-forecast.ts';
import { driveUpTarget } from '../bearings/drive-up-target.ts';
import { lockAlignment, type Pattern } from '../bearings/lock-alignment.ts';
import { BOLT_GRADES } from '../bolting/grades.ts';
import { boltPattern } from '../bolting/pattern.ts';
import { BOLT_SIZES } from '../bolting/threads.ts';
import { boltTorque } from '../bolting/torque.ts';
import type { LengthUnit } from '../quantities/length.ts';
import { sayAll } from '../quantities/say.ts';
import { diameterSurvey } from '../shaft/diameter-survey.ts';
import { iso286Limits } from '../shaft/tolerance.ts';
import type { CalculatorResult } from './result.ts';

export type Calculator = {
  id: string;
  title: string;
  schema: Schema;
  run: (input: never) => CalculatorResult<unknown>;
};

const mm = (max = 1000) => number().moreThan(0).max(max);
const gap = () => number().min(0).max(5).required();
const bore = () => number().moreThan(18).max(500).required();
const taper = () =>
  number<12 | 30>()
    .oneOf([12, 30] as const)
    .required();
const boreClass = () => string().oneOf(CLEARANCE_CLASSES).required();
const feel = () => string().oneOf(['snug', 'goes'] as const);
const hollow = () => number().min(0).max(0.9);
const pitch = () => number().min(0.5).max(10).required();
const pattern = () =>
  object({
    count: number().integer().min(1).max(60),
    anglesDeg: array(number().min(0).max(360).required()).min(1).max(60),
  })
    .noUnknown()
    .required()
    .test(
      'one-of',
      '${path} takes either a count or a list of angles.',
      (p) => !p || (p.count === undefined) !== (p.anglesDeg === undefined),
    );
const pair = object({ rowAMm: gap(), rowBMm: gap() }).noUnknown();

const target = {
  boreMm: bore(),
  taper: taper(),
  clearanceClass: boreClass(),
  benchMm: number().moreThan(0).max(2).required(),
  pitchMm: pitch(),
  hollowRatio: hollow(),
  makerReductionMinMm: mm(1),
  makerReductionMaxMm: mm(1),
  makerLeastResidualMm: mm(1),
};

/** Let a calculator stand in the registry: its schema and its function agree on the input, checked by the compiler. */
function entry<I>(
  id: string,
  title: string,
  schema: Schema<I>,
  run: (input: I) => CalculatorResult<unknown>,
): Calculator {
  return { id, title, schema, run: run as Calculator['run'] };
}

/** Every calculator: screens, HTTP and command line all call them through here. */
export const CALCULATORS: readonly Calculator[] = [
  entry(
    'tolerance.iso286',
    'Limits of size by ISO 286',
    object({
      nominalMm: number().moreThan(0).max(500).required(),
      designation: string().min(2).max(6).required(),
    }).noUnknown(),
    (i) => {
      const v = iso286Limits(i.nominalMm, i.designation);
      const sum = `${i.nominalMm} ${i.designation}: ${(1000 * v.lowerDeviationMm).toFixed(1)} / ${(1000 * v.upperDeviationMm).toFixed(1)} µm → ${v.lowerMm.toFixed(4)} to ${v.upperMm.toFixed(4)} mm`;
      return { values: v, findings: [], working: [{ what: 'limits', sum }], beams: [] };
    },
  ),
  entry(
    'shaft.diameter-survey',
    'Diameter survey of a seat: stations × angles',
    object({
      nominalMm: mm(500).required(),
      system: string()
        .oneOf(['metric', 'inch'] as const)
        .required(),
      stationsMm: array(number().min(0).max(5000).required()).min(2).max(12).required(),
      anglesDeg: array(number().min(0).lessThan(360).required()).min(2).max(24).required(),
      diametersMm: array(array(number().moreThan(0).max(1000).nullable().defined()).required()).required(),
      resolutionMm: mm(1).required(),
      makerLowerMm: mm(500),
      makerUpperMm: mm(500),
    })
      .noUnknown()
      .test('shape', 'diametersMm needs one list per station and one diameter (or null) per angle.', (s) => {
        if (!Array.isArray(s?.diametersMm) || !Array.isArray(s.stationsMm) || !Array.isArray(s.anglesDeg))
          return true;
        return (
          s.diametersMm.length === s.stationsMm.length &&
          s.diametersMm.every((r) => r?.length === s.anglesDeg.length)
        );
      }),
    diameterSurvey,
  ),
  entry(
    'bearing.clearance-class',
    'Bench clearance by feelers against its class',
    object({
      boreMm: bore(),
      clearanceClass: boreClass(),
      sets: array(pair.required()).max(24).required(),
      bladeStepMm: mm(1).required(),
      feel: feel(),
      makerLowerMm: mm(2),
      makerUpperMm: mm(2),
    }).noUnknown(),
    clearanceClass,
  ),
  entry(
    'bearing.drive-up-target',
    'Target of a drive-up: reduction, residual, travel, nut turns',
    object(target).noUnknown(),
    driveUpTarget,
  ),
  entry(
    'bearing.drive-up-forecast',
    'Where a drive-up by feelers stands, and what is left to turn',
    object({
      ...target,
      benchUncertaintyMm: number().min(0).max(1),
      bladeStepMm: mm(1).required(),
      feel: feel(),
      stepDeg: number().moreThan(0).max(360),
      readings: array(
        object({ angleDeg: number().min(0).max(7200).required(), rowAMm: gap(), rowBMm: gap() })
          .noUnknown()
          .required(),
      )
        .max(200)
        .required(),
    }).noUnknown(),
    driveUpForecast,
  ),
  entry(
    'bearing.lock-alignment',
    'Least forward angle of the nut to the next tab and slot, and its cost',
    object({
      boreMm: bore(),
      taper: taper(),
      pitchMm: pitch(),
      nut: pattern(),
      washer: pattern(),
      forwardDeg: number().min(0).max(360),
      hollowRatio: hollow(),
      reductionPerDegMm: number().moreThan(0).max(0.1),
      reductionNowMm: number().min(-1).max(2),
      reductionMinMm: mm(1),
      reductionMaxMm: mm(1),
      aimMm: mm(1),
    }).noUnknown(),
    (i) => lockAlignment({ ...i, nut: i.nut as Pattern, washer: i.washer as Pattern }),
  ),
  entry(
    'bolting.torque',
    'Tightening torque: short form, long form, maker',
    object({
      size: string()
        .oneOf(BOLT_SIZES.map((b) => b.name))
        .required(),
      grade: string()
        .oneOf([...BOLT_GRADES])
        .required(),
      friction: string()
        .oneOf(['dry', 'oiled', 'anti-seize'] as const)
        .required(),
      makerTorqueNm: mm(5000),
      plantTorqueNm: mm(5000),
      mu: number().min(0.04).max(0.5),
    }).noUnknown(),
    boltTorque,
  ),
  entry(
    'bolting.pattern',
    'Order and passes of a bolt pattern',
    object({
      count: number().integer().min(2).max(32).required(),
      layout: string()
        .oneOf(['circle', 'rectangle'] as const)
        .required(),
      torqueNm: mm(5000).required(),
    }).noUnknown(),
    boltPattern,
  ),
];

/** Say in the JSON Schema what the checks do anyway: fields not named are refused. */
function closed(schema: unknown): unknown {
  if (Array.isArray(schema)) return schema.map(closed);
  if (schema === null || typeof schema !== 'object') return schema;
  const inner = Object.fromEntries(Object.entries(schema).map(([k, v]) => [k, closed(v)]));
  return inner.type === 'object' && inner.properties ? { ...inner, additionalProperties: false } : inner;
}

export type CalculatorListing = { id: string; title: string; input: unknown };

/** Id, title and JSON Schema of every calculator's input. */
export function listCalculators(): CalculatorListing[] {
  return CALCULATORS.map(({ id, title, schema }) => ({
    id,
    title,
    input: {
      $schema: 'http://json-schema.org/draft-07/schema#',
      ...(closed(convertSchema(schema)) as object),
    },
  }));
}

export type CalculatorAnswer =
  | { ok: true; result: CalculatorResult<unknown> }
  | { ok: false; known: boolean; faults: Array<{ path: string; message: string }> };

/**
 * Run a calculator by id on untrusted input. Faults come back as sentences; quantities in the texts are put into
 * `unit`.
 * @example runCalculator('tolerance.iso286', { nominalMm: 90, designation: 'h9' })
 */
export function runCalculator(id: string, input: unknown, unit: LengthUnit = 'mm'): CalculatorAnswer {
  const calculator = CALCULATORS.find((c) => c.id === id);
  if (!calculator) {
    return {
      ok: false,
      known: false,
      faults: [
        {
          path: '',
          message: `There is no calculator “${id}”. Known: ${CALCULATORS.map((c) => c.id).join(', ')}.`,
        },
      ],
    };
  }
  const checked = check(calculator.schema, input);
  if (!checked.ok) return { ok: false, known: true, faults: checked.faults };
  try {
    return { ok: true, result: sayAll(calculator.run(checked.value as never), unit) };
  } catch (error) {
    // A RangeError is core's word for "this value is outside what is tabled": the asker's fault, not ours.
    if (error instanceof RangeError)
      return { ok: false, known: true, faults: [{ path: '', message: error.message }] };
    throw error;
  }
}
