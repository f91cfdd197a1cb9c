import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import { type Hand, readingDeviation } from './hand.ts';
import { leastSquares } from './least-squares.ts';
import { M } from './messages.ts';
import { studentT95 } from './uncertainty.ts';

export const YEAR_DAYS = 365.25;
/** A day further off than this is no forecast. Our own choice. */
const FAR_YEARS = 50;
/** A day is told from so many readings on, over so much of the way to it. Common practice, no source. */
const LEAST_READINGS = 3;
const LEAST_SHARE = 0.1;
/** Nothing wears on evenly: from one stretch of time to the next its rate differs by so much, standard deviation. Our own choice. */
const RATE_CHANGES = 0.15;
/** A bend of the line is looked for from so many readings on. */
const BEND_READINGS = 4;
export const TOO_EARLY = M.tooEarlyDayTakesReadings({ leastReadings: LEAST_READINGS });

export type TrendPoint = { day: number; value: number };

export type TrendAsked = {
  /** Days since the beginning and what was read, in any order; the first day is the baseline. */
  points: readonly TrendPoint[];
  /** What is waited for. */
  level: number;
  /** Step of the gauge, in the value's unit. */
  stepsBy: number;
  /** What a thing reads differently by, each time it is set up, and from how many readings that is known. */
  sits: { scatterMm: number; knownAsFrom: number };
  /** What is known of the hands that read it; a value of theirs may be the mean of several readings. */
  hand?: Hand | undefined;
};

export type Trend = {
  /** Robust line through all; null under two days apart. */
  line: { slope: number; level: number } | null;
  /** True where a day could be reckoned but is not told yet. */
  early: boolean;
  /** The day the level is reached, and how far it is from the last reading; null where none is told. */
  day: number | null;
  left: number | null;
  /** Its band at 95 %. `to` is null, too, where the line may as well be flat. */
  from: number | null;
  to: number | null;
  lastDay: number;
  /** The readings bend beyond what their scatter explains: it does not go on evenly, and the band reaches to where the bend leads. */
  bends: boolean;
};

/**
 * The day a straight line through the readings reaches a level, with its band at 95 %: a robust line for the day, inverse
 * prediction (Fieller) for the band, the scatter pooled with what is known of gauge and setting up beforehand.
 * Source: Sen 1968; Draper and Smith, Applied Regression Analysis, inverse regression, from memory.
 * @example dayReached({ points: [{ day: 0, value: 2 }, …], level: 0, stepsBy: 0.02, sits }).from
 */
export function dayReached({ points, level, stepsBy, sits, hand }: TrendAsked): Trend {
  const sorted = [...points].sort((a, b) => a.day - b.day);
  const lastDay = sorted.at(-1)?.day ?? 0;
  const begin = sorted[0];
  const line = theilSen(sorted.map((p) => ({ x: p.day, y: p.value })));
  const towards =
    line && begin && line.slope !== 0 && Math.sign(line.slope) === Math.sign(level - begin.value);
  const reached = towards ? (level - line.level) / line.slope : null;
  // A line so flat that it arrives after the machine is gone is no trend, but the gauge’s last digit.
  const near = reached !== null && reached - lastDay > FAR_YEARS * YEAR_DAYS ? null : reached;
  const early = near !== null && (sorted.length < LEAST_READINGS || lastDay < LEAST_SHARE * near);
  const day = early ? null : near;
  const alone = Math.hypot(sits.scatterMm, readingDeviation(stepsBy, hand).deviation);
  const scatter = { deviation: alone, knownAsFrom: sits.knownAsFrom };
  const bend = day === null ? null : bendOf(sorted, level, scatter);
  const band = day === null ? null : bandOf(sorted, level, scatter, day, bend);
  return {
    line,
    early,
    day,
    left: day === null ? null : day - lastDay,
    from: band?.from ?? null,
    to: band?.to ?? null,
    lastDay,
    bends: bend !== null,
  };
}

/** The day of a trend in words, from the last reading. */
export function sayDay({ left, from, to, lastDay, bends }: Trend): Text {
  const band =
    from === null
      ? ''
      : M.n95({
          from: Math.round(from - lastDay),
          to: to === null ? COMMON.noTelling : Math.round(to - lastDay),
        });
  return M.daysFromLastReading({ left: Math.round(left ?? 0), band, bends: bends ? 'bends' : 'even' });
}

type Alone = { deviation: number; knownAsFrom: number };

/** Standard deviation about a fit with so many degrees of freedom left, pooled with what is known beforehand. */
function pooled(
  { deviation, knownAsFrom }: Alone,
  squares: number,
  left: number,
): { deviation: number; free: number } {
  const free = knownAsFrom + Math.max(0, left);
  return { deviation: Math.sqrt((knownAsFrom * deviation ** 2 + squares) / free), free };
}

