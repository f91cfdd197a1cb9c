import type { CalculatorResult, Finding, WorkingLine } from '../calculators/result.ts';
import { COVERAGE, decide } from '../metrology/decision.ts';
import { inQuadrature, resolutionUncertainty } from '../metrology/uncertainty.ts';
import { area, len, num, pres } from '../quantities/say.ts';

export type HydraulicNutInput = {
  /** Start pressure on the maker's sheet, for a nut of that piston area. */
  startPressureMpa: number;
  sheetAreaMm2: number;
  /** Piston area of the nut in hand. */
  nutAreaMm2: number;
  /** Drive-up from the start pressure, by the sheet. */
  driveUpMinMm: number;
  driveUpMaxMm: number;
  abortPressureMpa: number;
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
  const startPressureMpa = (input.startPressureMpa * input.sheetAreaMm2) / input.nutAreaMm2;
  const { zeroMm: zero, nowMm: now, driveUpMinMm: min, driveUpMaxMm: max } = input;
  const travelMm = zero === undefined || now === undefined ? null : (input.sign ?? 1) * (now - zero);
  const one = resolutionUncertainty(input.resolutionMm);
  const u = inQuadrature(one, one);
  const aborted =
    input.nowPressureMpa !== undefined &&
    input.nowPressureMpa >= input.abortPressureMpa &&
    (travelMm === null || travelMm < min);
  const findings: Finding[] = [];
  const working: WorkingLine[] = [
    {
      what: 'start pressure on this nut',
      sum: `${pres(input.startPressureMpa)} × ${area(input.sheetAreaMm2)} ÷ ${area(input.nutAreaMm2)} = ${pres(startPressureMpa)}`,
    },
  ];
  if (startPressureMpa >= input.abortPressureMpa)
    findings.push({
      code: 'hydraulic.areas',
      verdict: 'reject',
      reason: `The start pressure on this nut, ${pres(startPressureMpa)}, is over its abort pressure.`,
      source: 'maker',
      remedy: 'Check both piston areas; this nut is too small for this bearing.',
      acceptable: false,
    });
  if (aborted)
    findings.push({
      code: 'hydraulic.abort',
      verdict: 'reject',
      reason: `Abort pressure came first, ${travelMm === null ? 'without a travel' : `at ${len(travelMm)}`}: something else holds the bearing.`,
      limit: pres(input.abortPressureMpa),
      source: 'maker',
      remedy: 'Release. Is the other nut still loose, is the bearing square? Then go on from the same zero.',
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
              kind: 'length',
              value: travelMm,
              target: (min + max) / 2,
              lower: min,
              upper: max,
              expanded: COVERAGE.k2 * u,
              verdict: findings.at(-1)?.verdict ?? 'incomplete',
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
      remedy: 'Release, dismount, inspect, start with a new zero.',
      acceptable: false,
    };
  if (travelMm < min)
    return {
      ...shared,
      verdict: 'incomplete',
      reason: `Driven ${len(travelMm)}: ${num(min - travelMm)} to ${len(max - travelMm)} more. Never zero again half way.`,
      acceptable: false,
    };
  const d = decide(travelMm, u, { lower: min, upper: max });
  return {
    ...shared,
    verdict: d.verdict === 'accept' ? 'accept' : 'caution',
    reason: `Driven ${len(travelMm)}: in the band${d.verdict === 'accept' ? '' : ', as near its end as the indicator can tell'}.`,
    acceptable: true,
  };
}
