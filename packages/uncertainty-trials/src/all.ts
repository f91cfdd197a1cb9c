import { driving } from './driving.ts';
import { jobs } from './jobs.ts';
import { marks } from './marks.ts';
import { repeats } from './repeats.ts';
import type { Row } from './row.ts';
import { turns } from './turns.ts';
import { wear } from './wear.ts';

/** Everything the product states with a doubt, tried so many times each. */
export const everyRow = (trials: number): Row[] => [
  ...repeats(4 * trials),
  ...turns(trials),
  ...wear(trials),
  ...driving(trials),
  ...jobs(trials),
  ...marks(Math.ceil(trials / 10)),
];
