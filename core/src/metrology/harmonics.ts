import { type Hand, readingDeviation } from './hand.ts';
import { leastSquares } from './least-squares.ts';
import { half95, mean } from './uncertainty.ts';

/** One indicator reading at an angle of the turn. */
export type AngleReading = { angleDeg: number; valueMm: number };

export type Harmonic = {
  /** How many waves to a turn. */
  order: number;
  amplitudeMm: number;
  /** Where it stands highest: of 1× the one high spot, of 2× and 3× the first of two or three; [0, 360/order). */
  phaseDeg: number;
  cosMm: number;
  sinMm: number;
  /** Standard deviation of the amplitude, as noise alone would give it. */
  standardMm: number;
  /** Half of what holds 95 in 100, Student's factor in it. */
  uncertaintyMm: number;
};

export type HarmonicFit = {
  /** Different angles read. */
  count: number;
  meanMm: number;
  harmonics: Harmonic[];
  residualsMm: number[];
  /** Standard deviation the uncertainties rest on: of the residuals, pooled with the readings' own; its degrees of freedom. */
  deviationMm: number;
  free: number;
  residualRmsMm: number;
  /** Highest less lowest of the readings. */
  tirReadingsMm: number;
  /** Highest less lowest of the fitted curve. */
  tirFitMm: number;
  at(angleDeg: number): number;
};

const RAD = Math.PI / 180;

/** A ± of an amplitude is wider by so much: steps are not bell-shaped. Our own choice, measured by `npm run proof -- uncertainty`. */
const WIDER = 1.1;

/** An angle brought into [0, period). */
export const wrapDeg = (deg: number, period = 360): number => {
  const w = deg % period;
  return w < 0 ? w + period : w === 0 ? 0 : w;
};

/** How many harmonics a number of different angles carries: 4–5 → 1×; 6–7 → 2× as well; 8 and more → 3×. */
export function highestOrder(angles: number): number {
  return angles >= 8 ? 3 : angles >= 6 ? 2 : angles >= 4 ? 1 : 0;
}

/** Columns less apart than this (|R| smallest over largest) are not fitted: the angles do not carry them. */
const LEAST_SPREAD = 0.08;

/** Readings at one angle brought together to their mean, sorted by angle. */
export function byAngle(readings: readonly AngleReading[]): Array<AngleReading & { times: number }> {
  const groups = new Map<number, number[]>();
  for (const r of readings) {
    const key = Math.round(wrapDeg(r.angleDeg) * 1000) / 1000;
    groups.set(key, [...(groups.get(key) ?? []), r.valueMm]);
  }
  return [...groups]
    .map(([angleDeg, v]) => ({ angleDeg, valueMm: mean(v), times: v.length }))
    .sort((a, b) => a.angleDeg - b.angleDeg);
}

/**
 * Fit r(θ) = c + Σ aₖcos kθ + bₖsin kθ to readings round one turn by least squares, evenly spaced or not. How many
 * harmonics are fitted depends on the number of different angles, and on whether they lie so that the waves can be told
 * apart. What one reading scatters by is known of the hand and of the scatter about the fit (`readingDeviation`). Where the turn was
 * closed, the drift of the gauge over it is fitted beside the waves: the readings are then in the order they were taken. Null under four different angles, or where they
 * lie too close together to carry even 1×.
 * Source: GUM annex H.3 for the uncertainties; common practice for the orders.
 *
 * @example fitHarmonics([0, 90, 180, 270].map((a) => ({ angleDeg: a, valueMm: a === 0 ? 0.02 : 0 })), 0.001)
 */
export function fitHarmonics(
  readings: readonly AngleReading[],
  stepMm: number,
  hand?: Hand,
  closingMm?: number,
): HarmonicFit | null {
  const angles = byAngle(readings).length;
  const first = readings[0]?.angleDeg ?? 0;
  // A step less is no drift; and only of a turn read in order is it known how far it had gone when.
  const went = shareOfTurn(readings);
  const inOrder = went.every((share, i) => share >= (went[i - 1] ?? 0));
  const closed =
    closingMm !== undefined && inOrder && Math.abs(closingMm - (readings[0]?.valueMm ?? 0)) > stepMm / 2;
  const taken = closed ? [...readings, { angleDeg: first, valueMm: closingMm }] : readings;
  if (closed) went.push(1);
  const y = taken.map((r) => r.valueMm);
  for (let top = highestOrder(angles); top >= 1; top--) {
    const rows = taken.map((r, i) => [...basis(r.angleDeg, top), ...(closed ? [went[i] ?? 0] : [])]);
    const solved = leastSquares(rows, y);
    if (!solved || solved.spread < LEAST_SPREAD) continue;
    const at = (deg: number) => curveAt(solved.x, top, deg);
    const drift = closed ? (solved.x[2 * top + 1] ?? 0) : 0;
    const residualsMm = taken.map((r, i) => r.valueMm - at(r.angleDeg) - drift * (went[i] ?? 0));
    const squares = residualsMm.reduce((s, e) => s + e * e, 0);
    const left = taken.length - (2 * top + 1) - (closed ? 1 : 0);
    const { deviation: deviationMm, free } = readingDeviation(stepMm, hand, squares, left);
    const harmonics = Array.from({ length: top }, (_, k) => harmonic(k + 1, solved, deviationMm, free));
    const grouped = byAngle(readings).map((r) => r.valueMm);
    return {
      count: angles,
      meanMm: solved.x[0] ?? 0,
      harmonics,
      residualsMm,
      deviationMm,
      free,
      residualRmsMm: Math.sqrt(squares / taken.length),
      tirReadingsMm: Math.max(...grouped) - Math.min(...grouped),
      tirFitMm: curveRange(at),
      at,
    };
  }
  return null;
}

