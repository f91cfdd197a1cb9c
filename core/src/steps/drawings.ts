import { RUN_IN_LIMITS } from '../arithmetic/lubrication/run-in.ts';
import type { JobState } from '../engine/state.ts';
import { reportAt } from '../engine/trades.ts';
import { curveOf, type Drawing } from '../judgement/drawing.ts';
import { temp } from '../quantities/say.ts';
import { runInLog } from './bearing/run-in-log.ts';

const minutes = (m: number): string =>
  Math.abs(m) < 120 ? `${Math.round(m)} min` : `${Math.round(m / 60)} h`;

/** Temperature over time, with where it would be a stop. */
export const heatDrawing = (
  title: string,
  points: ReadonlyArray<{ minutes: number; temperatureC: number }>,
): Drawing[] =>
  points.length < 2
    ? []
    : [
        curveOf(
          title,
          points.map((p) => ({ x: p.minutes, y: p.temperatureC })),
          { y: temp, x: minutes },
          [{ y: RUN_IN_LIMITS.stopC, said: `stop ${temp(RUN_IN_LIMITS.stopC)}`, ink: 'stop' }],
        ),
      ];

/** The first hours, where they were watched. */
export const firstHoursDrawing = (job: JobState): Drawing[] =>
  heatDrawing('First hours', runInLog.valuesOf(reportAt(job, 'runin'))?.points ?? []);

/** Leakage over time. */
export const leakDrawing = (
  title: string,
  points: ReadonlyArray<{ minutes: number; dropsPerMin: number }>,
): Drawing[] =>
  points.length < 2
    ? []
    : [
        curveOf(
          title,
          points.map((p) => ({ x: p.minutes, y: p.dropsPerMin })),
          { y: (v) => `${Math.round(v)} drops/min`, x: minutes },
        ),
      ];
