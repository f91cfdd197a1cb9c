import { RUN_IN_LIMITS } from '../arithmetic/lubrication/run-in.ts';
import type { JobState } from '../engine/state.ts';
import { reportAt } from '../engine/trades.ts';
import { curveOf, type Drawing } from '../judgement/drawing.ts';
import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import { temp } from '../quantities/say.ts';
import { runInLog } from './bearing/run-in-log.ts';
import { M } from './messages.ts';

const minutes = (m: number): Text =>
  Math.abs(m) < 120 ? COMMON.min({ m: Math.round(m) }) : `${Math.round(m / 60)} h`;

/** Temperature over time, with where it would be a stop. */
export const heatDrawing = (
  title: Text,
  points: ReadonlyArray<{ minutes: number; temperatureC: number }>,
): Drawing[] =>
  points.length < 2
    ? []
    : [
        curveOf(
          title,
          points.map((p) => ({ x: p.minutes, y: p.temperatureC })),
          { y: temp, x: minutes },
          [{ y: RUN_IN_LIMITS.stopC, said: M.stop({ stopC: temp(RUN_IN_LIMITS.stopC) }), ink: 'stop' }],
        ),
      ];

/** The first hours, where they were watched. */
export const firstHoursDrawing = (job: JobState): Drawing[] =>
  heatDrawing(COMMON.firstHours, runInLog.valuesOf(reportAt(job, 'runin'))?.points ?? []);

/** Leakage over time. */
export const leakDrawing = (
  title: Text,
  points: ReadonlyArray<{ minutes: number; dropsPerMin: number }>,
): Drawing[] =>
  points.length < 2
    ? []
    : [
        curveOf(
          title,
          points.map((p) => ({ x: p.minutes, y: p.dropsPerMin })),
          { y: (v) => M.dropsMin({ v: Math.round(v) }), x: minutes },
        ),
      ];
