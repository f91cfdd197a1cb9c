import { listCalculators } from '@fulcrant/core/calculators';
import { setupListing } from '@fulcrant/core/job';
import { sayAll } from '@fulcrant/core/units';
import { object } from 'yup';
import { M } from './messages.ts';
import { units } from './paging.ts';
import { Problem } from './problem.ts';
import { answers, type Route, route } from './routes.ts';
import { listOf, ofItsOwn, text, told } from './shapes.ts';

/** What holds nothing of the plant, so that anyone may ask: the bench, sums without a job; and what each trade’s setup looks like. */
export const calculators: Route[] = [
  route({
    method: 'get',
    path: '/api/trades',
    who: 'anyone',
    summary: M.everyKindWorkShapeSetup,
    answer: answers(listOf(told({ id: text, title: text, setup: ofItsOwn() }))),
    run() {
      return setupListing();
    },
  }),
  route({
    method: 'get',
    path: '/api/calculators',
    who: 'anyone',
    summary: M.everyCalculatorShapeInput,
    answer: answers(listOf(told({ id: text, title: text, input: ofItsOwn() }))),
    run() {
      return sayAll(listCalculators(), 'mm');
    },
  }),
  route({
    method: 'post',
    path: '/api/calculators/:id',
    who: 'anyone',
    summary: M.calculate,
    query: object({ units }),
    answer: answers(ofItsOwn()),
    async run({ house, params, body, query }) {
      const asked = { id: params.id ?? '', input: body ?? {}, unit: query.units };
      const answer = await house.db.workshop.do('calculate', asked);
      if (!answer.ok)
        throw new Problem(
          answer.known ? 422 : 404,
          answer.known ? M.inputHasFaults : (answer.faults[0]?.message ?? ''),
          answer.faults,
        );
      return answer.result;
    },
  }),
];
