import { gasketCompression } from '@fulcrant/core/calculators';
import { Chance } from './chance.ts';
import { cardOf, KNOWN, SCATTERS, shown } from './gauge.ts';
import { NINETY_FIVE, type Row, tried } from './row.ts';

/** How much a stack of gaskets gives under torque, told from one stack and from several, each gasket giving a little otherwise. */
export const compression = (trials: number): Row[] =>
  SCATTERS.flatMap((steps, h) =>
    KNOWN.flatMap((knows, k) =>
      [1, 2, 3].map((n): Row => {
        const chance = new Chance(80_000 + 100 * h + 10 * k + n);
        return {
          statement: 'share that gaskets lose under torque ± U',
          hand: `${steps}, ${knows}`,
          cell: `${n} ${n === 1 ? 'stack' : 'stacks'} pressed`,
          ...NINETY_FIVE,
          ...tried(trials, () => {
            const resolutionMm = 0.005;
            const gauge = { stepMm: resolutionMm, scatterMm: steps * resolutionMm };
            const truth = chance.between(0.05, 0.25);
            const differs = chance.between(0.005, 0.025);
            const pairs = Array.from({ length: n }, () => {
              const loose = chance.between(0.3, 1);
              const gives = truth + chance.bell(differs);
              return {
                looseMm: shown(gauge, loose, chance),
                torquedMm: shown(gauge, loose * (1 - gives), chance),
              };
            });
            const card = knows === 'card' ? cardOf(resolutionMm, gauge.scatterMm, chance) : undefined;
            const { fraction, uncertainty } = gasketCompression(pairs, {
              resolutionMm,
              hand: { card },
            }).values;
            return Math.abs(fraction - truth) <= 2 * uncertainty;
          }),
        };
      }),
    ),
  );
