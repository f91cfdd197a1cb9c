import type { Trend } from '../metrology/trend.ts';
import { dayReached } from '../metrology/trend.ts';
import { type PastJob, whenOf } from './past.ts';

export type TraceQuantity =
  | 'length'
  | 'torque'
  | 'temperature'
  | 'pressure'
  | 'drops'
  | 'degrees'
  | 'velocity';

/** Numbers asked for a year later: what each is called, and what it counts in. A result that is not here is no trace. */
const NAMED: Readonly<Record<string, readonly [label: string, quantity: TraceQuantity]>> = {
  benchMm: ['Bench clearance', 'length'],
  residualMm: ['Residual clearance', 'length'],
  foundMm: ['Residual clearance', 'length'],
  reductionMm: ['Reduction', 'length'],
  travelMm: ['Drive-up', 'length'],
  largestMm: ['Shaft, largest', 'length'],
  smallestMm: ['Shaft, smallest', 'length'],
  runoutMm: ['Run-out, largest TIR', 'length'],
  endPlayMm: ['End play', 'length'],
  radialPlayMm: ['Radial play', 'length'],
  faceMm: ['Box face, TIR', 'length'],
  boreMm: ['Box bore, TIR', 'length'],
  glandSpreadMm: ['Spread of the gaps', 'length'],
  compressionMm: ['Compression', 'length'],
  baselineMm: ['Stands proud', 'length'],
  wearMm: ['Stands proud', 'length'],
  dropsPerMin: ['Leakage', 'drops'],
  torqueNm: ['Bolts drawn to', 'torque'],
  hottestC: ['Hottest', 'temperature'],
  letGoMpa: ['Let go at', 'pressure'],
  clearanceMinMm: ['End clearance, least', 'length'],
  clearanceMaxMm: ['End clearance, most', 'length'],
  stackMm: ['Gasket stack', 'length'],
  vibrationMmPerS: ['Vibration', 'velocity'],
};

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
  label: string;
  quantity: TraceQuantity;
  points: TracePoint[];
  /** The limits of the newest job that had any. */
  limits: { lower?: number; upper?: number };
  /** The day it stands at its limit with its band, where a limit is there and the readings tell one. Days from the first. */
  trend: (Trend & { level: number }) | null;
};

/** Results that say what was found, not what was left. */
const FOUND = new Set(['foundMm', 'wearMm', 'letGoMpa']);

/** How traces sit and step that have a known scatter; others tell no day. */
const SITS: Readonly<Record<string, { stepsBy: number; scatterMm: number }>> = {
  'Run-out, largest TIR': { stepsBy: 0.01, scatterMm: 0.003 },
  'Stands proud': { stepsBy: 0.02, scatterMm: 0.026 },
};
const KNOWN_AS_FROM = 4;
const DAY_MS = 86_400_000;

/** The numbers of a position over its jobs, one trace a label, in the order of the table above; a number seen once is a trace of one point. */
export function tracesOf(jobs: readonly PastJob[]): Trace[] {
  const inOrder = [...jobs].sort((a, b) => whenOf(a).localeCompare(whenOf(b)));
  const labels = [...new Set(Object.values(NAMED).map(([label]) => label))];
  return labels.flatMap((label): Trace[] => {
    const names = Object.keys(NAMED).filter((n) => NAMED[n]?.[0] === label);
    const points = inOrder.flatMap((job) =>
      names.flatMap((name): TracePoint[] => {
        const value = job.results[name];
        return typeof value === 'number' && Number.isFinite(value)
          ? [{ at: whenOf(job), value, jobId: job.jobId, number: job.number, found: FOUND.has(name) }]
          : [];
      }),
    );
    if (points.length === 0) return [];
    const limits =
      [...inOrder].reverse().flatMap((job) => names.flatMap((n) => job.limits[n] ?? []))[0] ?? {};
    const quantity = NAMED[names[0] ?? '']?.[1] ?? 'length';
    return [{ label, quantity, points, limits, trend: trendOf(label, points, limits) }];
  });
}

function trendOf(label: string, points: readonly TracePoint[], limits: Trace['limits']): Trace['trend'] {
  const sits = SITS[label];
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
  label: string;
  quantity: TraceQuantity;
  before: number | null;
  after: number | null;
  /** After less before, where both are there. */
  changed: number | null;
};

/** Two jobs of a position laid side by side: every number either of them has. */
export function besideEachOther(before: PastJob, after: PastJob): Beside[] {
  const number = (job: PastJob, name: string): number | null => {
    const v = job.results[name];
    return typeof v === 'number' && Number.isFinite(v) ? v : null;
  };
  const labels = [...new Set(Object.values(NAMED).map(([label]) => label))];
  return labels.flatMap((label): Beside[] => {
    const names = Object.keys(NAMED).filter((n) => NAMED[n]?.[0] === label);
    const of = (job: PastJob) => names.map((n) => number(job, n)).find((v) => v !== null) ?? null;
    const [was, is] = [of(before), of(after)];
    if (was === null && is === null) return [];
    return [
      {
        label,
        quantity: NAMED[names[0] ?? '']?.[1] ?? 'length',
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
