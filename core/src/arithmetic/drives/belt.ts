import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { expr } from '../../message/message.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { len } from '../../quantities/say.ts';
import { M } from './messages.ts';

export type BeltInput = {
  /** Free length of the span between the pulleys’ tangent points. */
  spanMm: number;
  /** Mass of one belt, kg a metre, by the maker. */
  massKgPerM: number;
  /** Lowest frequency of the struck span, Hz. */
  hertz?: number | undefined;
  /** Force at the middle of one span, N, and how far it gave. */
  forceN?: number | undefined;
  deflectionMm?: number | undefined;
  /** Wanted static tension of one strand of one belt, N: given by the maker, or worked out from what is driven. */
  wantedN?: number | undefined;
  powerKw?: number | undefined;
  /** What the machine asks over its power, by the maker's table of machines; 1 where left out. */
  serviceFactor?: number | undefined;
  speedMPerS?: number | undefined;
  belts?: number | undefined;
  /** Arc on the smaller pulley, degrees. */
  arcDeg?: number | undefined;
};

export type BeltValues = {
  /** Static tension of one strand, N, by each way it was measured. */
  byFrequencyN: number | null;
  byDeflectionN: number | null;
  wantedN: number | null;
  /** What the gauge should say at the wanted tension. */
  wantedHz: number | null;
  wantedForceN: number | null;
};

/** Wanted deflection of a span for the force: a hundredth and a half of it. Common practice: 1/64 in an inch. */
export const DEFLECTION_SHARE = 1 / 64;
/** How far off the wanted tension is still good, and what a new belt gets more. Common practice, no source. */
export const WITHIN = 0.1;
/** A belt drives by friction in its groove: at this ratio of tensions at 180°. Source: machine-design texts, wedge belts. */
const RATIO_AT_180 = 5;

/** The tension is worked out from the power alone: what starts hard or knocks asks more. */
export const SERVICE_LEFT_OUT: Finding = {
  code: 'belt.service',
  verdict: 'caution',
  source: 'belt-practice',
  reason: M.serviceLeftOut,
  params: {},
  remedy: M.serviceFromMaker,
  acceptable: true,
};

/** Static tension of one strand, N, from what is driven: T = 500·(2.5 − c)/c·P/(z·v) + m·v², c by the arc, P the power times the service factor. Source: wedge-belt practice, from memory. */
export function drivenTension(
  i: Pick<BeltInput, 'powerKw' | 'serviceFactor' | 'speedMPerS' | 'arcDeg' | 'belts' | 'massKgPerM'>,
): number | null {
  if (i.powerKw === undefined || i.speedMPerS === undefined) return null;
  const arc = ((i.arcDeg ?? 180) * Math.PI) / 180;
  // Arc correction from the ratio of tensions e^(μ'θ), 1 at 180°.
  const grip = (theta: number) => 1 - Math.exp((-Math.log(RATIO_AT_180) * theta) / Math.PI);
  const c = grip(arc) / grip(Math.PI);
  return (
    (500 * (2.5 - c) * i.powerKw * (i.serviceFactor ?? 1)) / (c * (i.belts ?? 1) * i.speedMPerS) +
    i.massKgPerM * i.speedMPerS ** 2
  );
}

/**
 * Tension of a belt from the note of its struck span, T = 4·m·L²·f², or from the force that bends it, T = F·L/(4·δ), beside what is
 * wanted.
 * Source: a string’s first mode and statics of a string, physics; wanted tension: wedge-belt practice, from memory.
 * @throws RangeError where neither a frequency nor a force with its deflection is given
 * @example beltTension({ spanMm: 500, massKgPerM: 0.2, hertz: 40 }).values.byFrequencyN // 320
 */
