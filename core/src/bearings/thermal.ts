import type { CalculatorResult } from '../calculators/result.ts';
import { len } from '../quantities/say.ts';
import { ALPHA_STEEL } from './float.ts';
import { effectiveK } from './travel.ts';

export type ThermalShiftInput = {
  boreMm: number;
  /** Shaft warmer than the bearing’s outer ring by so much; negative where colder. */
  shaftOverRingK: number;
  hollowRatio?: number | undefined;
  alphaPerK?: number | undefined;
};

export type ThermalShiftValues = {
  /** Radial clearance a warmer shaft takes away while it is warmer; negative where it gives some. */
  lostMm: number;
};

/**
 * Clearance that a shaft warmer than the outer ring takes away: shaft and inner ring grow by α·d·ΔT against the outer, the
 * raceway following by k. It comes back when both are of one temperature, so a clearance felt on a hot shaft is that much
 * small, and a shaft that runs hot inside wants that much more residual.
 * Source: α·d·ΔT (Machinery’s Handbook, α from memory) through the ring as in the drive-up’s k; common practice.
 * @example thermalShift({ boreMm: 100, shaftOverRingK: 20 }).values.lostMm // about 0.018
 */
export function thermalShift(input: ThermalShiftInput): CalculatorResult<ThermalShiftValues> {
  const alpha = input.alphaPerK ?? ALPHA_STEEL;
  const k = effectiveK(input.boreMm, input.hollowRatio);
  const lostMm = k * alpha * input.boreMm * input.shaftOverRingK;
  return {
    values: { lostMm },
    findings: [
      {
        code: 'thermal.shift',
        verdict: 'accept',
        reason:
          lostMm === 0
            ? 'Shaft and ring are of one temperature: nothing to correct.'
            : `A shaft ${Math.abs(input.shaftOverRingK)} K ${input.shaftOverRingK > 0 ? 'warmer' : 'colder'} than the ring ${lostMm > 0 ? 'takes' : 'gives'} ${len(Math.abs(lostMm))} of clearance.`,
        source: 'growth',
        acceptable: true,
      },
    ],
    working: [
      {
        what: 'clearance lost to heat',
        sum: `k ${k.toFixed(2)} × ${(alpha * 1e6).toFixed(1)}·10⁻⁶ × ${input.boreMm.toFixed(0)} × ${input.shaftOverRingK} K = ${len(lostMm)}`,
      },
    ],
    beams: [],
  };
}
