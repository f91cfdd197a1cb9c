import type { CalculatorResult, Finding } from '../calculators/result.ts';
import { len, pres } from '../quantities/say.ts';

export type PurgeInput = {
  processMpa: number;
  gasMpa?: number | undefined;
  /** Clearance of the throttle, at places round; the largest counts. */
  clearancesMm?: readonly number[] | undefined;
  /** Regulators for how many seals. */
  seals: number;
  regulators: number;
  /** Bore of the gas line. */
  lineMm?: number | undefined;
};

export type PurgeValues = { lowMpa: number; highMpa: number; largestMm: number | null };

/** Gas stands 5 to 10 psi over the process. Common practice, no source. */
const OVER_MPA = { least: 0.035, most: 0.07 } as const;
export const THROTTLE_CLEARANCE_MM = 0.13;
const LINE_MM = 12.7;

/**
 * Window of a purge gas over the process, one regulator and gauge a seal, line of half an inch, throttle clearance.
 * Source: common practice, no source; the maker's sheet outranks it.
 */
export function purgeGas(input: PurgeInput): CalculatorResult<PurgeValues> {
  const lowMpa = input.processMpa + OVER_MPA.least;
  const highMpa = input.processMpa + OVER_MPA.most;
  const largestMm = input.clearancesMm?.length ? Math.max(...input.clearancesMm) : null;
  const shared = { source: 'practice' as const, acceptable: true };
  const findings: Finding[] = [];
  const { gasMpa: gas } = input;
  findings.push(
    gas === undefined
      ? {
          ...shared,
          code: 'purge.pressure',
          verdict: 'incomplete',
          reason: `Set the gas between ${pres(lowMpa)} and ${pres(highMpa)}.`,
          acceptable: false,
        }
      : gas >= lowMpa - 1e-9 && gas <= highMpa + 1e-9
        ? {
            ...shared,
            code: 'purge.pressure',
            verdict: 'accept',
            reason: `Gas ${pres(gas)}, over the process as it should be.`,
          }
        : {
            ...shared,
            code: 'purge.pressure',
            verdict: 'reject',
            reason: `Gas ${pres(gas)} is ${gas < lowMpa ? 'too little' : 'too much'} over a process of ${pres(input.processMpa)}.`,
            limit: `${pres(lowMpa)} to ${pres(highMpa)}`,
            remedy: 'Set the regulator; the seal loses its gas with it, so interlock it.',
          },
  );
  if (input.regulators < input.seals)
    findings.push({
      ...shared,
      code: 'purge.regulators',
      verdict: 'reject',
      reason: `${input.regulators} ${input.regulators === 1 ? 'regulator' : 'regulators'} for ${input.seals} seals: one opening takes the gas from the others.`,
      remedy: 'A regulator and a gauge to each seal.',
    });
  if (input.lineMm !== undefined && input.lineMm < LINE_MM)
    findings.push({
      ...shared,
      code: 'purge.line',
      verdict: 'caution',
      reason: `A line of ${len(input.lineMm, 1)} is under half an inch.`,
      remedy: 'Half an inch or larger.',
    });
  if (largestMm !== null)
    findings.push(
      largestMm <= THROTTLE_CLEARANCE_MM + 1e-9
        ? {
            ...shared,
            code: 'purge.throttle',
            verdict: 'accept',
            reason: `Throttle clearance ${len(largestMm)} at the most.`,
          }
        : {
            ...shared,
            code: 'purge.throttle',
            verdict: 'reject',
            reason: `Throttle clearance ${len(largestMm)}: more than it can seal.`,
            limit: len(THROTTLE_CLEARANCE_MM),
            remedy: 'Another throttle, or the shaft sleeved.',
          },
    );
  return {
    values: { lowMpa, highMpa, largestMm },
    findings,
    working: [
      {
        what: 'window',
        sum: `${pres(input.processMpa)} + ${pres(OVER_MPA.least)} to ${pres(OVER_MPA.most)} = ${pres(lowMpa)} to ${pres(highMpa)}`,
      },
    ],
    beams: [],
  };
}
