import { defineTrade } from '../../engine/trade.ts';
import { example } from './example.ts';
import { figures } from './figures.ts';
import { vanePumpSeals } from './procedure.ts';
import { USUAL_VANE_PUMP, type VanePumpSetup, vanePumpSetupSchema } from './setup.ts';
import { slots } from './slots.ts';
import { why } from './why.ts';
import { words } from './words.ts';

/** A vane pump's seals changed in its heads. */
export const vanePumpTrade = defineTrade<VanePumpSetup>({
  id: 'vane-pump',
  schema: vanePumpSetupSchema,
  usual: USUAL_VANE_PUMP,
  procedure: vanePumpSeals,
  words,
  figures,
  slots,
  why,
  example,
});
