import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { expr, listOf } from '../../message/message.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { len, pres } from '../../quantities/say.ts';
import { M } from './messages.ts';

export type FaceLoadInput = {
  faceOutsideMm: number;
  faceInsideMm: number;
  balanceMm: number;
  /** Pressure acts from outside the face (usual) or from inside. */
  pressureFrom?: 'outside' | 'inside' | undefined;
  springN: number;
  /** Pressure across the face, N/mm². */
  pressureMpa: number;
  speedRpm: number;
  friction?: number | undefined;
  /** Share of the pressure that stands in the gap on the mean. */
  dropFactor?: number | undefined;
  /** The pair's own limit of pressure times speed, MPa·m/s, by the maker. */
  makerPvLimit?: number | undefined;
  /** Flush: rise allowed, and what the fluid carries. */
  flushRiseK?: number | undefined;
  densityKgM3?: number | undefined;
  heatJPerKgK?: number | undefined;
};

export type FaceLoadValues = {
  areaMm2: number;
  balance: number;
  closingMpa: number;
  meanRadiusMm: number;
  speedMPerS: number;
  pv: number;
  torqueNm: number;
  powerW: number;
  startTorqueNm: { least: number; most: number };
  flushLPerMin: number | null;
};

/** What is taken where nothing is typed: typical, not the maker's. */
export const FACE_TYPICAL = {
  friction: 0.07,
  dropFactor: 0.5,
  densityKgM3: 1000,
  heatJPerKgK: 4190,
} as const;
/** A start takes so many times the running torque. Common practice, no source. */
const START_TIMES = { least: 3, most: 5 } as const;

/** Unbalanced seals come to about 1.3; more is a wrong diameter. From memory. */
const MOST_BALANCE = 1.6;

/** Could these three diameters be a seal, pressed from outside? */
export function isBalance(outsideMm: number, insideMm: number, balanceMm: number): boolean {
  const balance = (outsideMm ** 2 - balanceMm ** 2) / (outsideMm ** 2 - insideMm ** 2);
  return balance > 0 && balance <= MOST_BALANCE;
}

/**
 * A seal's faces in numbers: balance ratio, closing pressure Δp·(B − K) + spring/area, PV, friction torque p·A·f·r, power, start
 * torque, and the flush that keeps the fluid's rise within a limit.
 * Source: API 682 annex (from memory) for the formulas; what is typical is said to be so.
 * @throws RangeError where the diameters are no face, or the balance opens it
 */
