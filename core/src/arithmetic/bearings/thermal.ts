import type { CalculatorResult } from '../../judgement/result.ts';
import { expr } from '../../message/message.ts';
import { len } from '../../quantities/say.ts';
import { ALPHA_STEEL } from './float.ts';
import { M } from './messages.ts';

export type ThermalShiftInput = {
  boreMm: number;
  /** Outside of the bearing; an estimate stands in where it is not known. */
  outsideMm?: number | undefined;
  /** Shaft warmer than the bearing’s outer ring by so much; negative where colder. */
  shaftOverRingK: number;
  alphaPerK?: number | undefined;
};

export type ThermalShiftValues = {
  /** Radial clearance a warmer shaft takes away while it is warmer; negative where it gives some. */
  lostMm: number;
  /** The diameter that grows: the outer ring's raceway, about. mm. */
  racewayMm: number;
};

/** Mean outer raceway over bore, where the outside is not known. Common practice, no source. */
const RACEWAY_OF_BORE = 1.6;

/**
 * Clearance that a shaft warmer than the outer ring takes away: shaft, inner ring and rollers are warm together, and grow by
 * α·ΔT of the outer raceway’s diameter, about (d + 3D)/4. It comes back when all are of one temperature, so a clearance felt on
 * a hot shaft is that much small, and a shaft that runs hot inside wants that much more residual.
 * Source: bearing handbooks for (d + 3D)/4, Machinery’s Handbook for α; from memory.
 * @example thermalShift({ boreMm: 100, outsideMm: 180, shaftOverRingK: 20 }).values.lostMm // about 0.037
 */
export function thermalShift(input: ThermalShiftInput): CalculatorResult<ThermalShiftValues> {
  const { boreMm, outsideMm, shaftOverRingK } = input;
  const alpha = input.alphaPerK ?? ALPHA_STEEL;
  const racewayMm = outsideMm === undefined ? RACEWAY_OF_BORE * boreMm : (boreMm + 3 * outsideMm) / 4;
  const lostMm = alpha * racewayMm * shaftOverRingK;
  return {
    values: { lostMm, racewayMm },
    findings: [
      {
        code: 'thermal.shift',
        verdict: 'accept',
        reason:
          lostMm === 0
            ? M.shaftRingOneTemperatureNothing
            : M.shaftKThanRingClearance({
                shaftOverRingK: Math.abs(shaftOverRingK),
                shaftOverRingK2: shaftOverRingK > 0 ? 'warmer' : 'colder',
                lost: lostMm > 0 ? 'takes' : 'gives',
                lost2: len(Math.abs(lostMm)),
                outside: outsideMm === undefined ? 'estimateBearingsOuts' : 'none',
              }),
        params: {
          shaftOverRingK: lostMm === 0 ? null : Math.abs(shaftOverRingK),
          shaftOverRingK2: lostMm === 0 ? null : Boolean(shaftOverRingK > 0),
          lostMm: lostMm === 0 ? null : Boolean(lostMm > 0),
          lostMm2: lostMm === 0 ? null : Math.abs(lostMm),
          outsideMm: lostMm === 0 ? null : Boolean(outsideMm === undefined),
        },
        source: 'growth',
        acceptable: false,
      },
    ],
    working: [
      {
        what: M.clearanceLostHeat,
        sum: expr`${(alpha * 1e6).toFixed(1)}·10⁻⁶ × ${outsideMm === undefined ? `${RACEWAY_OF_BORE} × ${boreMm.toFixed(0)}` : `(${boreMm.toFixed(0)} + 3 × ${outsideMm.toFixed(0)}) ÷ 4`} × ${shaftOverRingK} K = ${len(lostMm)}`,
      },
    ],
    beams: [],
  };
}
