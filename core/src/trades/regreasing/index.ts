import { defineTrade } from '../../engine/trade.ts';
import { example } from './example.ts';
import { regreasingJob } from './procedure.ts';
import { type RegreaseSetup, regreaseSetupSchema, USUAL_REGREASE } from './setup.ts';
import { words } from './words.ts';

/** A bearing regreased. */
export const regreasingTrade = defineTrade<RegreaseSetup>({
  id: 'regreasing',
  schema: regreaseSetupSchema,
  usual: USUAL_REGREASE,
  byRules: (rules) => ({ how: rules.regrease }),
  procedure: regreasingJob,
  words,
  example,
});