/** How much of the turn had been made at each reading: once round from the first; what was read again, after the turn was closed. */
function shareOfTurn(taken: readonly AngleReading[]): number[] {
  const first = taken[0]?.angleDeg ?? 0;
  const met = new Set<number>();
  return taken.map((r) => {
    const share = met.has(r.angleDeg) ? 1 : wrapDeg(r.angleDeg - first) / 360;
    met.add(r.angleDeg);
    return share;
  });
}

/** The fitted curve at an angle: asked for hundreds of times a fit, so without a list a time. */
function curveAt(x: readonly number[], top: number, deg: number): number {
  let r = x[0] ?? 0;
  for (let k = 1; k <= top; k++) {
    const angle = k * deg * RAD;
    r += (x[2 * k - 1] ?? 0) * Math.cos(angle) + (x[2 * k] ?? 0) * Math.sin(angle);
  }
  return r;
}

function basis(angleDeg: number, top: number): number[] {
  const row = [1];
  for (let k = 1; k <= top; k++) row.push(Math.cos(k * angleDeg * RAD), Math.sin(k * angleDeg * RAD));
  return row;
}

function harmonic(
  order: number,
  { x, inverse }: { x: number[]; inverse: number[][] },
  deviation: number,
  free: number,
): Harmonic {
  const i = 2 * order - 1;
  const a = x[i] ?? 0;
  const b = x[i + 1] ?? 0;
  const amplitudeMm = Math.hypot(a, b);
  const [va, vb, cab] = [inverse[i]?.[i] ?? 0, inverse[i + 1]?.[i + 1] ?? 0, inverse[i]?.[i + 1] ?? 0];
  // The gradient of √(a² + b²); where there is no amplitude to have a direction, the mean of both variances.
  const [ca, cb] = amplitudeMm > 1e-9 ? [a / amplitudeMm, b / amplitudeMm] : [Math.SQRT1_2, Math.SQRT1_2];
  const variance = ca * ca * va + cb * cb * vb + (amplitudeMm > 1e-9 ? 2 * ca * cb * cab : 0);
  const standardMm = deviation * Math.sqrt(Math.max(0, variance));
  return {
    order,
    amplitudeMm,
    phaseDeg: wrapDeg(Math.atan2(b, a) / RAD, 360) / order,
    cosMm: a,
    sinMm: b,
    standardMm,
    uncertaintyMm: WIDER * half95(standardMm, free),
  };
}

/** Highest less lowest of a smooth curve over a turn, found on every other degree and then between them by a parabola. */
function curveRange(at: (deg: number) => number): number {
  const count = 180;
  const values = Array.from({ length: count }, (_, i) => at((360 * i) / count));
  const peak = (sign: 1 | -1): number => {
    let best = 0;
    values.forEach((v, i) => {
      if (sign * v > sign * (values[best] ?? 0)) best = i;
    });
    const [l, m, r] = [
      values[(best + count - 1) % count] ?? 0,
      values[best] ?? 0,
      values[(best + 1) % count] ?? 0,
    ];
    const bend = l - 2 * m + r;
    return bend === 0 ? m : m - (r - l) ** 2 / (8 * bend);
  };
  return peak(1) - peak(-1);
}

/** A true part is named otherwise in no more than so many cases. */
const FALSELY = 0.03;

/**
 * How many times its own standard deviation an amplitude must be before it is called a wave. That of noise alone follows Rayleigh's
 * law, and with the deviation estimated from so many degrees of freedom A²/2u² follows F(2, free); the largest of several is looked at.
 * Source: Rayleigh's and Fisher's distributions, any statistics text: P(F(2, ν) > x) = (1 + 2x/ν)^(−ν/2).
 * @param waves how many were tried
 * @example significance(3, Number.POSITIVE_INFINITY) // 2.93
 */
export function significance(waves: number, free: number): number {
  const each = 1 - (1 - FALSELY) ** (1 / Math.max(1, waves));
  return Number.isFinite(free) ? Math.sqrt(free * (each ** (-2 / free) - 1)) : Math.sqrt(-2 * Math.log(each));
}
