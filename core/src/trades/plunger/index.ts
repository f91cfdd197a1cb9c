import { defineTrade } from '../../engine/trade.ts';
import { example } from './example.ts';
import { figures } from './figures.ts';
import { plungerSet } from './procedure.ts';
import { type PlungerSetup, plungerSetupSchema, USUAL_PLUNGER } from './setup.ts';
import { slots } from './slots.ts';
import { why } from './why.ts';
import { words } from './words.ts';

/** A V-ring set put on a plunger. */
export const plungerTrade = defineTrade<PlungerSetup>({
  id: 'plunger',
  schema: plungerSetupSchema,
  usual: USUAL_PLUNGER,
  procedure: plungerSet,
  words,
  figures,
  slots,
  why,
  example,
});