export function beltTension(input: BeltInput): CalculatorResult<BeltValues> {
  const L = input.spanMm / 1000;
  const byFrequencyN = input.hertz === undefined ? null : 4 * input.massKgPerM * L * L * input.hertz ** 2;
  const byDeflectionN =
    input.forceN === undefined || input.deflectionMm === undefined
      ? null
      : (input.forceN * input.spanMm) / (4 * input.deflectionMm);
  if (byFrequencyN === null && byDeflectionN === null) throw new MessageError(M.giveFrequencyStruckSpanForce);
  if (input.deflectionMm !== undefined && input.deflectionMm > 0.1 * input.spanMm)
    throw new MessageError(M.spanBentMoreThanTenth);
  const wantedN = input.wantedN ?? drivenTension(input);
  const wantedHz = wantedN === null ? null : Math.sqrt(wantedN / (4 * input.massKgPerM)) / L;
  const wantedForceN = wantedN === null ? null : 4 * wantedN * DEFLECTION_SHARE;
  const said = byFrequencyN ?? byDeflectionN ?? 0;
  const off = wantedN === null ? 0 : said / wantedN - 1;
  const shared = { source: 'belt-practice' as const, acceptable: true };
  const findings: Finding[] = [
    wantedN === null
      ? {
          ...shared,
          code: 'belt',
          verdict: 'incomplete',
          reason: M.oneStrandNNothingWanted({ said: said.toFixed(0) }),
          params: { said },
          remedy: M.makersTensionPowerBeltSpeed,
        }
      : {
          ...shared,
          code: 'belt',
          verdict: Math.abs(off) <= WITHIN ? 'accept' : off < -0.3 || off > 0.5 ? 'reject' : 'caution',
          reason: M.oneStrandNNWanted({
            said: said.toFixed(0),
            wantedN: wantedN.toFixed(0),
            off: Math.abs(off) <= WITHIN ? 'none' : off < 0 ? 'tooSlack' : 'tooTightBearingsCarr',
          }),
          params: { said, wantedN, off: Math.abs(off) <= WITHIN ? null : Boolean(off < 0) },
          limit: `± ${(100 * WITHIN).toFixed(0)} %`,
          ...(Math.abs(off) <= WITHIN ? {} : { remedy: M.moveMotorTurnHandMeasure }),
        },
  ];
  if (input.wantedN === undefined && input.powerKw !== undefined && input.serviceFactor === undefined)
    findings.push(SERVICE_LEFT_OUT);
  if (byFrequencyN !== null && byDeflectionN !== null && Math.abs(byFrequencyN / byDeflectionN - 1) > 0.25)
    findings.push({
      ...shared,
      code: 'belt.ways',
      verdict: 'caution',
      reason: M.twoWaysDifferNNote({
        byFrequencyN: byFrequencyN.toFixed(0),
        byDeflectionN: byDeflectionN.toFixed(0),
      }),
      params: { byFrequencyN, byDeflectionN },
      remedy: M.spanMassBeltAgainStrike,
    });
  return {
    values: { byFrequencyN, byDeflectionN, wantedN, wantedHz, wantedForceN },
    findings,
    working: [
      ...(byFrequencyN === null
        ? []
        : [
            {
              what: M.note,
              sum: `4 × ${input.massKgPerM} × ${L.toFixed(3)}² × ${input.hertz}² = ${byFrequencyN.toFixed(0)} N`,
            },
          ]),
      ...(byDeflectionN === null
        ? []
        : [
            {
              what: M.force,
              sum: expr`${input.forceN ?? 0} N × ${len(input.spanMm, 0)} ÷ (4 × ${len(input.deflectionMm ?? 0, 1)}) = ${byDeflectionN.toFixed(0)} N`,
            },
          ]),
      ...(wantedHz === null || wantedForceN === null
        ? []
        : [
            {
              what: M.wantedTension,
              sum: M.hzNBendSpan({
                wantedHz: wantedHz.toFixed(0),
                wantedForceN: wantedForceN.toFixed(0),
                span: len(input.spanMm * DEFLECTION_SHARE, 1),
              }),
            },
          ]),
    ],
    beams: [],
  };
}
