import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { expr } from '../../message/message.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { tor } from '../../quantities/say.ts';
import { M } from './messages.ts';

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
  if (input.wrenchMm + e <= 0) throw new MessageError(M.extensionReachesBackPastGrip);
  const settingNm = (input.torqueNm * input.wrenchMm) / (input.wrenchMm + e);
  const shareOfScale = settingNm / input.scaleHighNm;
  const shared = {
    code: 'wrench.range',
    source: 'practice' as const,
    limit: M.to({
      scaleLow: tor(Math.max(input.scaleLowNm, LEAST_SHARE * input.scaleHighNm)),
      scaleHigh: tor(input.scaleHighNm),
    }),
    acceptable: true,
  };
  const percent = M.scale({ shareOfScale: (100 * shareOfScale).toFixed(0) });
  const finding: Finding =
    settingNm > input.scaleHighNm || settingNm < input.scaleLowNm
      ? {
          ...shared,
          verdict: 'reject',
          reason: M.wrenchDoesNotReach({ setting: tor(settingNm) }),
          params: { settingNm },
          remedy: settingNm > input.scaleHighNm ? M.takeLargerWrench : M.takeSmallerWrench,
        }
      : shareOfScale < LEAST_SHARE
        ? {
            ...shared,
            verdict: 'caution',
            reason: M.lowDownNotRelied({ setting: tor(settingNm), percent }),
            params: { settingNm, percent },
            remedy: M.takeSmallerWrench,
          }
        : {
            ...shared,
            verdict: 'accept',
            reason: M.set({ setting: tor(settingNm), percent }),
            params: { settingNm, percent },
          };
  return {
    values: { settingNm, shareOfScale },
    findings: [finding],
    working: [
      {
        what: M.setting,
        sum: expr`${tor(input.torqueNm)} × ${input.wrenchMm.toFixed(0)} ÷ (${input.wrenchMm.toFixed(0)} + ${e.toFixed(0)}) = ${tor(settingNm)}`,
      },
    ],
    beams: [],
  };
}