/**
 * Where a bend leads: the day a parabola through the readings reaches the level, Infinity where it turns before; null where they do
 * not bend beyond what their scatter explains (t test of the square term at 95 %).
 */
function bendOf(points: readonly TrendPoint[], level: number, alone: Alone): number | null {
  if (points.length < BEND_READINGS) return null;
  const [begin, last] = [points[0]?.day ?? 0, points.at(-1)?.day ?? 0];
  const span = last - begin || 1;
  const fit = leastSquares(
    points.map((p) => [1, (p.day - begin) / span, ((p.day - begin) / span) ** 2]),
    points.map((p) => p.value),
  );
  if (!fit) return null;
  const [a = 0, b = 0, c = 0] = fit.x;
  const squares = points.reduce((t, p) => {
    const x = (p.day - begin) / span;
    return t + (p.value - a - b * x - c * x * x) ** 2;
  }, 0);
  const { deviation, free } = pooled(alone, squares, points.length - 3);
  if (Math.abs(c) <= studentT95(free) * deviation * Math.sqrt(fit.inverse[2]?.[2] ?? 0)) return null;
  const root = b * b - 4 * c * (a - level);
  if (root < 0) return Number.POSITIVE_INFINITY;
  const ahead = [(-b + Math.sqrt(root)) / (2 * c), (-b - Math.sqrt(root)) / (2 * c)].filter((x) => x >= 1);
  return ahead.length === 0 ? Number.POSITIVE_INFINITY : begin + span * Math.min(...ahead);
}

function bandOf(
  points: readonly TrendPoint[],
  level: number,
  alone: Alone,
  day: number,
  bend: number | null,
): { from: number; to: number | null } | null {
  const n = points.length;
  const mx = points.reduce((t, p) => t + p.day, 0) / n;
  const my = points.reduce((t, p) => t + p.value, 0) / n;
  const sxx = points.reduce((t, p) => t + (p.day - mx) ** 2, 0);
  const slope = points.reduce((t, p) => t + (p.day - mx) * (p.value - my), 0) / sxx;
  // A line by least squares that runs the other way than the robust one tells no band.
  if (n < LEAST_READINGS || !((level - (points[0]?.value ?? 0)) * slope > 0)) return null;
  const rest = points.reduce((t, p) => t + (p.value - my - slope * (p.day - mx)) ** 2, 0);
  const { deviation: s, free } = pooled(alone, rest, n - 2);
  const t = studentT95(free);
  const g = (t * s) ** 2 / (slope ** 2 * sxx);
  const ahead = (level - my) / slope;
  if (g >= 1) return { from: points.at(-1)?.day ?? 0, to: null };
  const half = ((t * s) / Math.abs(slope)) * Math.sqrt((1 - g) / n + ahead ** 2 / sxx);
  // One bad reading turns this line and not the robust one: then the band reaches to both, and to where a bend leads.
  const days = [day, ...(bend === null ? [] : [bend])];
  const to = Math.max(...days, mx + (ahead + half) / (1 - g));
  return {
    from: Math.max(lastOf(points), sooner(points, Math.min(...days, mx + (ahead - half) / (1 - g)), day)),
    to: Number.isFinite(to) ? later(points, to, day) : null,
  };
}

const lastOf = (points: readonly TrendPoint[]): number => points.at(-1)?.day ?? 0;
/** How far the day may move because the rate changes on the way that is left: in quadrature with the band of the line. */
const moves = (points: readonly TrendPoint[], day: number): number =>
  2 * RATE_CHANGES * Math.max(0, day - lastOf(points));
const sooner = (points: readonly TrendPoint[], from: number, day: number): number =>
  day - Math.hypot(day - from, moves(points, day));
const later = (points: readonly TrendPoint[], to: number, day: number): number =>
  day + Math.hypot(to - day, moves(points, day));

/** Slope and level of a robust line: the median of all pair slopes, then of what is left. Source: Sen 1968. */
export function theilSen(
  points: ReadonlyArray<{ x: number; y: number }>,
): { slope: number; level: number } | null {
  const slopes = points.flatMap((a, i) =>
    points.slice(i + 1).flatMap((b) => (b.x === a.x ? [] : [(b.y - a.y) / (b.x - a.x)])),
  );
  if (slopes.length === 0) return null;
  const slope = median(slopes);
  return { slope, level: median(points.map((p) => p.y - slope * p.x)) };
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const mid = Math.floor(sorted.length / 2);
  return sorted.length % 2 ? (sorted[mid] ?? 0) : ((sorted[mid - 1] ?? 0) + (sorted[mid] ?? 0)) / 2;
}
