import type { CalculatorResult, Finding, WorkingLine } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { expr } from '../../message/message.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { force, len, num, pres, area as sayArea, tor } from '../../quantities/say.ts';
import type { SourceId } from '../../sources/register.ts';
import { type BoltGrade, strengthOf } from './grades.ts';
import { M } from './messages.ts';
import { type BoltSize, boltSize, coreDiameterMm, pitchDiameterMm, stressAreaMm2 } from './threads.ts';

export const FRICTIONS = ['dry', 'oiled', 'anti-seize'] as const;
export type Friction = (typeof FRICTIONS)[number];

/** Nut factor K of the short form and the friction µ of the long form that says the same thing. Common practice. */
export const FRICTION: Record<Friction, { k: number; mu: number; said: Text }> = {
  dry: { k: 0.2, mu: 0.14, said: COMMON.dry },
  oiled: { k: 0.18, mu: 0.12, said: COMMON.lightlyOiled },
  'anti-seize': { k: 0.15, mu: 0.1, said: COMMON.antiSeize },
};

export type TorqueInput = {
  size: string;
  grade: BoltGrade;
  friction: Friction;
  makerTorqueNm?: number | undefined;
  plantTorqueNm?: number | undefined;
  mu?: number | undefined;
};

export type TorqueValues = {
  /** The torque to use, and whose it is. */
  torqueNm: number;
  source: SourceId;
  shortNm: number;
  shortPreloadN: number;
  longNm: number;
  longPreloadN: number;
  stressAreaMm2: number;
  differencePercent: number;
};

/**
 * Long form by VDI 2230-1: torque M = F·(0.16P + 0.58·d₂·µ + ½·DKm·µ) at the preload that brings the shank to 90 % of
 * yield in equivalent stress, torsion included. `rpMpa` is the yield.
 */
export function longFormTorque(
  b: BoltSize,
  rpMpa: number,
  mu: number,
): { torqueNm: number; preloadN: number } {
  const d2 = pitchDiameterMm(b);
  const d0 = (d2 + coreDiameterMm(b)) / 2;
  const torsion = 1.5 * (d2 / d0) * (b.pitchMm / (Math.PI * d2) + 1.155 * mu);
  const preloadN = (stressAreaMm2(b) * 0.9 * rpMpa) / Math.sqrt(1 + 3 * torsion ** 2);
  const dkm = (b.faceMm + b.holeMm) / 2;
  return { preloadN, torqueNm: (preloadN * (0.16 * b.pitchMm + 0.58 * d2 * mu + 0.5 * dkm * mu)) / 1000 };
}

/** The bolt and its torque, as the beginning of a sentence. */
export const boltSaid = (input: Pick<TorqueInput, 'size' | 'grade' | 'friction'>, torqueNm: number): Text =>
  expr`${input.size} ${input.grade}, ${FRICTION[input.friction].said}: ${tor(torqueNm)}`;

/** So many times off what is usual, a torque is in another unit: lbf·in for lbf·ft is 12, kgf·m for N·m 10. Our own choice. */
const UNIT_SLIP = 8;

/**
 * Which unit a torque was probably meant in, as a question, where it is about ten times off the usual one; null where it is not.
 * @example looksLikeUnit(75, 6) // 55 lbf·ft where 55 lbf·in is usual
 */
export function looksLikeUnit(nm: number, usualNm: number): Text | null {
  if (!Number.isFinite(usualNm) || usualNm <= 0) return null;
  if (nm >= UNIT_SLIP * usualNm) return M.meantInPounds;
  return nm <= usualNm / UNIT_SLIP ? M.meantInFeet : null;
}

/**
 * Tightening torque of a cap bolt. Order of sources: maker's sheet, plant rule, computed. Computed is the short form
 * T = K·d·F at 75 % of proof (a joint to be taken apart again); the long form at 90 % of yield stands beside it.
 * @throws RangeError for a size not tabled
 * @example boltTorque({ size: 'M10', grade: '8.8', friction: 'oiled' }).values.longPreloadN // about 29 600
 */
