import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import type { Text } from '../../message/message.ts';
import { starting } from '../../message/message.ts';
import { M } from './messages.ts';

/** Something with a place on the clock face: a joint that runs right across (two ends), or a single seam, port or bolt. */
export const ANGLE_MARKS = [
  'rotary-split',
  'stationary-split',
  'gland-split',
  'rotary-seam',
  'stationary-seam',
] as const;
export type AngleMark = (typeof ANGLE_MARKS)[number];

export const MARK_NAME: Record<AngleMark, Text> = {
  'rotary-split': M.rotarySplit,
  'stationary-split': M.stationarySplit,
  'gland-split': M.glandSplit,
  'rotary-seam': M.rotaryORingsSeam,
  'stationary-seam': M.stationaryORingsSeam,
};

/** Splits run right across and meet themselves after half a turn; a seam is at one place only. */
const PERIOD: Record<AngleMark, 180 | 360> = {
  'rotary-split': 180,
  'stationary-split': 180,
  'gland-split': 180,
  'rotary-seam': 360,
  'stationary-seam': 360,
};

export type AngleRule = {
  a: AngleMark;
  b: AngleMark;
  /** Square to each other, or only not near each other. */
  want: 'square' | 'apart';
};

export type AngleInput = {
  marks: Partial<Record<AngleMark, number | undefined>>;
  rules: readonly AngleRule[];
};

export type PairAngle = AngleRule & {
  /** The least angle between the two, degrees; null where one is not placed. */
  betweenDeg: number | null;
  /** How far one must be turned to be right; 0 where it is. */
  offDeg: number;
};
export type AngleValues = { pairs: PairAngle[] };

/** Square means 90° within this; apart means no nearer than this. Common practice, no source. */
export const SQUARE_WITHIN_DEG = 10;
export const APART_DEG = 30;

/** The least angle between two marks, minding that a split runs right across. */
export function between(a: AngleMark, aDeg: number, b: AngleMark, bDeg: number): number {
  const period = Math.min(PERIOD[a], PERIOD[b]);
  const d = (((aDeg - bDeg) % period) + period) % period;
  return Math.min(d, period - d);
}

/**
 * Splits, seams and their places round the shaft: which pairs clash, and by how much. Gland split 90° from the rotary (or the
 * stationary) split, rotary and stationary splits not in line, a face's split not on its own O-ring's seam.
 * Source: common practice, no source.
 */
export function sealAngles(input: AngleInput): CalculatorResult<AngleValues> {
  const pairs = input.rules.map((rule): PairAngle => {
    const [a, b] = [input.marks[rule.a], input.marks[rule.b]];
    if (a === undefined || b === undefined) return { ...rule, betweenDeg: null, offDeg: 0 };
    const betweenDeg = between(rule.a, a, rule.b, b);
    const short =
      rule.want === 'square' ? Math.abs(90 - betweenDeg) - SQUARE_WITHIN_DEG : APART_DEG - betweenDeg;
    return {
      ...rule,
      betweenDeg,
      offDeg: short > 1e-9 ? (rule.want === 'square' ? Math.abs(90 - betweenDeg) : short) : 0,
    };
  });
  const findings = pairs.map(judge);
  return {
    values: { pairs },
    findings,
    working: pairs
      .filter((p) => p.betweenDeg !== null)
      .map((p) => ({
        what: M.to({ markName: MARK_NAME[p.a], mark_name2: MARK_NAME[p.b] }),
        sum: M.wanted({
          between: (p.betweenDeg ?? 0).toFixed(0),
          want: p.want === 'square' ? '90°' : M.more({ apartDeg: APART_DEG }),
        }),
      })),
    beams: [],
  };
}

function judge(p: PairAngle): Finding {
  const shared = {
    code: `angles.${p.a}.${p.b}`.slice(0, 40),
    source: 'practice' as const,
    limit: p.want === 'square' ? `90° ± ${SQUARE_WITHIN_DEG}°` : M.apartLeast({ apartDeg: APART_DEG }),
    acceptable: false,
  };
  const names = M.and({ markName: starting(MARK_NAME[p.a]), mark_name2: MARK_NAME[p.b] });
  if (p.betweenDeg === null)
    return { ...shared, verdict: 'incomplete', reason: M.notBothPlacedYet({ names }), params: { names } };
  if (p.offDeg === 0)
    return {
      ...shared,
      verdict: 'accept',
      reason: M.standApart({ names, between: p.betweenDeg.toFixed(0) }),
      params: { names, betweenDeg: p.betweenDeg },
    };
  return {
    ...shared,
    verdict: 'reject',
    reason:
      p.want === 'square'
        ? M.standApartNotSquare({ names, between: p.betweenDeg.toFixed(0) })
        : M.stand({
            names,
            between: p.betweenDeg < 5 ? M.line : M.onlyApart({ between: p.betweenDeg.toFixed(0) }),
          }),
    params: {
      names: p.want === 'square' ? names : null,
      betweenDeg: p.want === 'square' ? p.betweenDeg : null,
      names2: p.want === 'square' ? null : names,
      betweenDeg2: p.want === 'square' ? null : p.betweenDeg < 5 ? null : p.betweenDeg,
    },
    remedy: M.turnOneThemThenLook({ off: p.offDeg.toFixed(0) }),
  };
}
