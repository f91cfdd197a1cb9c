import { listCalculators } from '@fulcrant/core/calculators';
import { setupListing } from '@fulcrant/core/job';
import { Problem } from './problem.ts';
import type { Route } from './routes.ts';

/** What holds nothing of the plant, so that anyone may ask: the bench, sums without a job; and what each trade’s setup looks like. */
export const calculators: Route[] = [
  {
    method: 'get',
    path: '/api/trades',
    who: 'anyone',
    run({ ctx }) {
      ctx.body = setupListing();
    },
  },
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
    async run({ ctx, house, params, body }) {
      const unit = ctx.query.units === 'in' ? 'in' : 'mm';
      const asked = { id: params.id ?? '', input: body ?? {}, unit } as const;
      const answer = await house.db.workshop.do('calculate', asked);
      if (!answer.ok)
        throw new Problem(
          answer.known ? 422 : 404,
          answer.known ? 'The input has faults.' : (answer.faults[0]?.message ?? ''),
          answer.faults,
        );
      ctx.body = answer.result;
    },
  },
];
