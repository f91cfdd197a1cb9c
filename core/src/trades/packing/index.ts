import { defineTrade } from '../../engine/trade.ts';
import { example } from './example.ts';
import { packingJob } from './procedure.ts';
import { rigs } from './rigs.ts';
import { type PackingSetup, packingSetupSchema, USUAL_PACKING } from './setup.ts';
import { why } from './why.ts';
import { words } from './words.ts';

/** A stuffing box packed and broken in. */
export const packingTrade = defineTrade<PackingSetup>({
  id: 'packing',
  schema: packingSetupSchema,
  fits: 'gland-rings',
  usual: USUAL_PACKING,
  fromPlant: ({ stockMm }) => (stockMm.length > 0 ? { stockMm: [...stockMm] } : {}),
  byRules: (rules) => ({ leakSchool: rules.leak }),
  procedure: packingJob,
  words,
  why,
  example,
  rigs,
});
