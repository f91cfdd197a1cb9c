import { listCalculators, runCalculator } from '@fulcrant/core';
import { Problem } from './problem.ts';
import type { Route } from './routes.ts';

/** The bench over HTTP: sums without a job. They hold nothing of the plant, so anyone may ask. */
export const calculators: Route[] = [
  {
    method: 'get',
    path: '/api/calculators',
    who: 'anyone',
    run({ ctx }) {
      ctx.body = listCalculators();
    },
  },
  {
    method: 'post',
    path: '/api/calculators/:id',
    who: 'anyone',
    run({ ctx, params, body }) {
      const answer = runCalculator(params.id ?? '', body ?? {}, ctx.query.units === 'in' ? 'in' : 'mm');
      if (!answer.ok)
        throw new Problem(
          answer.known ? 422 : 404,
          answer.known ? 'The input has faults.' : (answer.faults[0]?.message ?? ''),
          answer.faults,
        );
      const { values, findings, working } = answer.result;
      ctx.body = { values, findings, working };
    },
  },
];
