import { defineTrade } from '../../engine/trade.ts';
import { example } from './example.ts';
import { figures } from './figures.ts';
import { dismounting } from './procedure.ts';
import { type DismountSetup, dismountSetupSchema, USUAL_DISMOUNT } from './setup.ts';
import { slots } from './slots.ts';
import { why } from './why.ts';
import { words } from './words.ts';

/** A bearing taken off. */
export const dismountingTrade = defineTrade<DismountSetup>({
  id: 'dismounting',
  schema: dismountSetupSchema,
  usual: USUAL_DISMOUNT,
  // The clearance it was fitted with is asked for as found, before anything is loosened.
  fromPast(past) {
    const left = past.find((p) => typeof p.results.residualMm === 'number')?.results.residualMm;
    return typeof left === 'number' ? { asLeftMm: Number(left.toFixed(4)) } : {};
  },
  procedure: dismounting,
  words,
  figures,
  slots,
  why,
  example,
});
