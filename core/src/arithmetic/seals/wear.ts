import type { CalculatorResult } from '../../judgement/result.ts';
import { studentT95 } from '../../metrology/uncertainty.ts';
import { len, num } from '../../quantities/say.ts';

export type WearInput = {
  /** Projection of the pins, or face from the spacer, by days since it was fitted; the first is the baseline. */
  readings: ReadonlyArray<{ days: number; projectionMm: number }>;
  /** At this projection the seal is due. 0 where flush means so. */
  serviceMm?: number | undefined;
  /** Step of the gauge, mm. */
  resolutionMm?: number | undefined;
};

export type WearValues = {
  wornMm: number;
  /** Robust slope, mm a year; null under two days apart. */
  mmPerYear: number | null;
  /** Days since fitting at which it is due; null where it does not wear. */
  dueDays: number | null;
  leftDays: number | null;
  /** The band of that day at 95 %, days since fitting; null where no day is told. */
  dueFromDays: number | null;
  dueToDays: number | null;
};

const YEAR = 365.25;
/** A day further off than this is no forecast. Our own choice. */
const FAR_YEARS = 50;

/** A day is told from so many readings on, over so much of the way to it. Common practice, no source. */
const LEAST_READINGS = 3;
const LEAST_SHARE = 0.1;

/**
 * When a straight line through the readings reaches a level, at 95 %: inverse prediction (Fieller), scatter no less than the
 * gauge's own. `to` is null where the line may as well be flat.
 * Source: Draper and Smith, Applied Regression Analysis, inverse regression, from memory.
 */
function dueBand(
  readings: WearInput['readings'],
  service: number,
  resolutionMm: number,
  dueDays: number,
): { from: number; to: number | null } | null {
  const n = readings.length;
  const mx = readings.reduce((t, r) => t + r.days, 0) / n;
  const my = readings.reduce((t, r) => t + r.projectionMm, 0) / n;
  const sxx = readings.reduce((t, r) => t + (r.days - mx) ** 2, 0);
  const slope = readings.reduce((t, r) => t + (r.days - mx) * (r.projectionMm - my), 0) / sxx;
  if (n < LEAST_READINGS || !(slope < 0)) return null;
  const rest = readings.reduce((t, r) => t + (r.projectionMm - my - slope * (r.days - mx)) ** 2, 0);
  const s = Math.max(Math.sqrt(rest / (n - 2)), resolutionMm / Math.sqrt(12));
  const t = studentT95(n - 2);
  const g = (t * s) ** 2 / (slope ** 2 * sxx);
  const ahead = (service - my) / slope;
  if (g >= 1) return { from: readings.at(-1)?.days ?? 0, to: null };
  const half = ((t * s) / Math.abs(slope)) * Math.sqrt((1 - g) / n + ahead ** 2 / sxx);
  // One bad reading turns this line and not the robust one: then the band reaches to both.
  return {
    from: Math.min(dueDays, mx + (ahead - half) / (1 - g)),
    to: Math.max(dueDays, mx + (ahead + half) / (1 - g)),
  };
}

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

/**
 * Wear of a face against the baseline measured when it was fitted, by a robust line that one bad reading does not turn; the day
 * it is due.
 * Source: Theil–Sen (Sen 1968).
 * @throws RangeError where there is no baseline
 */
export function sealWear(input: WearInput): CalculatorResult<WearValues> {
  const readings = [...input.readings].sort((a, b) => a.days - b.days);
  const first = readings[0];
  const last = readings.at(-1);
  if (!first || !last) throw new RangeError('Wear is told against a baseline: there is none.');
  const service = input.serviceMm ?? 0;
  const line = theilSen(readings.map((r) => ({ x: r.days, y: r.projectionMm })));
  const wornMm = first.projectionMm - last.projectionMm;
  const mmPerYear = line ? -line.slope * YEAR : null;
  const reached = line && line.slope < 0 ? (service - line.level) / line.slope : null;
  // A line so flat that it arrives after the machine is gone is no wear, but the gauge's last digit.
  const near = reached !== null && reached - last.days > FAR_YEARS * YEAR ? null : reached;
  // Two readings three days apart tell no day: three at the least, over a tenth of the way.
  const early = near !== null && (readings.length < LEAST_READINGS || last.days < LEAST_SHARE * near);
  const dueDays = early ? null : near;
  const band = dueDays === null ? null : dueBand(readings, service, input.resolutionMm ?? 0.02, dueDays);
  const leftDays = dueDays === null ? null : dueDays - last.days;
  const due = last.projectionMm <= service || (leftDays !== null && leftDays <= 0);
  return {
    values: {
      wornMm,
      mmPerYear,
      dueDays,
      leftDays,
      dueFromDays: band?.from ?? null,
      dueToDays: band?.to ?? null,
    },
    findings: [
      line === null
        ? {
            code: 'wear',
            verdict: 'incomplete',
            reason: `Baseline ${len(first.projectionMm, 2)}; a later reading tells the wear.`,
            acceptable: true,
          }
        : due
          ? {
              code: 'wear',
              verdict: 'reject',
              reason: `${len(last.projectionMm, 2)} is left: the service is due.`,
              limit: len(service, 2),
              source: 'maker',
              remedy: 'Order and plan it now.',
              acceptable: true,
            }
          : {
              code: 'wear',
              verdict: 'accept',
              reason: early
                ? `Worn ${len(wornMm, 2)}: too early for a day; it takes ${LEAST_READINGS} readings over a tenth of the way.`
                : dueDays === null
                  ? `Worn ${len(wornMm, 2)}; no trend towards ${len(service, 2)}.`
                  : `Worn ${len(wornMm, 2)}, ${len(mmPerYear ?? 0, 2)} a year: due ${Math.round(leftDays ?? 0)} days from the last reading${band ? `, ${Math.round(band.from - last.days)} to ${band.to === null ? 'no telling' : Math.round(band.to - last.days)} at 95 %` : ''}.`,
              source: 'practice',
              acceptable: true,
            },
    ],
    working: line
      ? [
          {
            what: 'robust line',
            sum: `${num(line.level, 3)} − ${num(-line.slope * YEAR, 3)} a year; reaches ${len(service, 2)} after ${dueDays === null ? 'never' : `${Math.round(dueDays)} days`}`,
          },
        ]
      : [],
    beams: [],
  };
}
