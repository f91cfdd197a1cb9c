import { decisionSum } from '@fulcrant/core/judgement';
import { Chance } from './chance.ts';
import { cardOf, type Gauge, KNOWN, type Knows, SCATTERS, shown } from './gauge.ts';
import { NINETY_FIVE, ON_LIMIT, type Row, tried } from './row.ts';

const STEPS = [0.001, 0.005, 0.01, 0.02] as const;
/** Nobody reads more often than this at one place. */
const MOST = 5;

type Cell = { steps: number; knows: Knows; seed: number };
const everyHand = (row: (cell: Cell) => Row[]): Row[] =>
  SCATTERS.flatMap((steps, h) =>
    KNOWN.flatMap((knows, k) =>
      row({ steps, knows, seed: 1000 * h + 100 * k }).map((r) => ({ ...r, hand: `${steps}, ${knows}` })),
    ),
  );

function handOf({ steps, knows }: Cell, chance: Chance) {
  const stepMm = chance.oneOf(STEPS);
  const gauge: Gauge = { stepMm, scatterMm: steps * stepMm };
  return { gauge, stepMm, hand: knows === 'card' ? { card: cardOf(stepMm, gauge.scatterMm, chance) } : {} };
}

/** Readings of one thing: their mean ± U, alone, as a difference, of a gauge zeroed a little beside. */
const caught = (trials: number): Row[] =>
  everyHand((cell) => [
    ...[1, 2, 3, 5].map((n): Row => {
      const chance = new Chance(11 + n + cell.seed);
      return {
        statement: 'mean of readings ± U',
        cell: `${n} ${n === 1 ? 'reading' : 'readings'}`,
        ...NINETY_FIVE,
        ...tried(trials, () => {
          const { gauge, stepMm, hand } = handOf(cell, chance);
          const truth = chance.between(40, 41);
          const readingsMm = Array.from({ length: n }, () => shown(gauge, truth, chance));
          const { meanMm, expandedMm } = decisionSum({ readingsMm, stepMm, hand }).values;
          return Math.abs(meanMm - truth) <= expandedMm;
        }),
      };
    }),
    ...[1, 3].map((n): Row => {
      const chance = new Chance(51 + n + cell.seed);
      return {
        statement: 'mean of differences ± U',
        cell: `${n} ${n === 1 ? 'difference' : 'differences'}, a gauge that drifts`,
        ...NINETY_FIVE,
        ...tried(trials, () => {
          const { gauge, stepMm, hand } = handOf(cell, chance);
          const [a, b] = [chance.between(1, 2), chance.between(1, 2)];
          const drifts = { ...gauge, driftMm: chance.between(-0.02, 0.02) * stepMm };
          const readingsMm = Array.from(
            { length: n },
            (_, i) => shown(drifts, a, chance, a, 2 * i) - shown(drifts, b, chance, b, 2 * i + 1),
          );
          const { meanMm, expandedMm } = decisionSum({ readingsMm, stepMm, difference: true, hand }).values;
          return Math.abs(meanMm - (a - b)) <= expandedMm;
        }),
      };
    }),
    ...[1, 3].map((n): Row => {
      const chance = new Chance(71 + n + cell.seed);
      return {
        statement: 'mean ± U of a gauge zeroed within a quarter of a step',
        cell: `${n} ${n === 1 ? 'reading' : 'readings'}`,
        ...NINETY_FIVE,
        ...tried(trials, () => {
          const { gauge, stepMm, hand } = handOf(cell, chance);
          const truth = chance.between(40, 41);
          const zeroed = { ...gauge, zeroMm: chance.between(-0.25, 0.25) * stepMm };
          const readingsMm = Array.from({ length: n }, () => shown(zeroed, truth, chance));
          const { meanMm, expandedMm } = decisionSum({ readingsMm, stepMm, hand }).values;
          return Math.abs(meanMm - truth) <= expandedMm;
        }),
      };
    }),
  ]);

/** Read until it is settled, as anybody does: how it ends, and after how many readings. */
function untilSettled(cell: Cell, chance: Chance, insideSteps: number) {
  const { gauge, stepMm, hand } = handOf(cell, chance);
  const upperMm = chance.between(10, 11);
  const truth = upperMm - insideSteps * stepMm;
  const readingsMm: number[] = [];
  let verdict = 'too-close';
  while (verdict === 'too-close' && readingsMm.length < MOST) {
    readingsMm.push(shown(gauge, truth, chance));
    verdict = decisionSum({ readingsMm, stepMm, upperMm, hand }).findings[0]?.verdict ?? 'too-close';
  }
  return { verdict, readings: readingsMm.length };
}

type Settled = ReturnType<typeof untilSettled>;
function settled(trials: number, one: () => Settled, hit: (s: Settled) => boolean) {
  let readings = 0;
  const told = tried(trials, () => {
    const s = one();
    readings += s.readings;
    return hit(s);
  });
  return { ...told, readings: readings / Math.max(1, told.trials) };
}

/** Beside a limit: what is accepted on it, what is stopped falsely, what it costs. */
const decided = (trials: number): Row[] =>
  everyHand((cell) => {
    const [on, within, far] = [
      new Chance(91 + cell.seed),
      new Chance(92 + cell.seed),
      new Chance(93 + cell.seed),
    ];
    return [
      {
        statement: 'a truth on its limit is accepted',
        cell: 'read until it is settled, five times at the most',
        ...ON_LIMIT,
        ...settled(
          trials,
          () => untilSettled(cell, on, 0),
          (s) => s.verdict === 'accept',
        ),
      },
      {
        statement: 'what is sound is stopped',
        cell: 'up to six steps within its limit',
        claimed: '4 % at the most',
        low: 0,
        high: 0.04,
        ...settled(
          trials,
          () => untilSettled(cell, within, within.between(0, 6)),
          (s) => s.verdict === 'reject',
        ),
      },
      {
        statement: 'what is far from its limit is accepted',
        cell: 'eight steps within it',
        claimed: 'over 90 %',
        low: 0.9,
        high: 1,
        ...settled(
          trials,
          () => untilSettled(cell, far, 8),
          (s) => s.verdict === 'accept',
        ),
      },
    ];
  });

/** What a card says of its hand: within −31 and +83 % in 95 of 100 (chi square of 9). */
const cards = (trials: number): Row[] =>
  SCATTERS.filter((s) => s >= 0.5).map((steps, k): Row => {
    const chance = new Chance(191 + k);
    return {
      statement: 'a hand card’s scatter is right within −31 and +83 %',
      hand: `${steps}`,
      cell: 'ten readings, step and hand together',
      claimed: '95 %',
      low: 0.94,
      high: 0.98,
      ...tried(trials, () => {
        const { scatter } = cardOf(1, steps, chance);
        const truth = Math.hypot(steps, 1 / Math.sqrt(12));
        return truth >= 0.69 * scatter && truth <= 1.83 * scatter;
      }),
    };
  });

/** Readings of one thing, in every hand, with its card and without. */
export const repeats = (trials: number): Row[] => [...caught(trials), ...decided(trials), ...cards(trials)];
