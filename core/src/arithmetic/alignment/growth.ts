import type { CalculatorResult } from '../../judgement/result.ts';
import { expr } from '../../message/message.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { len, num } from '../../quantities/say.ts';
import { M } from './messages.ts';

/** A machine on its feet: how warm it runs over where it is aligned, K, at the front feet and at the rear. */
type WarmMachine = { frontMm: number; rearMm: number; heightMm: number; frontK: number; rearK: number };

export type GrowthInput = {
  /** Millionths a kelvin; 11 for cast iron where left out. */
  growthPerK?: number | undefined;
  /** Feet of each machine from the coupling’s middle, and the shaft’s height over them. */
  driverFrontMm: number;
  driverRearMm: number;
  driverHeightMm: number;
  driverFrontK: number;
  driverRearK: number;
  drivenFrontMm: number;
  drivenRearMm: number;
  drivenHeightMm: number;
  drivenFrontK: number;
  drivenRearK: number;
};

export type GrowthValues = {
  /** How far each shaft rises at the coupling, and its slope there, mm a metre, rising towards the coupling positive. */
  driverMm: number;
  drivenMm: number;
  /** Where the driver is to stand cold against the driven: offset at the coupling (low negative), and slope, mm a metre. */
  offsetMm: number;
  slopeMmPerM: number;
  feet: { driverFrontMm: number; driverRearMm: number; drivenFrontMm: number; drivenRearMm: number };
};

const CAST_IRON = 11;

/** The line a shaft rises by, from its feet. */
function line(m: WarmMachine, perK: number) {
  if (m.frontMm === m.rearMm) throw new MessageError(M.frontRearFeetStandOne);
  const front = perK * m.heightMm * m.frontK;
  const rear = perK * m.heightMm * m.rearK;
  const slope = (front - rear) / (m.rearMm - m.frontMm);
  return { front, rear, atCoupling: front + slope * m.frontMm, slope };
}

/**
 * How far a shaft rises as its machine becomes warmer by so much all through. mm.
 * Source: α·ΔT·h, physics; growth of cast iron a common value.
 * @example shaftRise(450, 40) // 0.198
 */
export const shaftRise = (heightMm: number, warmerK: number): number => CAST_IRON * 1e-6 * heightMm * warmerK;

/**
 * Where a machine is to stand cold so that it stands in line warm: each foot rises by α·ΔT·height, and the shafts with them; cold it
 * stands as much the other way.
 * Source: α·ΔT·h, physics; growth of cast iron a common value. The maker’s figures outrank it.
 * @throws RangeError where a machine’s feet stand at one place
 */
export function hotAlignment(input: GrowthInput): CalculatorResult<GrowthValues> {
  const perK = (input.growthPerK ?? CAST_IRON) * 1e-6;
  const a = line(
    {
      frontMm: input.driverFrontMm,
      rearMm: input.driverRearMm,
      heightMm: input.driverHeightMm,
      frontK: input.driverFrontK,
      rearK: input.driverRearK,
    },
    perK,
  );
  const b = line(
    {
      frontMm: input.drivenFrontMm,
      rearMm: input.drivenRearMm,
      heightMm: input.drivenHeightMm,
      frontK: input.drivenFrontK,
      rearK: input.drivenRearK,
    },
    perK,
  );
  const offsetMm = b.atCoupling - a.atCoupling;
  // Seen along one axis, the driven machine’s shaft runs the other way from the coupling.
  const slopeMmPerM = -1000 * (a.slope + b.slope);
  const word = (mm: number) =>
    Math.abs(mm) < 0.005 ? M.level : expr`${len(Math.abs(mm), 2)} ${mm < 0 ? M.low : M.high}`;
  return {
    values: {
      driverMm: a.atCoupling,
      drivenMm: b.atCoupling,
      offsetMm,
      slopeMmPerM,
      feet: { driverFrontMm: a.front, driverRearMm: a.rear, drivenFrontMm: b.front, drivenRearMm: b.rear },
    },
    findings: [
      {
        code: 'growth',
        verdict: 'accept',
        reason: M.coldDriverStandsCouplingWarm({ word: word(offsetMm) }),
        params: { offsetMm: word(offsetMm) },
        source: 'growth',
        acceptable: false,
      },
    ],
    working: [
      { what: M.driversFeet, sum: M.frontRear({ front: num(a.front), rear: len(a.rear) }) },
      { what: M.drivensFeet, sum: M.frontRear({ front: num(b.front), rear: len(b.rear) }) },
      {
        what: M.coupling2,
        sum: M.driverRisesDriven({ atCoupling: len(a.atCoupling), atCoupling2: len(b.atCoupling) }),
      },
      {
        what: M.targetCold,
        sum: M.slopeMetre({
          atCoupling: num(b.atCoupling),
          atCoupling2: num(a.atCoupling),
          offset: len(offsetMm),
          slopeMmPerM: len(slopeMmPerM),
        }),
      },
    ],
    beams: [],
  };
}
