import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { len, pres } from '../../quantities/say.ts';
import { M } from './messages.ts';

export type PurgeInput = {
  processMpa: number;
  gasMpa?: number | undefined;
  /** The most over the process the maker allows. */
  mostOverMpa?: number | undefined;
  /** Gaps between throttle and shaft by blades, evenly spaced round from the top. */
  clearancesMm?: readonly number[] | undefined;
  /** Regulators for how many seals. */
  seals: number;
  regulators: number;
  /** Bore of the gas line. */
  lineMm?: number | undefined;
};

export type PurgeValues = {
  lowMpa: number;
  highMpa: number;
  /** Largest gap at a place, and what they come to across: bore less shaft. mm. */
  largestMm: number | null;
  diametralMm: number | null;
  /** How far the shaft stands off the throttle's middle. mm. */
  eccentricMm: number | null;
};

/** Gas stands at least 5 psi over the process, better 5 to 10. Common practice, no source. */
const OVER_MPA = { least: 0.03447, most: 0.07 } as const;
/** Where the maker gives no most, gas over twice the process and this is a stop. Our own choice. */
const SURELY_TOO_MUCH_MPA = 0.2;
/** Bore of the throttle less shaft. Common practice, no source. */
export const THROTTLE_CLEARANCE_MM = 0.13;
const LINE_MM = 12.7;

/**
 * Clearance of a throttle round its shaft from gaps at even places: opposite gaps add, so across it is twice their mean, and their
 * once-round wave is how far the shaft stands off the middle. Geometry.
 */
export function throttleFit(gapsMm: readonly number[]): { diametralMm: number; eccentricMm: number } {
  const n = gapsMm.length;
  const mean = gapsMm.reduce((s, g) => s + g, 0) / n;
  const wave = (f: (rad: number) => number) =>
    (2 / n) * gapsMm.reduce((s, g, i) => s + g * f((2 * Math.PI * i) / n), 0);
  return { diametralMm: 2 * mean, eccentricMm: n < 3 ? 0 : Math.hypot(wave(Math.cos), wave(Math.sin)) };
}

/**
 * Window of a purge gas over the process, one regulator and gauge a seal, line of half an inch, throttle clearance.
 * Source: common practice, no source; the maker's sheet outranks it.
 */
export function purgeGas(input: PurgeInput): CalculatorResult<PurgeValues> {
  const lowMpa = input.processMpa + OVER_MPA.least;
  const highMpa = input.processMpa + OVER_MPA.most;
  const gaps = input.clearancesMm ?? [];
  const largestMm = gaps.length ? Math.max(...gaps) : null;
  const fit = gaps.length ? throttleFit(gaps) : null;
  const mostMpa =
    input.mostOverMpa === undefined
      ? 2 * Math.max(0, input.processMpa) + SURELY_TOO_MUCH_MPA
      : input.processMpa + input.mostOverMpa;
  const shared = { source: 'practice' as const, acceptable: true };
  const findings: Finding[] = [];
  const { gasMpa: gas } = input;
  findings.push(
    gas === undefined
      ? {
          ...shared,
          code: 'purge.pressure',
          verdict: 'incomplete',
          reason: M.setGasBetween({ low: pres(lowMpa), high: pres(highMpa) }),
          params: { lowMpa, highMpa },
          acceptable: false,
        }
      : gas >= lowMpa - 1e-9 && gas <= highMpa + 1e-9
        ? {
            ...shared,
            code: 'purge.pressure',
            verdict: 'accept',
            reason: M.gasOverProcessAsShould({ gas: pres(gas) }),
            params: { gas },
          }
        : gas > highMpa && gas <= mostMpa + 1e-9
          ? {
              ...shared,
              code: 'purge.pressure',
              verdict: 'caution',
              reason: M.gasMoreThanNeededOver({ gas: pres(gas), process: pres(input.processMpa) }),
              params: { gas, processMpa: input.processMpa },
              limit: M.to4({ low: pres(lowMpa), high: pres(highMpa) }),
              remedy: M.leastFivePsiOverBetter,
            }
          : {
              ...shared,
              code: 'purge.pressure',
              verdict: 'reject',
              reason: M.gasTooOverProcess({
                gas: pres(gas),
                gas2: gas < lowMpa ? 'little' : 'much',
                process: pres(input.processMpa),
              }),
              params: { gas, gas2: Boolean(gas < lowMpa), processMpa: input.processMpa },
              limit: M.to5({ low: pres(lowMpa), most: pres(mostMpa) }),
              remedy: M.setRegulatorSealLosesGas,
            },
  );
  if (input.regulators < input.seals)
    findings.push({
      ...shared,
      code: 'purge.regulators',
      verdict: 'reject',
      reason: M.sealsOneOpeningTakesGas({ regulators: input.regulators, seals: input.seals }),
      params: {
        regulators: input.regulators,
        regulators2: Boolean(input.regulators === 1),
        seals: input.seals,
      },
      remedy: M.regulatorGaugeEachSeal,
    });
  if (input.lineMm !== undefined && input.lineMm < LINE_MM)
    findings.push({
      ...shared,
      code: 'purge.line',
      verdict: 'caution',
      reason: M.lineUnderHalfInch({ line: len(input.lineMm, 1) }),
      params: { lineMm: input.lineMm },
      remedy: M.halfInchLarger,
    });
  // A throttle that floats may lie against the shaft at one place; closed all round it has no room.
  if (fit && Math.max(...gaps) <= 0)
    findings.push({
      ...shared,
      code: 'purge.throttle',
      verdict: 'reject',
      reason: M.placeThereNoGapThrottle,
      params: {},
      remedy: M.moveOffUntilBladesGo,
      acceptable: false,
    });
  else if (fit)
    findings.push(
      fit.diametralMm <= THROTTLE_CLEARANCE_MM + 1e-9
        ? {
            ...shared,
            code: 'purge.throttle',
            verdict: 'accept',
            reason: M.throttleClearanceAcrossShaftStands({
              diametral: len(fit.diametralMm),
              eccentric: len(fit.eccentricMm),
            }),
            params: { diametralMm: fit.diametralMm, eccentricMm: fit.eccentricMm },
            limit: M.across({ throttleClearanceMm: len(THROTTLE_CLEARANCE_MM) }),
          }
        : {
            ...shared,
            code: 'purge.throttle',
            verdict: 'reject',
            reason: M.throttleClearanceAcrossOppositeGaps({ diametral: len(fit.diametralMm) }),
            params: { diametralMm: fit.diametralMm },
            limit: M.across({ throttleClearanceMm: len(THROTTLE_CLEARANCE_MM) }),
            remedy: M.anotherThrottleShaftSleeved,
          },
    );
  return {
    values: {
      lowMpa,
      highMpa,
      largestMm,
      diametralMm: fit?.diametralMm ?? null,
      eccentricMm: fit?.eccentricMm ?? null,
    },
    findings,
    working: [
      {
        what: M.window,
        sum: M.toTo({
          process: pres(input.processMpa),
          least: pres(OVER_MPA.least),
          most: pres(OVER_MPA.most),
          low: pres(lowMpa),
          high: pres(highMpa),
        }),
      },
    ],
    beams: [],
  };
}
