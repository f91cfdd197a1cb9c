import type { Fed, Series, SeriesQuantity } from '../engine/slots.ts';
import { allTrades } from '../engine/trades.ts';
import type { Text } from '../message/message.ts';
import type { Trend } from '../metrology/trend.ts';
import { dayReached } from '../metrology/trend.ts';
import { type PastJob, whenOf } from './past.ts';

/** What feeds a series in the jobs of a kind; nothing where its trade is not here any more. */
const fedBy = (kind: string): Readonly<Record<string, Fed>> =>
  allTrades().find((t) => t.id === kind)?.slots.history ?? {};

/** Every series the trades of some jobs feed, each once, in the order of the trades. */
function seriesOf(jobs: readonly PastJob[]): Series[] {
  const kinds = new Set(jobs.map((j) => j.kind));
  const fed = allTrades().flatMap((t) => (kinds.has(t.id) ? Object.values(t.slots.history ?? {}) : []));
  return [...new Map(fed.map((f) => [f.series.id, f.series])).values()];
}

/** The results of a job that feed a series, by name. */
const namesIn = (job: PastJob, series: Series): Array<[string, Fed]> =>
  Object.entries(fedBy(job.kind)).filter(([, fed]) => fed.series.id === series.id);

export type TracePoint = {
  at: string;
  value: number;
  jobId: string;
  number: string;
  /** `found` where it is what a part was met with, not what it was left with. */
  found: boolean;
};
/** One number of a position over the years, the oldest first. */
export type Trace = {
  label: Text;
  quantity: SeriesQuantity;
  points: TracePoint[];
  /** The limits of the newest job that had any. */
  limits: { lower?: number; upper?: number };
  /** The day it stands at its limit with its band, where a limit is there and the readings tell one. Days from the first. */
  trend: (Trend & { level: number }) | null;
};

const KNOWN_AS_FROM = 4;
const DAY_MS = 86_400_000;

const isNumber = (v: unknown): v is number => typeof v === 'number' && Number.isFinite(v);

/** The numbers of a position over its jobs, one trace a series; a number seen once is a trace of one point. */
export function tracesOf(jobs: readonly PastJob[]): Trace[] {
  const inOrder = [...jobs].sort((a, b) => whenOf(a).localeCompare(whenOf(b)));
  return seriesOf(jobs).flatMap((series): Trace[] => {
    const points = inOrder.flatMap((job) =>
      namesIn(job, series).flatMap(([name, { found = false }]): TracePoint[] => {
        const value = job.results[name];
        return isNumber(value)
          ? [{ at: whenOf(job), value, jobId: job.jobId, number: job.number, found }]
          : [];
      }),
    );
    if (points.length === 0) return [];
    const limits =
      [...inOrder]
        .reverse()
        .flatMap((job) => namesIn(job, series).flatMap(([name]) => job.limits[name] ?? []))[0] ?? {};
    const { label, quantity } = series;
    return [{ label, quantity, points, limits, trend: trendOf(series, points, limits) }];
  });
}

function trendOf(series: Series, points: readonly TracePoint[], limits: Trace['limits']): Trace['trend'] {
  const { sits } = series;
  const level = limits.upper ?? limits.lower;
  const first = points[0];
  if (!sits || level === undefined || !first) return null;
  const began = Date.parse(first.at);
  const told = dayReached({
    points: points.map((p) => ({ day: (Date.parse(p.at) - began) / DAY_MS, value: p.value })),
    level,
    stepsBy: sits.stepsBy,
    sits: { scatterMm: sits.scatterMm, knownAsFrom: KNOWN_AS_FROM },
  });
  return { ...told, level };
}

export type Beside = {
  label: Text;
  quantity: SeriesQuantity;
  before: number | null;
  after: number | null;
  /** After less before, where both are there. */
  changed: number | null;
};

/** Two jobs of a position laid side by side: every number either of them has. */
export function besideEachOther(before: PastJob, after: PastJob): Beside[] {
  return seriesOf([before, after]).flatMap((series): Beside[] => {
    const of = (job: PastJob) =>
      namesIn(job, series)
        .map(([name]) => job.results[name])
        .find(isNumber) ?? null;
    const [was, is] = [of(before), of(after)];
    if (was === null && is === null) return [];
    return [
      {
        label: series.label,
        quantity: series.quantity,
        before: was,
        after: is,
        changed: was === null || is === null ? null : is - was,
      },
    ];
  });
}

export type Lived = {
  partNumber: string | null;
  kind: string;
  from: string;
  to: string | null;
  days: number;
};

/**
 * How long what was fitted lived: from each signed fitting to the next of the same trade; the last one lives still.
 * @param now the day it is asked
 */
export function livesOf(jobs: readonly PastJob[], now: string): Lived[] {
  const fitted = jobs.filter((j) => j.signedAt !== null).sort((a, b) => whenOf(a).localeCompare(whenOf(b)));
  return fitted.map((job, i) => {
    const next = fitted.slice(i + 1).find((j) => j.kind === job.kind);
    const to = next?.signedAt ?? null;
    const from = job.signedAt ?? job.openedAt;
    return {
      partNumber: job.partNumber,
      kind: job.kind,
      from,
      to,
      days: Math.max(0, Math.round((Date.parse(to ?? now) - Date.parse(from)) / DAY_MS)),
    };
  });
}
