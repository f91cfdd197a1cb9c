import { defineTrade } from '../../engine/trade.ts';
import { example } from './example.ts';
import { sealWearJob } from './procedure.ts';
import { USUAL_WEAR, type WearSetup, wearSetupSchema } from './setup.ts';
import { words } from './words.ts';

/** A seal in service watched for its wear. */
export const sealWearTrade = defineTrade<WearSetup>({
  id: 'seal-wear',
  schema: wearSetupSchema,
  usual: USUAL_WEAR,
  procedure: sealWearJob,
  words,
  example,
});
