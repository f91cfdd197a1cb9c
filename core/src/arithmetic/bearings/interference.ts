import type { CalculatorResult, Finding, WorkingLine } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { expr } from '../../message/message.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { len, num, pres } from '../../quantities/say.ts';
import { M } from './messages.ts';

export type Material = { youngMpa: number; poisson: number };
/** Bearing and shaft steel. Source: machine-design texts. */
export const STEEL: Material = { youngMpa: 206_000, poisson: 0.3 };

export type InterferenceInput = {
  /** Mean diameter of the joint: the taper's middle, or a cylindrical seat. */
  jointMm: number;
  /** Mean outside diameter of the inner ring where the rollers run. */
  racewayMm: number;
  /** Bore of a hollow shaft; solid where left out. */
  shaftBoreMm?: number | undefined;
  widthMm: number;
  /** Mean thickness of a slit adapter sleeve between ring and shaft; none where left out. */
  sleeveMm?: number | undefined;
  /** 12 or 30 on a taper; left out on a cylindrical seat. */
  taper?: 12 | 30 | undefined;
  friction?: number | undefined;
  /** One of these is given, the others are worked out. On a taper `travelMm` counts from metal-to-metal contact. */
  interferenceMm?: number | undefined;
  travelMm?: number | undefined;
  reductionMm?: number | undefined;
  /** Loss of interference as the surfaces are smoothed, on diameter. */
  smoothingMm?: number | undefined;
  benchMm?: number | undefined;
  ring?: Material | undefined;
  shaft?: Material | undefined;
};

export type InterferenceValues = {
  /** Diametral interference that bears, smoothing taken off. */
  interferenceMm: number;
  pressureMpa: number;
  /** Radial clearance lost: growth of the raceway's diameter. */
  reductionMm: number;
  residualMm: number | null;
  travelMm: number | null;
  /** Reduction over interference: the elastic part of the effective k. */
  k: number;
  /** Axial force to drive the ring up so far, and to push it off again, N. */
  driveN: number;
  releaseN: number;
  /** Largest hoop stress, at the ring's bore. */
  hoopMpa: number;
};

/** Compliance of a ring pressed from inside: growth of its bore over bore·pressure, 1/MPa. */
const outer = (m: Material, d: number, outside: number): number => {
  const q = (d / outside) ** 2;
  return ((1 + q) / (1 - q) + m.poisson) / m.youngMpa;
};
/** Compliance of a shaft pressed from outside, solid or hollow. */
const inner = (m: Material, d: number, bore: number): number => {
  const q = (bore / d) ** 2;
  return ((1 + q) / (1 - q) - m.poisson) / m.youngMpa;
};

/**
 * Inner ring on a solid or hollow shaft as thick cylinders: interference, pressure, hoop stress, growth of the raceway and axial
 * force, whichever of interference, travel or reduction is given. A slit sleeve between carries no hoop stress, passes the pressure on
 * to a smaller shaft, and is squeezed thinner.
 * Source: Lamé; any machine-design text. Ring and shaft of one steel, shaft solid: p = E·δ/(2d)·(1 − (d/D)²), growth δ·d/D.
 * @throws RangeError where the sizes are no ring on a shaft, or none or several of the three are given
 */
export function interferenceFit(input: InterferenceInput): CalculatorResult<InterferenceValues> {
  const { jointMm: d, racewayMm: outside } = input;
  const bore = input.shaftBoreMm ?? 0;
  if (!(outside > d)) throw new MessageError(M.racewayMustLargerThanJoint);
  if (!(bore < d)) throw new MessageError(M.shaftsBoreMustSmallerThan);
  const ring = input.ring ?? STEEL;
  const shaft = input.shaft ?? STEEL;
  const smoothing = input.smoothingMm ?? 0;
  // A slit sleeve carries no hoop stress: it passes the pressure on, more of it on its smaller inside, and is squeezed thinner.
  const seat = d - 2 * (input.sleeveMm ?? 0);
  if (!(seat > bore)) throw new MessageError(M.sleeveLeavesNoShaftInside);
  const compliance = outer(ring, d, outside) + inner(shaft, seat, bore) + Math.log(d / seat) / shaft.youngMpa;
  const growthPerMpa = (2 * d * d * outside) / (ring.youngMpa * (outside * outside - d * d));
  const k = growthPerMpa / (d * compliance);
  const bearing = bearingInterference(input, k, smoothing);
  const pressureMpa = bearing / (d * compliance);
  const reductionMm = growthPerMpa * pressureMpa;
  const travelMm = input.taper ? input.taper * (bearing + smoothing) : null;
  const mu = input.friction ?? 0.15;
  const slope = input.taper ? 1 / (2 * input.taper) : 0;
  const normal = pressureMpa * Math.PI * d * input.widthMm;
  const q = (d / outside) ** 2;
  const residualMm = input.benchMm === undefined ? null : input.benchMm - reductionMm;
  const values: InterferenceValues = {
    interferenceMm: bearing,
    pressureMpa,
    reductionMm,
    residualMm,
    travelMm,
    k,
    driveN: normal * (mu + slope),
    releaseN: normal * (mu - slope),
    hoopMpa: (pressureMpa * (1 + q)) / (1 - q),
  };
  return { values, findings: judge(values), working: work(input, values, smoothing), beams: [] };
}

