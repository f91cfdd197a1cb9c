import { doubtSaid } from '../../judgement/doubt.ts';
import type { CalculatorResult, Finding, WorkingLine } from '../../judgement/result.ts';
import { COVERAGE, decide } from '../../metrology/decision.ts';
import { inQuadrature, readingUncertainty } from '../../metrology/uncertainty.ts';
import { reachesPressure } from '../../quantities/as-typed.ts';
import { area, len, num, pres } from '../../quantities/say.ts';

export type HydraulicNutInput = {
  /** Start pressure on the maker's sheet, for a nut of that piston area. */
  startPressureMpa: number;
  sheetAreaMm2?: number | undefined;
  /** Piston area of the nut in hand; without both the start pressure is this nut's own. */
  nutAreaMm2?: number | undefined;
  /** Drive-up from the start pressure, by the sheet. */
  driveUpMinMm: number;
  driveUpMaxMm: number;
  /** The pressure that must not come first; left out where the sheet gives none. */
  abortPressureMpa?: number | undefined;
  /** Indicator at the start pressure, and which way it goes as the bearing moves up: 1 as it reads more, −1 as it reads less. */
  zeroMm?: number | undefined;
  sign?: 1 | -1 | undefined;
  nowMm?: number | undefined;
  nowPressureMpa?: number | undefined;
  resolutionMm: number;
};

export type HydraulicNutValues = {
  /** Start pressure on the nut in hand: p₁·A₁/A₂. */
  startPressureMpa: number;
  travelMm: number | null;
  leftMinMm: number | null;
  leftMaxMm: number | null;
  aborted: boolean;
};

/**
 * Drive-up by hydraulic nut: start pressure converted by piston area, one zero, travel against the sheet's band, and the abort
 * pressure that comes first where something else holds the bearing.
 * Source: maker's sheet for pressures and travel; p₂ = p₁·A₁/A₂.
 */
export function hydraulicNut(input: HydraulicNutInput): CalculatorResult<HydraulicNutValues> {
  const { sheetAreaMm2: sheetArea, nutAreaMm2: nutArea } = input;
  const converted = sheetArea !== undefined && nutArea !== undefined;
  const startPressureMpa = converted
    ? (input.startPressureMpa * sheetArea) / nutArea
    : input.startPressureMpa;
  const { zeroMm: zero, nowMm: now, driveUpMinMm: min, driveUpMaxMm: max } = input;
  const travelMm = zero === undefined || now === undefined ? null : (input.sign ?? 1) * (now - zero);
  const one = readingUncertainty(input.resolutionMm);
  const u = inQuadrature(one, one);
  const abortMpa = input.abortPressureMpa;
  const aborted =
    abortMpa !== undefined &&
    input.nowPressureMpa !== undefined &&
    reachesPressure(input.nowPressureMpa, abortMpa) &&
    (travelMm === null || travelMm < min);
  const findings: Finding[] = [];
  const working: WorkingLine[] = [
    {
      what: 'start pressure on this nut',
      sum: converted
        ? `${pres(input.startPressureMpa)} × ${area(sheetArea)} ÷ ${area(nutArea)} = ${pres(startPressureMpa)}`
        : `${pres(startPressureMpa)}, as the sheet gives it for this nut`,
    },
  ];
  if (abortMpa === undefined)
    findings.push({
      code: 'hydraulic.no-abort',
      verdict: 'caution',
      reason: 'The sheet gives no abort pressure: nothing says when something else holds the bearing.',
      params: {},
      source: 'maker',
      remedy: 'Stop and look where pressure climbs and the indicator does not follow.',
      acceptable: false,
    });
  if (abortMpa !== undefined && reachesPressure(startPressureMpa, abortMpa))
    findings.push({
      code: 'hydraulic.areas',
      verdict: 'reject',
      reason: `The start pressure on this nut, ${pres(startPressureMpa)}, is not under its abort pressure.`,
      params: { startPressureMpa },
      source: 'maker',
      remedy: 'Check both piston areas; this nut is too small for this bearing.',
      acceptable: false,
    });
  if (aborted)
    findings.push({
      code: 'hydraulic.abort',
      verdict: 'reject',
      reason: `Abort pressure came first${travelMm ? `, at ${len(travelMm)}` : ''}: something else holds the bearing.`,
      params: { travelMm: travelMm ? travelMm : null },
      limit: pres(abortMpa ?? 0),
      source: 'maker',
      remedy:
        'Release. Is every other nut still loose, is the bearing square? Then go on from the same zero.',
      acceptable: false,
    });
  if (travelMm !== null) {
    working.push({ what: 'travel', sum: `${num(now ?? 0)} − ${num(zero ?? 0)} → ${len(travelMm)}` });
    findings.push(judgeTravel(travelMm, u, min, max));
  } else
    findings.push({
      code: 'hydraulic.zero',
      verdict: 'incomplete',
      reason:
        'The indicator is not zeroed yet: once, at the start pressure, plunger in for the whole travel.',
      params: {},
      acceptable: false,
    });
  return {
    values: {
      startPressureMpa,
      travelMm,
      leftMinMm: travelMm === null ? null : Math.max(0, min - travelMm),
      leftMaxMm: travelMm === null ? null : Math.max(0, max - travelMm),
      aborted,
    },
    findings,
    working,
    beams:
      travelMm === null
        ? []
        : [
            {
              label: 'Drive-up',
              quantity: 'length',
              value: travelMm,
              target: (min + max) / 2,
              lower: min,
              upper: max,
              expanded: COVERAGE.k2 * u,
              verdict: findings.at(-1)?.verdict ?? 'incomplete',
              doubt: doubtSaid({
                count: 1,
                stepMm: input.resolutionMm,
                places: 2,
                marginMm: Math.min(travelMm - min, max - travelMm),
                where: 'of the indicator',
              }),
            },
          ],
  };
}

function judgeTravel(travelMm: number, u: number, min: number, max: number): Finding {
  const shared = { code: 'hydraulic.travel', limit: `${num(min)} to ${len(max)}`, source: 'maker' as const };
  const over = decide(travelMm, u, { upper: max }).verdict === 'reject';
  if (over)
    return {
      ...shared,
      verdict: 'reject',
      reason: `Driven ${len(travelMm)}, ${len(travelMm - max)} past the band: over-driven.`,
      params: { travelMm, travelMm2: travelMm - max },
      remedy: 'Release, dismount, inspect, start with a new zero.',
      acceptable: false,
    };
  if (travelMm < min)
    return {
      ...shared,
      verdict: 'incomplete',
      reason: `Driven ${len(travelMm)}: ${num(min - travelMm)} to ${len(max - travelMm)} more. Never zero again half way.`,
      params: { travelMm, min: min - travelMm, max: max - travelMm },
      acceptable: false,
    };
  const d = decide(travelMm, u, { lower: min, upper: max });
  return {
    ...shared,
    verdict: d.verdict === 'accept' ? 'accept' : 'caution',
    reason: `Driven ${len(travelMm)}: in the band${d.verdict === 'accept' ? '' : ', as near its end as the indicator can tell'}.`,
    params: { travelMm, verdict: Boolean(d.verdict === 'accept') },
    acceptable: true,
  };
}
