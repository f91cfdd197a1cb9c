import { defineTrade } from '../../engine/trade.ts';
import { example } from './example.ts';
import { figures } from './figures.ts';
import { gearPumpRebuild } from './procedure.ts';
import { type GearPumpSetup, gearPumpSetupSchema, USUAL_GEAR_PUMP } from './setup.ts';
import { slots } from './slots.ts';
import { why } from './why.ts';
import { words } from './words.ts';

/** An external gear pump rebuilt. */
export const gearPumpTrade = defineTrade<GearPumpSetup>({
  id: 'gear-pump',
  schema: gearPumpSetupSchema,
  usual: USUAL_GEAR_PUMP,
  procedure: gearPumpRebuild,
  words,
  figures,
  slots,
  why,
  example,
});
