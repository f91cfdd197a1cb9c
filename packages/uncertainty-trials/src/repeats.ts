import { decisionSum } from '@fulcrant/core/judgement';
import { Chance } from './chance.ts';
import { SCATTERS, shown } from './gauge.ts';
import { NINETY_FIVE, type Row, tried } from './row.ts';

const STEPS = [0.001, 0.005, 0.01, 0.02] as const;
const read = (chance: Chance, n: number, truth: number, stepMm: number) => {
  const gauge = { stepMm, scatterMm: chance.oneOf(SCATTERS) * stepMm };
  return Array.from({ length: n }, () => shown(gauge, truth, chance));
};

/** Readings of one thing: their mean ± U, alone, as a difference, and beside a limit. */
export function repeats(trials: number): Row[] {
  return [
    ...[1, 2, 3, 5, 10].map((n): Row => {
      const chance = new Chance(100 + n);
      return {
        statement: 'mean of readings ± U',
        cell: `${n} ${n === 1 ? 'reading' : 'readings'}`,
        ...NINETY_FIVE,
        ...tried(trials, () => {
          const stepMm = chance.oneOf(STEPS);
          const truth = chance.between(40, 41);
          const { meanMm, expandedMm } = decisionSum({
            readingsMm: read(chance, n, truth, stepMm),
            stepMm,
          }).values;
          return Math.abs(meanMm - truth) <= expandedMm;
        }),
      };
    }),
    ...[1, 2, 3, 5].map((n): Row => {
      const chance = new Chance(150 + n);
      return {
        statement: 'mean of differences ± U',
        cell: `${n} ${n === 1 ? 'difference' : 'differences'}`,
        ...NINETY_FIVE,
        ...tried(trials, () => {
          const stepMm = chance.oneOf(STEPS);
          const [a, b] = [chance.between(1, 2), chance.between(1, 2)];
          const gauge = { stepMm, scatterMm: chance.oneOf(SCATTERS) * stepMm };
          const readingsMm = Array.from(
            { length: n },
            () => shown(gauge, a, chance) - shown(gauge, b, chance),
          );
          const { meanMm, expandedMm } = decisionSum({ readingsMm, stepMm, difference: true }).values;
          return Math.abs(meanMm - (a - b)) <= expandedMm;
        }),
      };
    }),
    ...[1, 2, 3, 5].map((n): Row => {
      const chance = new Chance(200 + n);
      return {
        statement: 'a truth on its limit is accepted',
        cell: `${n} ${n === 1 ? 'reading' : 'readings'}`,
        claimed: '2.5 %, a side of 95 %',
        low: 0,
        high: 0.035,
        ...tried(trials, () => {
          const stepMm = chance.oneOf(STEPS);
          const upperMm = chance.between(10, 11);
          const readingsMm = read(chance, n, upperMm, stepMm);
          return decisionSum({ readingsMm, stepMm, upperMm }).findings[0]?.verdict === 'accept';
        }),
      };
    }),
  ];
}
