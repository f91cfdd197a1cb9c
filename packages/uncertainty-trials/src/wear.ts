import { packingTravel, runoutGrowth, sealWear } from '@fulcrant/core/calculators';
import { Chance } from './chance.ts';
import { cardOf, type Gauge, KNOWN, SCATTERS, shown } from './gauge.ts';
import { NINETY_FIVE, type Row, tried } from './row.ts';

type Band = { dueFromDays: number | null; dueToDays: number | null };
type Reading = { days: number; mm: number };
type Hand = { card: { scatter: number; free: number } | undefined };

/** One thing that goes towards its end, seen now and then. */
type Going = {
  statement: string;
  seed: number;
  stepMm: number;
  /** How far it reads from where it read before, mm, each time it is set up. */
  sits: readonly number[];
  /** Where it begins and where its end is. */
  course: (chance: Chance) => { from: number; to: number };
  told: (readings: Reading[], to: number, hand: Hand) => Band;
};

const GOING: readonly Going[] = [
  {
    statement: 'the day a seal is due lies in its band',
    seed: 600,
    stepMm: 0.02,
    sits: [0.015, 0.025, 0.05],
    course: (c) => ({ from: c.between(1, 3), to: 0 }),
    told: (readings, _, hand) =>
      sealWear({
        readings: readings.map((r) => ({ days: r.days, projectionMm: r.mm })),
        resolutionMm: 0.02,
        hand,
      }).values,
  },
  {
    statement: 'the day a follower is at its end lies in its band',
    seed: 620,
    stepMm: 0.5,
    sits: [0.2, 0.35, 0.5],
    course: (c) => ({ from: c.between(14, 30), to: c.between(0, 4) }),
    told: (readings, stopMm, hand) =>
      packingTravel({
        readings: readings.map((r) => ({ days: r.days, leftMm: r.mm })),
        stopMm,
        resolutionMm: 0.5,
        hand,
      }).values,
  },
  {
    statement: 'the day a run-out is at its limit lies in its band',
    seed: 640,
    stepMm: 0.01,
    sits: [0.002, 0.004, 0.006],
    course: (c) => ({ from: c.between(0.01, 0.02), to: c.between(0.05, 0.1) }),
    told: (readings, limitMm, hand) =>
      runoutGrowth({
        readings: readings.map((r) => ({ days: r.days, runoutMm: Math.max(0, r.mm) })),
        limitMm,
        resolutionMm: 0.01,
        hand,
      }).values,
  },
];

/** How it goes on: where it stands after a share of its time. */
const COURSES = {
  evenly: () => (share: number) => share,
  'a little faster with time': () => (share: number) => share ** 1.1,
  'a rate that changes by 15 % from one stretch to the next': (chance: Chance) => {
    const rates = Array.from({ length: 10 }, () => Math.max(0.3, 1 + chance.bell(0.15)));
    const at = (x: number) =>
      rates.reduce((sum, rate, i) => sum + rate * Math.min(0.1, Math.max(0, x - i / 10)), 0);
    return (share: number) => at(share) / at(1);
  },
} as const;

/** The day a thing is due, from what was read over the months before. */
export function wear(trials: number): Row[] {
  const rows = GOING.flatMap((going, g) =>
    Object.keys(COURSES).flatMap((course, c) =>
      [3, 6].flatMap((n) =>
        SCATTERS.flatMap((steps, h) =>
          // Another course is tried in one hand of each sort: what it does to the band is the same in all.
          c > 0 && steps !== 0.3 && steps !== 1
            ? []
            : KNOWN.map((knows, k) => ({
                going,
                course: course as keyof typeof COURSES,
                n,
                steps,
                knows,
                seed: 10_000 * g + 1000 * c + 100 * h + 10 * n + k,
              })),
        ),
      ),
    ),
  );
  return rows.map(({ going, course, n, steps, knows, seed }): Row => {
    const chance = new Chance(60_000 + seed);
    const { statement, stepMm, sits, told } = going;
    return {
      statement,
      hand: `${steps}, ${knows}`,
      cell: `${n} readings, ${course}`,
      ...NINETY_FIVE,
      ...tried(trials, () => {
        // Where it sits on the day it is read, and the hand.
        const gauge: Gauge = { stepMm, scatterMm: Math.hypot(chance.oneOf(sits), steps * stepMm) };
        const card = knows === 'card' ? cardOf(stepMm, steps * stepMm, chance) : undefined;
        const goes = COURSES[course](chance);
        const { from, to } = going.course(chance);
        const due = chance.between(400, 2500);
        const seen = due * chance.between(0.25, 0.8);
        const readings = Array.from({ length: n }, (_, i) => {
          const days = i === 0 ? 0 : Math.round((seen * (i + chance.between(-0.3, 0.3))) / (n - 1));
          return { days, mm: shown(gauge, from + (to - from) * goes(days / due), chance) };
        });
        const v = told(readings, to, { card });
        if (v.dueFromDays === null) return null;
        return due >= v.dueFromDays && due <= (v.dueToDays ?? Number.POSITIVE_INFINITY);
      }),
    };
  });
}
