import type { Act } from '../../engine/act.ts';
import { defineTrade } from '../../engine/trade.ts';
import { example } from './example.ts';
import { figures } from './figures.ts';
import { M } from './messages.ts';
import { sealFitting } from './procedure.ts';
import { type SealSetup, sealSetupSchema, USUAL_SEAL } from './setup.ts';
import { slots } from './slots.ts';
import { why } from './why.ts';
import { words } from './words.ts';

/** Seals whose impeller can be moved again with the clips back in. */
const CLIPPED: ReadonlyArray<SealSetup['family']> = ['cartridge', 'cassette'];

/** The impeller moved again after the gland bolts were drawn. */
const MOVE_IMPELLER: Act<SealSetup> = {
  id: 'move-impeller',
  formerly: 'bearing.dismounted',
  words: {
    does: M.moveImpellerAgain,
    said: M.impellerMovedAgain,
    confirm: M.clipsMoved,
    ask: M.whyMovedClipsFirstThen,
    caution: M.stoppedIsolatedWithoutPressureCool,
  },
  undoes: ['impeller'],
  may: (facts) => (facts.ticks.some((t) => t.step === 'glandbolts') ? null : M.glandBoltsNotDrawnYet),
};

/** A mechanical seal fitted, each family in its order. */
export const sealTrade = defineTrade<SealSetup>({
  id: 'seal',
  schema: sealSetupSchema,
  usual: { ...USUAL_SEAL, impellerSet: true },
  procedure: sealFitting,
  words,
  figures,
  slots,
  why,
  example,
  acts: ({ family }) => (CLIPPED.includes(family) ? [MOVE_IMPELLER] : []),
});
