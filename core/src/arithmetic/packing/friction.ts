import type { CalculatorResult } from '../../judgement/result.ts';
import { num, pres } from '../../quantities/say.ts';

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
        reason: `About ${powerW.toFixed(0)} W, an estimate.`,
        params: { powerW },
        source: 'practice',
        remedy: 'Friction and pressure are typical; the gland’s warmth tells the truth.',
        acceptable: false,
      },
    ],
    working: [
      {
        what: 'mean radial pressure',
        sum: `${k} × ${pres(input.glandMpa)}, falling along ${num(input.lengthMm, 0)}: ${pres(meanMpa)}`,
      },
      {
        what: 'power',
        sum: `π × ${num(input.shaftMm, 1)} × ${num(input.lengthMm, 0)} × ${meanMpa.toFixed(2)} × ${mu} × speed = ${powerW.toFixed(0)} W`,
      },
    ],
    beams: [],
  };
}
