import { defineTrade } from '../../engine/trade.ts';
import { USUAL_PARTS } from '../../steps/bearing/bearing-setup.ts';
import { BEARING_MEASURES, shaftAt } from '../../steps/condition/at-depth.ts';
import { example } from './example.ts';
import { figures } from './figures.ts';
import { splitBearing } from './procedure.ts';
import { type SplitSetup, splitSetupSchema, USUAL_SPLIT } from './setup.ts';
import { slots } from './slots.ts';
import { why } from './why.ts';
import { words } from './words.ts';

/** A split roller bearing fitted where no ring slides on. */
export const splitBearingTrade = defineTrade<SplitSetup>({
  id: 'split-bearing',
  schema: splitSetupSchema,
  usualAt: shaftAt(BEARING_MEASURES),
  usual: { ...USUAL_SPLIT, baseBolts: USUAL_PARTS.baseBolts, runIn: USUAL_PARTS.runIn },
  procedure: splitBearing,
  words,
  figures,
  slots,
  why,
  example,
});
