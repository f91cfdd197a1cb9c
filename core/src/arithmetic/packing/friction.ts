import type { CalculatorResult } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { num, pres } from '../../quantities/say.ts';
import { M } from './messages.ts';

export type PackingFrictionInput = {
  shaftMm: number;
  lengthMm: number;
  glandMpa: number;
  speedRpm: number;
  friction?: number | undefined;
  /** Section of the packing, and share of axial pressure that turns radial. */
  sectionMm: number;
  lateral?: number | undefined;
};

export type PackingFrictionValues = { meanMpa: number; torqueNm: number; powerW: number };

const TYPICAL = { friction: 0.08, lateral: 0.5 } as const;

/**
 * Friction of packing, an estimate: radial pressure falls along the box, p = K·p₀·exp(−2µK·x/s), its mean over the length takes
 * µ on the shaft's surface.
 * Source: friction of a granular column (Janssen), with typical values; an estimate and said so.
 */
export function packingFriction(input: PackingFrictionInput): CalculatorResult<PackingFrictionValues> {
  const mu = input.friction ?? TYPICAL.friction;
  const k = input.lateral ?? TYPICAL.lateral;
  const a = (2 * mu * k) / input.sectionMm;
  const x = a * input.lengthMm;
  const meanMpa = (k * input.glandMpa * (1 - Math.exp(-x))) / x;
  const force = Math.PI * input.shaftMm * input.lengthMm * meanMpa * mu;
  const torqueNm = (force * input.shaftMm) / 2000;
  const powerW = (torqueNm * input.speedRpm * 2 * Math.PI) / 60;
  return {
    values: { meanMpa, torqueNm, powerW },
    findings: [
      {
        code: 'packing.friction',
        verdict: 'caution',
        reason: M.aboutWEstimate({ powerW: powerW.toFixed(0) }),
        params: { powerW },
        source: 'practice',
        remedy: M.frictionPressureTypicalGlandsWarmth,
        acceptable: false,
      },
    ],
    working: [
      {
        what: M.meanRadialPressure,
        sum: M.fallingAlong({
          k,
          gland: pres(input.glandMpa),
          count: num(input.lengthMm, 0),
          mean: pres(meanMpa),
        }),
      },
      {
        what: COMMON.power,
        sum: M.speedW({
          shaft: num(input.shaftMm, 1),
          count: num(input.lengthMm, 0),
          mean: meanMpa.toFixed(2),
          mu,
          powerW: powerW.toFixed(0),
        }),
      },
    ],
    beams: [],
  };
}
