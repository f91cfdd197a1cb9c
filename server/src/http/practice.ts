import { drillAnswersSchema } from '@fulcrant/practice';
import { answerDrills, drillsOf } from '../store/drills.ts';
import { M } from './messages.ts';
import { answers, EVERYONE_SIGNED_IN, type Route, route } from './routes.ts';
import { listOf, ofItsOwn, told } from './shapes.ts';

/** Practice: each person’s own, and no record. */
export const practice: Route[] = [
  route({
    method: 'get',
    path: '/api/practice/drills',
    who: EVERYONE_SIGNED_IN,
    summary: M.onesOwnCards,
    answer: answers(told({ kept: listOf(ofItsOwn()) })),
    async run({ house }, me) {
      return { kept: await drillsOf(house.db, me.id) };
    },
  }),
  route({
    method: 'post',
    path: '/api/practice/drills',
    who: EVERYONE_SIGNED_IN,
    summary: M.answerCards,
    asks: drillAnswersSchema,
    refused: M.noAnswer,
    answer: answers(told({ kept: listOf(ofItsOwn()) })),
    async run({ house, body }, me) {
      return { kept: await answerDrills(house.db, me.id, body.answers) };
    },
  }),
];