export function boltTorque(input: TorqueInput): CalculatorResult<TorqueValues> {
  const b = boltSize(input.size);
  if (!b) throw new MessageError(M.notBoltSizeTabledHere({ size: input.size }));
  const s = strengthOf(input.grade, b.diameterMm);
  const { k, mu, said } = FRICTION[input.friction];
  const area = stressAreaMm2(b);
  const shortPreloadN = 0.75 * s.proofMpa * area;
  const shortNm = (k * b.diameterMm * shortPreloadN) / 1000;
  const long = longFormTorque(b, s.yieldMpa, input.mu ?? mu);
  const given = input.makerTorqueNm ?? input.plantTorqueNm;
  const torqueNm = given ?? shortNm;
  const source: SourceId =
    input.makerTorqueNm !== undefined
      ? 'maker'
      : input.plantTorqueNm !== undefined
        ? 'plant'
        : 'short-torque';
  const working: WorkingLine[] = [
    {
      what: COMMON.area,
      sum: M.as4({
        diameter: num(b.diameterMm, 2),
        inch: b.inch ? 'n09743' : 'n09382',
        pitch: num(b.pitchMm, 2),
        area: sayArea(area),
      }),
    },
    {
      what: M.preload,
      sum: expr`75 % × ${pres(s.proofMpa)} × ${sayArea(area)} = ${force(shortPreloadN)}`,
    },
    {
      what: M.shortForm,
      sum: expr`K ${k.toFixed(2)} (${said}) × ${len(b.diameterMm, 2)} × ${force(shortPreloadN)} = ${tor(shortNm)}`,
    },
    {
      what: M.longForm,
      sum: M.n90Yield({
        mu: (input.mu ?? mu).toFixed(2),
        preloadN: force(long.preloadN),
        torque: tor(long.torqueNm),
      }),
    },
  ];
  const slip = given === undefined ? null : looksLikeUnit(given, shortNm);
  const odd = given !== undefined && (given > 1.05 * long.torqueNm || given < 0.4 * shortNm);
  const findings: Finding[] = [];
  // One verdict: what looks wrong is not called right beside it.
  if (!odd)
    findings.push({
      code: 'bolting.torque',
      verdict: 'accept',
      reason: expr`${boltSaid(input, torqueNm)}${given === undefined ? M.computed : source === 'maker' ? M.makerSSheet : M.plantRule}.`,
      params: {
        size: input.size,
        grade: input.grade,
        said,
        torqueNm,
        source: given === undefined ? null : Boolean(source === 'maker'),
      },
      source,
      acceptable: false,
    });
  if (odd && given !== undefined) {
    findings.push({
      code: slip ? 'bolting.torque-unit' : 'bolting.torque-odd',
      verdict: slip ? 'reject' : 'caution',
      reason:
        given > long.torqueNm
          ? M.moreThanTakes90Yield({
              given: tor(given),
              size: input.size,
              grade: input.grade,
              torque: tor(long.torqueNm),
            })
          : M.wellUnderUsual({
              given: tor(given),
              short: tor(shortNm),
              size: input.size,
              grade: input.grade,
            }),
      params: {
        given: given > long.torqueNm ? given : null,
        size: given > long.torqueNm ? input.size : null,
        grade: given > long.torqueNm ? input.grade : null,
        torqueNm: given > long.torqueNm ? long.torqueNm : null,
        given2: given > long.torqueNm ? null : given,
        shortNm: given > long.torqueNm ? null : shortNm,
        size2: given > long.torqueNm ? null : input.size,
        grade2: given > long.torqueNm ? null : input.grade,
      },
      source: 'vdi-2230',
      remedy: slip ?? M.readMakerSSheetAgain,
      acceptable: slip !== null,
    });
  }
  return {
    values: {
      torqueNm,
      source,
      shortNm,
      shortPreloadN,
      longNm: long.torqueNm,
      longPreloadN: long.preloadN,
      stressAreaMm2: area,
      differencePercent: (100 * (shortNm - long.torqueNm)) / long.torqueNm,
    },
    findings,
    working,
    beams: [],
  };
}