/** The interference that bears, from whichever was given. */
function bearingInterference(i: InterferenceInput, k: number, smoothing: number): number {
  const given = [i.interferenceMm, i.travelMm, i.reductionMm].filter((v) => v !== undefined);
  if (given.length !== 1) throw new MessageError(M.giveOneInterferenceTravelReduction);
  if (i.reductionMm !== undefined) return i.reductionMm / k;
  if (i.travelMm !== undefined) {
    if (!i.taper) throw new MessageError(M.travelMakesInterferenceTaperOnly);
    return Math.max(0, i.travelMm / i.taper - smoothing);
  }
  return Math.max(0, (i.interferenceMm ?? 0) - smoothing);
}

/** Hoop stress a hardened ring takes in service, and what tears it. From memory: confirm with the maker. */
const HOOP_MPA = { caution: 220, stop: 900 } as const;

function judge(v: InterferenceValues): Finding[] {
  const hoop: Finding[] =
    v.hoopMpa <= HOOP_MPA.caution
      ? []
      : [
          {
            code: 'interference.hoop',
            verdict: v.hoopMpa > HOOP_MPA.stop ? 'reject' : 'caution',
            reason:
              v.hoopMpa > HOOP_MPA.stop
                ? M.hoopStressTearsRing({ hoop: pres(v.hoopMpa) })
                : M.hoopStressMoreThanHardened({ hoop: pres(v.hoopMpa) }),
            params: {
              hoopMpa: v.hoopMpa > HOOP_MPA.stop ? v.hoopMpa : null,
              hoopMpa2: v.hoopMpa > HOOP_MPA.stop ? null : v.hoopMpa,
            },
            limit: M.fromMemory({ caution: pres(HOOP_MPA.caution) }),
            source: 'practice',
            remedy: M.lookSizesInterferenceAgainAsk,
            acceptable: v.hoopMpa <= HOOP_MPA.stop,
          },
        ];
  if (v.residualMm === null) return hoop;
  const closed = v.residualMm <= 0;
  return [
    ...hoop,
    {
      code: 'interference.residual',
      verdict: closed ? 'reject' : 'accept',
      reason: closed
        ? M.fitEatsWholeClearanceMore({ residual: len(-v.residualMm) })
        : M.clearanceLeftSumFeelersMeasure({ residual: len(v.residualMm) }),
      params: { residualMm: closed ? -v.residualMm : null, residualMm2: closed ? null : v.residualMm },
      source: 'lame',
      acceptable: false,
    },
  ];
}

function work(i: InterferenceInput, v: InterferenceValues, smoothing: number): WorkingLine[] {
  const lines: WorkingLine[] = [
    { what: M.kGrowthOverInterference, sum: v.k.toFixed(4) },
    {
      what: M.interferenceBears,
      sum: expr`${len(v.interferenceMm, 4)}${smoothing > 0 ? M.smoothingTakenOff({ smoothing: num(smoothing, 4) }) : ''}`,
    },
    { what: M.pressureJoint, sum: pres(v.pressureMpa) },
    {
      what: COMMON.reduction2,
      sum: expr`${v.k.toFixed(4)} × ${num(v.interferenceMm, 4)} = ${len(v.reductionMm, 4)}`,
    },
    { what: M.hoopStressRingsBore, sum: pres(v.hoopMpa) },
    {
      what: M.axialForceOff,
      sum: M.kNKN({
        driveN: (v.driveN / 1000).toFixed(1),
        releaseN: (v.releaseN / 1000).toFixed(1),
        friction: i.friction ?? 0.15,
      }),
    },
  ];
  if (v.travelMm !== null && i.taper)
    lines.push({
      what: M.travelFromContact,
      sum: expr`${i.taper} × ${num(v.interferenceMm + smoothing, 4)} = ${len(v.travelMm)}`,
    });
  return lines;
}
