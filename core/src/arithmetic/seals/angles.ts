import type { CalculatorResult, Finding } from '../../judgement/result.ts';

/** Something with a place on the clock face: a joint that runs right across (two ends), or a single seam, port or bolt. */
export const ANGLE_MARKS = [
  'rotary-split',
  'stationary-split',
  'gland-split',
  'rotary-seam',
  'stationary-seam',
] as const;
export type AngleMark = (typeof ANGLE_MARKS)[number];

export const MARK_NAME: Record<AngleMark, string> = {
  'rotary-split': 'rotary split',
  'stationary-split': 'stationary split',
  'gland-split': 'gland split',
  'rotary-seam': 'rotary O-ring’s seam',
  'stationary-seam': 'stationary O-ring’s seam',
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
        what: `${MARK_NAME[p.a]} to ${MARK_NAME[p.b]}`,
        sum: `${(p.betweenDeg ?? 0).toFixed(0)}°, wanted ${p.want === 'square' ? '90°' : `${APART_DEG}° or more`}`,
      })),
    beams: [],
  };
}

function judge(p: PairAngle): Finding {
  const shared = {
    code: `angles.${p.a}.${p.b}`.slice(0, 40),
    source: 'practice' as const,
    limit: p.want === 'square' ? `90° ± ${SQUARE_WITHIN_DEG}°` : `${APART_DEG}° apart at least`,
    acceptable: false,
  };
  const names = `${cap(MARK_NAME[p.a])} and ${MARK_NAME[p.b]}`;
  if (p.betweenDeg === null)
    return { ...shared, verdict: 'incomplete', reason: `${names}: not both placed yet.`, params: { names } };
  if (p.offDeg === 0)
    return {
      ...shared,
      verdict: 'accept',
      reason: `${names} stand ${p.betweenDeg.toFixed(0)}° apart.`,
      params: { names, betweenDeg: p.betweenDeg },
    };
  return {
    ...shared,
    verdict: 'reject',
    reason:
      p.want === 'square'
        ? `${names} stand ${p.betweenDeg.toFixed(0)}° apart, not square.`
        : `${names} stand ${p.betweenDeg < 5 ? 'in line' : `only ${p.betweenDeg.toFixed(0)}° apart`}.`,
    params: {
      names: p.want === 'square' ? names : null,
      betweenDeg: p.want === 'square' ? p.betweenDeg : null,
      names2: p.want === 'square' ? null : names,
      betweenDeg2: p.want === 'square' ? null : p.betweenDeg < 5 ? null : p.betweenDeg,
    },
    remedy: `Turn one of them ${p.offDeg.toFixed(0)}° on, then look again.`,
  };
}

const cap = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);
