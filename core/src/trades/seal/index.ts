import type { Act } from '../../engine/act.ts';
import { defineTrade } from '../../engine/trade.ts';
import { example } from './example.ts';
import { figures } from './figures.ts';
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
    does: 'Move the impeller again',
    said: 'Impeller moved again',
    confirm: 'Clips are in, it is moved',
    ask: 'Why is it moved? Clips in first, then set screws and gland bolts loose; the end of the order comes again.',
    caution:
      'Stopped, isolated, without pressure, cool. Clips in before a screw is touched: the seal’s setting hangs on them. The maker’s instructions come first.',
  },
  undoes: ['impeller'],
  may: (facts) =>
    facts.ticks.some((t) => t.step === 'glandbolts')
      ? null
      : 'The gland bolts are not drawn yet: the impeller can still be adjusted in its turn.',
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
