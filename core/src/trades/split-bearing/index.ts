import { defineTrade } from '../../engine/trade.ts';
import { USUAL_PARTS } from '../../steps/bearing/bearing-setup.ts';
import { example } from './example.ts';
import { splitBearing } from './procedure.ts';
import { rigs } from './rigs.ts';
import { type SplitSetup, splitSetupSchema, USUAL_SPLIT } from './setup.ts';
import { why } from './why.ts';
import { words } from './words.ts';

/** A split roller bearing fitted where no ring slides on. */
export const splitBearingTrade = defineTrade<SplitSetup>({
  id: 'split-bearing',
  schema: splitSetupSchema,
  fits: 'rolling-bearing',
  usual: { ...USUAL_SPLIT, baseBolts: USUAL_PARTS.baseBolts, runIn: USUAL_PARTS.runIn },
  byRules: (rules) => ({ raceSchool: rules.race, gaugeSchool: rules.gauge, film: rules.film }),
  procedure: splitBearing,
  words,
  why,
  example,
  rigs,
  fixedAfter: 'seated',
});
