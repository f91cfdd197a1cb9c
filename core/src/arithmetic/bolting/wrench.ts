import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { tor } from '../../quantities/say.ts';

export type WrenchInput = {
  /** Torque wanted at the bolt. */
  torqueNm: number;
  /** From the drive of the wrench to the middle of the grip. */
  wrenchMm: number;
  /** Length of an extension that reaches sideways, drive to drive; 0 for a straight socket. */
  extensionMm?: number | undefined;
  /** Angle of the extension to the handle: 0 along it, 90 square to it, 180 back over it. */
  extensionDeg?: number | undefined;
  scaleLowNm: number;
  scaleHighNm: number;
};

export type WrenchValues = { settingNm: number; shareOfScale: number };

/** A wrench is used from a fifth of its scale up. Common practice, no source. */
const LEAST_SHARE = 0.2;

/**
 * What to set a torque wrench to: with an extension along the handle T·L/(L + E), at an angle its share along the handle counts,
 * square to it none; and whether that lies in the part of the scale a wrench is good for.
 * Source: moments about the bolt; common practice for 20 to 100 % of scale.
 */
export function wrenchSetting(input: WrenchInput): CalculatorResult<WrenchValues> {
  const e = (input.extensionMm ?? 0) * Math.cos(((input.extensionDeg ?? 0) * Math.PI) / 180);
  if (input.wrenchMm + e <= 0)
    throw new RangeError('The extension reaches back past the grip: no pull on the handle turns this bolt.');
  const settingNm = (input.torqueNm * input.wrenchMm) / (input.wrenchMm + e);
  const shareOfScale = settingNm / input.scaleHighNm;
  const shared = {
    code: 'wrench.range',
    source: 'practice' as const,
    limit: `${tor(Math.max(input.scaleLowNm, LEAST_SHARE * input.scaleHighNm))} to ${tor(input.scaleHighNm)}`,
    acceptable: true,
  };
  const percent = `${(100 * shareOfScale).toFixed(0)} % of its scale`;
  const finding: Finding =
    settingNm > input.scaleHighNm || settingNm < input.scaleLowNm
      ? {
          ...shared,
          verdict: 'reject',
          reason: `This wrench does not reach ${tor(settingNm)}.`,
          params: { settingNm },
          remedy: settingNm > input.scaleHighNm ? 'Take a larger wrench.' : 'Take a smaller wrench.',
        }
      : shareOfScale < LEAST_SHARE
        ? {
            ...shared,
            verdict: 'caution',
            reason: `${tor(settingNm)} is ${percent}: low down it is not to be relied on.`,
            params: { settingNm, percent },
            remedy: 'Take a smaller wrench.',
          }
        : {
            ...shared,
            verdict: 'accept',
            reason: `Set it to ${tor(settingNm)}, ${percent}.`,
            params: { settingNm, percent },
          };
  return {
    values: { settingNm, shareOfScale },
    findings: [finding],
    working: [
      {
        what: 'setting',
        sum: `${tor(input.torqueNm)} × ${input.wrenchMm.toFixed(0)} ÷ (${input.wrenchMm.toFixed(0)} + ${e.toFixed(0)}) = ${tor(settingNm)}`,
      },
    ],
    beams: [],
  };
}
