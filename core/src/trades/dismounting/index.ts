import { defineTrade } from '../../engine/trade.ts';
import { example } from './example.ts';
import { dismounting } from './procedure.ts';
import { type DismountSetup, dismountSetupSchema, USUAL_DISMOUNT } from './setup.ts';
import { words } from './words.ts';

/** A bearing taken off. */
export const dismountingTrade = defineTrade<DismountSetup>({
  id: 'dismounting',
  schema: dismountSetupSchema,
  usual: USUAL_DISMOUNT,
  procedure: dismounting,
  words,
  example,
});
