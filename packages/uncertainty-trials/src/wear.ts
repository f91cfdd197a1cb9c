import { packingTravel, runoutGrowth, sealWear } from '@fulcrant/core/calculators';
import { Chance } from './chance.ts';
import { type Gauge, SCATTERS, shown } from './gauge.ts';
import { NINETY_FIVE, type Row, tried } from './row.ts';

type Band = { dueFromDays: number | null; dueToDays: number | null };
type Reading = { days: number; mm: number };

/** One thing that goes towards its end in a straight line, seen now and then. */
type Going = {
  statement: string;
  seed: number;
  stepMm: number;
  /** How far it reads from where it read before, mm, each time it is set up. */
  sits: readonly number[];
  /** Where it begins and where its end is. */
  course: (chance: Chance) => { from: number; to: number };
  told: (readings: Reading[], to: number) => Band;
};

const GOING: readonly Going[] = [
  {
    statement: 'the day a seal is due lies in its band',
    seed: 600,
    stepMm: 0.02,
    sits: [0.015, 0.025, 0.04],
    course: (c) => ({ from: c.between(1, 3), to: 0 }),
    told: (readings) =>
      sealWear({
        readings: readings.map((r) => ({ days: r.days, projectionMm: r.mm })),
        resolutionMm: 0.02,
      }).values,
  },
  {
    statement: 'the day a follower is at its end lies in its band',
    seed: 620,
    stepMm: 0.5,
    sits: [0.2, 0.35, 0.5],
    course: (c) => ({ from: c.between(14, 30), to: c.between(0, 4) }),
    told: (readings, stopMm) =>
      packingTravel({
        readings: readings.map((r) => ({ days: r.days, leftMm: r.mm })),
        stopMm,
        resolutionMm: 0.5,
      }).values,
  },
  {
    statement: 'the day a run-out is at its limit lies in its band',
    seed: 640,
    stepMm: 0.01,
    sits: [0.002, 0.004, 0.006],
    course: (c) => ({ from: c.between(0.01, 0.02), to: c.between(0.05, 0.1) }),
    told: (readings, limitMm) =>
      runoutGrowth({
        readings: readings.map((r) => ({ days: r.days, runoutMm: Math.max(0, r.mm) })),
        limitMm,
        resolutionMm: 0.01,
      }).values,
  },
];

/** The day a thing is due, from what was read over the months before. */
export function wear(trials: number): Row[] {
  return GOING.flatMap(({ statement, seed, stepMm, sits, course, told }) =>
    [3, 4, 6, 10].map((n): Row => {
      const chance = new Chance(seed + n);
      return {
        statement,
        cell: `${n} readings`,
        ...NINETY_FIVE,
        ...tried(trials, () => {
          // Where it sits on the day it is read, and the hand.
          const gauge: Gauge = {
            stepMm,
            scatterMm: Math.hypot(chance.oneOf(sits), chance.oneOf(SCATTERS) * stepMm),
          };
          const { from, to } = course(chance);
          const due = chance.between(400, 2500);
          const seen = due * chance.between(0.25, 0.8);
          const readings = Array.from({ length: n }, (_, i) => {
            const days = i === 0 ? 0 : Math.round((seen * (i + chance.between(-0.3, 0.3))) / (n - 1));
            return { days, mm: shown(gauge, from + ((to - from) * days) / due, chance) };
          });
          const v = told(readings, to);
          if (v.dueFromDays === null) return null;
          return due >= v.dueFromDays && due <= (v.dueToDays ?? Number.POSITIVE_INFINITY);
        }),
      };
    }),
  );
}
