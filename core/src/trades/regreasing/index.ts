import { stampSays } from '../../arithmetic/bearings/stamp.ts';
import { defineTrade } from '../../engine/trade.ts';
import { example } from './example.ts';
import { figures } from './figures.ts';
import { regreasingJob } from './procedure.ts';
import { type RegreaseSetup, regreaseSetupSchema, USUAL_REGREASE } from './setup.ts';
import { slots } from './slots.ts';
import { why } from './why.ts';
import { words } from './words.ts';

/** A bearing regreased. */
export const regreasingTrade = defineTrade<RegreaseSetup>({
  id: 'regreasing',
  schema: regreaseSetupSchema,
  fromStamp: (text) => stampSays(text, ['boreMm']),
  usual: USUAL_REGREASE,
  procedure: regreasingJob,
  words,
  figures,
  slots,
  why,
  example,
});
