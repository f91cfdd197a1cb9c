import { defineTrade } from '../../engine/trade.ts';
import { shaftAt } from '../../steps/condition/at-depth.ts';
import { example } from './example.ts';
import { figures } from './figures.ts';
import { packingJob } from './procedure.ts';
import { type PackingSetup, packingSetupSchema, USUAL_PACKING } from './setup.ts';
import { slots } from './slots.ts';
import { why } from './why.ts';
import { words } from './words.ts';

/** A stuffing box packed and broken in. */
export const packingTrade = defineTrade<PackingSetup>({
  id: 'packing',
  schema: packingSetupSchema,
  usualAt: shaftAt({
    essential: ['look'],
    standard: ['look', 'runout'],
    thorough: ['look', 'shaft', 'runout', 'play'],
  }),
  usual: USUAL_PACKING,
  procedure: packingJob,
  words,
  figures,
  slots,
  why,
  example,
});
