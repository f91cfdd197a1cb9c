import { compression } from './compression.ts';
import { driving } from './driving.ts';
import { jobs } from './jobs.ts';
import { late } from './late.ts';
import { marks } from './marks.ts';
import { repeats } from './repeats.ts';
import type { Row } from './row.ts';
import { turns } from './turns.ts';
import { wear } from './wear.ts';

/** Everything the product states with a doubt, tried so many times each; what takes long is tried less. */
export const everyRow = (trials: number): Row[] => [
  ...repeats(2 * trials),
  ...turns(Math.ceil(trials / 4)),
  ...compression(trials),
  ...wear(trials),
  ...driving(Math.ceil(trials / 2)),
  ...jobs(Math.ceil(0.6 * trials)),
  ...late(Math.ceil(trials / 2)),
  ...marks(Math.ceil(trials / 20)),
];
