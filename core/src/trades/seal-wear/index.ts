import { defineTrade } from '../../engine/trade.ts';
import { SHARED_FIGURES } from '../../steps/figures/shared.ts';
import { example } from './example.ts';
import { sealWearJob } from './procedure.ts';
import { USUAL_WEAR, type WearSetup, wearSetupSchema } from './setup.ts';
import { slots } from './slots.ts';
import { why } from './why.ts';
import { words } from './words.ts';

/** A seal in service watched for its wear. */
export const sealWearTrade = defineTrade<WearSetup>({
  id: 'seal-wear',
  schema: wearSetupSchema,
  usual: USUAL_WEAR,
  // The last sheet of a seal at this position says what was measured when it was fitted, and on which day.
  fromPast(past) {
    const fitted = past.find((p) => typeof p.results.baselineMm === 'number');
    return fitted
      ? { baselineMm: fitted.results.baselineMm as number, fittedOn: fitted.signedAt.slice(0, 10) }
      : {};
  },
  procedure: sealWearJob,
  words,
  figures: SHARED_FIGURES,
  slots,
  why,
  example,
});