export function faceLoad(input: FaceLoadInput): CalculatorResult<FaceLoadValues> {
  const { faceOutsideMm: od, faceInsideMm: id, balanceMm: bd } = input;
  if (!(od > id)) throw new MessageError(M.facesOutsideMustLargerThan);
  const outside = input.pressureFrom !== 'inside';
  const balance = (outside ? od ** 2 - bd ** 2 : bd ** 2 - id ** 2) / (od ** 2 - id ** 2);
  if (!(balance > 0)) throw new MessageError(M.balanceDiameterPressureOpensFaces);
  if (balance > MOST_BALANCE)
    throw new MessageError(M.balanceNoSealBalanceDiameter({ balance: balance.toFixed(2) }));
  const f = input.friction ?? FACE_TYPICAL.friction;
  const k = input.dropFactor ?? FACE_TYPICAL.dropFactor;
  const areaMm2 = (Math.PI / 4) * (od ** 2 - id ** 2);
  const springMpa = input.springN / areaMm2;
  const closingMpa = input.pressureMpa * (balance - k) + springMpa;
  const meanRadiusMm = (od + id) / 4;
  const speedMPerS = (2 * Math.PI * meanRadiusMm * input.speedRpm) / 60_000;
  const torqueNm = (closingMpa * areaMm2 * f * meanRadiusMm) / 1000;
  const powerW = (torqueNm * input.speedRpm * 2 * Math.PI) / 60;
  const pv = closingMpa * speedMPerS;
  const rho = input.densityKgM3 ?? FACE_TYPICAL.densityKgM3;
  const c = input.heatJPerKgK ?? FACE_TYPICAL.heatJPerKgK;
  const flushLPerMin =
    input.flushRiseK === undefined ? null : sealFlowLPerMin(powerW, input.flushRiseK, rho, c);
  const typical = [
    input.friction === undefined ? M.friction({ f }) : '',
    input.dropFactor === undefined ? `K ${k}` : '',
  ].filter(Boolean);
  const findings: Finding[] = [
    closingMpa <= 0
      ? {
          code: 'faces.closing',
          verdict: 'reject',
          reason: M.closingPressureNMmFaces({ closing: closingMpa.toFixed(2) }),
          params: { closingMpa },
          source: 'pump-standards',
          remedy: M.checkBalanceSpringWhichSide,
          acceptable: false,
        }
      : {
          code: 'faces.closing',
          verdict: 'accept',
          reason: M.balanceClosingPressureNMm({
            balance: balance.toFixed(3),
            closing: closingMpa.toFixed(2),
            torque: torqueNm.toFixed(2),
            powerW: powerW.toFixed(0),
          }),
          params: { balance, closingMpa, torqueNm, powerW },
          source: 'pump-standards',
          acceptable: false,
        },
  ];
  if (input.makerPvLimit !== undefined)
    findings.push({
      code: 'faces.pv',
      verdict: pv <= input.makerPvLimit ? 'accept' : 'reject',
      reason: M.pvMPaMSPair({ pv: pv.toFixed(1), makerPvLimit: input.makerPvLimit }),
      params: { pv, makerPvLimit: input.makerPvLimit },
      limit: M.mPaMS({ makerPvLimit: input.makerPvLimit }),
      source: 'maker',
      ...(pv <= input.makerPvLimit ? {} : { remedy: M.anotherPairLowerBalanceLess }),
      acceptable: true,
    });
  if (typical.length > 0)
    findings.push({
      code: 'faces.typical',
      verdict: 'caution',
      reason: M.typicalValuesTakenNotMakers({ typical: listOf(typical, ', ') }),
      params: { value: listOf(typical, ', ') },
      source: 'practice',
      remedy: M.typeMakersWhereSheetGives,
      acceptable: false,
    });
  return {
    values: {
      areaMm2,
      balance,
      closingMpa,
      meanRadiusMm,
      speedMPerS,
      pv,
      torqueNm,
      powerW,
      startTorqueNm: { least: START_TIMES.least * torqueNm, most: START_TIMES.most * torqueNm },
      flushLPerMin,
    },
    findings,
    working: [
      { what: COMMON.area, sum: M.n4Mm({ od, id, areaMm2: areaMm2.toFixed(0) }) },
      {
        what: M.balance,
        sum: outside
          ? `(${od}² − ${bd}²) ÷ (${od}² − ${id}²) = ${balance.toFixed(3)}`
          : `(${bd}² − ${id}²) ÷ (${od}² − ${id}²) = ${balance.toFixed(3)}`,
      },
      {
        what: M.closingPressure,
        sum: M.nNMm({
          pressure: pres(input.pressureMpa),
          balance: balance.toFixed(3),
          k,
          springN: input.springN,
          areaMm2: areaMm2.toFixed(0),
          closing: closingMpa.toFixed(3),
        }),
      },
      {
        what: COMMON.torque,
        sum: expr`${closingMpa.toFixed(3)} × ${areaMm2.toFixed(0)} × ${f} × ${len(meanRadiusMm, 2)} = ${torqueNm.toFixed(2)} N·m`,
      },
      {
        what: COMMON.power,
        sum: M.n9550KW({
          torque: torqueNm.toFixed(2),
          speedRpm: input.speedRpm,
          powerW: (powerW / 1000).toFixed(3),
        }),
      },
      {
        what: COMMON.start2,
        sum: M.timesNM({
          least: START_TIMES.least,
          most: START_TIMES.most,
          least2: (START_TIMES.least * torqueNm).toFixed(1),
          most2: (START_TIMES.most * torqueNm).toFixed(1),
        }),
      },
      ...(flushLPerMin === null
        ? []
        : [
            {
              what: COMMON.flush,
              sum: M.wKLMin({
                powerW: powerW.toFixed(0),
                rho,
                c,
                flushRiseK: input.flushRiseK,
                flushLPerMin: flushLPerMin.toFixed(2),
              }),
            },
          ]),
    ],
    beams: [],
  };
}

/** Flow that carries a heat away at a rise: q = P/(ρ·c·ΔT), litres a minute. Physics. */
function sealFlowLPerMin(powerW: number, riseK: number, rho: number, c: number): number {
  return (powerW / (rho * c * riseK)) * 60_000;
}

export type FlushInput = {
  powerW: number;
  riseK: number;
  densityKgM3?: number | undefined;
  heatJPerKgK?: number | undefined;
};

/**
 * Flush flow that keeps a seal's fluid within a rise of temperature. Source: ΔT = P/(ρ·q·c), physics.
 * @example sealFlush({ powerW: 450, riseK: 5 }).values.flowLPerMin // about 1.29
 */
export function sealFlush(input: FlushInput): CalculatorResult<{ flowLPerMin: number }> {
  const rho = input.densityKgM3 ?? FACE_TYPICAL.densityKgM3;
  const c = input.heatJPerKgK ?? FACE_TYPICAL.heatJPerKgK;
  const flowLPerMin = sealFlowLPerMin(input.powerW, input.riseK, rho, c);
  return {
    values: { flowLPerMin },
    findings: [
      {
        code: 'flush',
        verdict: 'accept',
        reason: M.lMinHoldRiseK({ flowLPerMin: flowLPerMin.toFixed(2), riseK: input.riseK }),
        params: { flowLPerMin, riseK: input.riseK },
        source: 'geometry',
        acceptable: false,
      },
    ],
    working: [
      {
        what: M.flow,
        sum: M.wKgMJKg({
          powerW: input.powerW,
          rho,
          c,
          riseK: input.riseK,
          flowLPerMin: flowLPerMin.toFixed(2),
        }),
      },
    ],
    beams: [],
  };
}
