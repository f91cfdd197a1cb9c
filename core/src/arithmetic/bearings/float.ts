import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { expr } from '../../message/message.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { len, num } from '../../quantities/say.ts';
import { M } from './messages.ts';

export type FloatInput = {
  /** Distance between the bearing centres. */
  spanMm: number;
  /** Shaft warmer than the base by so much in service; negative where colder. */
  shaftOverBaseK: number;
  /** Room of the ring in its seat with the ring in the middle: seat width less ring width, both sides together. */
  roomMm: number;
  marginMm?: number | undefined;
  /** Where the ring stands now, off the middle of its seat, away from the fixed bearing positive. */
  offsetMm?: number | undefined;
  alphaPerK?: number | undefined;
};

export type FloatValues = {
  growthMm: number;
  /** What is wanted on the side the shaft grows towards. */
  neededMm: number;
  /** What there is on that side as the ring stands. */
  sideMm: number;
  /** Where to set the ring: off the middle, away from the fixed bearing positive. */
  setOffsetMm: number;
};

/** Mild steel, per kelvin. Source: Machinery's Handbook (from memory). */
export const ALPHA_STEEL = 11.7e-6;

/**
 * Room a float bearing needs for the growth of its shaft, and where to set the ring in its seat: in the middle where that does,
 * else offset towards the fixed bearing, so that the larger gap lies in the direction of growth.
 * @throws RangeError where the ring stands further off than its seat lets it
 * Source: ΔL = α·L·ΔT of shaft less base; common practice for the offset.
 */
export function bearingFloat(input: FloatInput): CalculatorResult<FloatValues> {
  const alpha = input.alphaPerK ?? ALPHA_STEEL;
  const growthMm = alpha * input.spanMm * input.shaftOverBaseK;
  const margin = input.marginMm ?? 0.5;
  const neededMm = Math.abs(growthMm) + margin;
  const grows = growthMm >= 0 ? 1 : -1;
  const offset = input.offsetMm ?? 0;
  if (Math.abs(offset) > input.roomMm / 2 + 1e-9)
    throw new MessageError(M.ringCannotStandThere({ most: len(input.roomMm / 2, 2) }));
  const sideMm = input.roomMm / 2 - grows * offset;
  const short = Math.max(0, neededMm - input.roomMm / 2);
  const setOffsetMm = short === 0 ? 0 : -grows * short;
  const possible = neededMm <= input.roomMm;
  const away = growthMm >= 0 ? M.awayFromFixedBearing : M.towardsFixedBearing;
  const finding: Finding = {
    code: 'float.room',
    source: 'growth',
    acceptable: true,
    limit: M.sideGrowth({ needed: len(neededMm, 2) }),
    ...(sideMm >= neededMm - 1e-9
      ? {
          verdict: 'accept',
          reason: M.shaftGrowsThere({ growth: len(Math.abs(growthMm), 2), away, side: len(sideMm, 2) }),
          params: { growthMm: Math.abs(growthMm), away, sideMm },
        }
      : {
          verdict: 'reject',
          reason: M.shaftGrowsThereOnlyMargin({
            growth: len(Math.abs(growthMm), 2),
            away,
            side: len(sideMm, 2),
          }),
          params: { growthMm: Math.abs(growthMm), away, sideMm },
          remedy: possible
            ? M.setRingOffMiddleFixed({
                setOffset: len(Math.abs(setOffsetMm), 2),
                growth: growthMm >= 0 ? 'towards' : 'awayFrom',
              })
            : M.seatTooNarrowGrowthHowever,
        }),
  };
  return {
    values: { growthMm, neededMm, sideMm, setOffsetMm },
    findings: [finding],
    working: [
      {
        what: M.growth,
        sum: M.n10KelvinKelvin({
          alpha: (alpha * 1e6).toFixed(1),
          span: num(input.spanMm, 0),
          shaftOverBaseK: input.shaftOverBaseK,
          growth: len(growthMm),
        }),
      },
      { what: M.needed, sum: expr`${num(Math.abs(growthMm))} + ${num(margin)} = ${len(neededMm)}` },
      {
        what: M.roomSide,
        sum: expr`${num(input.roomMm)} ÷ 2 ${offset === 0 ? '' : expr`− ${num(grows * offset)} `}= ${len(sideMm)}`,
      },
    ],
    beams: [],
  };
}
