import type { Act } from '../../engine/act.ts';
import type { Facts, JobState } from '../../engine/state.ts';
import { defineTrade } from '../../engine/trade.ts';
import { SEAL_MEASURES, shaftAt } from '../../steps/condition/at-depth.ts';
import { example } from './example.ts';
import { FAMILY_STEPS } from './families.ts';
import { figures } from './figures.ts';
import { M } from './messages.ts';
import { sealFitting } from './procedure.ts';
import { type SealSetup, sealSetupSchema, USUAL_SEAL } from './setup.ts';
import { slots } from './slots.ts';
import { why } from './why.ts';
import { words } from './words.ts';

/** Seals with clips: what has moved is set again with them back in. */
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

const STOPPED = { confirm: M.machineStoppedIsolated, caution: M.stoppedIsolatedWithoutPressureCool };
/** A stop stands at the leak check: the seal comes off, or is centred again. */
const leaks = (state: JobState<SealSetup>): boolean =>
  state.present === 'proof' &&
  (state.steps.find((s) => s.id === 'proof')?.blocking ?? []).some((f) => f.verdict === 'reject');
const hasRun = (facts: Facts<SealSetup>) =>
  facts.passes.some((p) => p.step === 'ready') ? null : M.onlyAfterStart;

/** The seal taken off and fitted again, or another in its place: all its steps come again. */
const takeOff = (setup: SealSetup): Act<SealSetup> => ({
  id: 'take-off',
  words: {
    does: M.takeSealOff,
    said: M.sealTakenOff,
    ask: M.whyTakenOff,
    onward: M.takeSealOff,
    ...STOPPED,
  },
  undoes: ['parts', ...FAMILY_STEPS[setup.family](setup).map((s) => s.id)],
  may: hasRun,
  onlyWay: leaks,
});

/** The clips back in and the seal centred again, from the gland bolts on. */
const CENTRE_AGAIN: Act<SealSetup> = {
  id: 'centre-again',
  words: {
    does: M.centreSealAgain,
    said: M.sealCentredAgain,
    ask: M.whyCentredAgain,
    onward: M.centreSealAgain,
    ...STOPPED,
  },
  undoes: ['impeller'],
  may: hasRun,
  onlyWay: leaks,
};

/** A mechanical seal fitted, each family in its order. */
export const sealTrade = defineTrade<SealSetup>({
  id: 'seal',
  schema: sealSetupSchema,
  usualAt: shaftAt(SEAL_MEASURES),
  usual: { ...USUAL_SEAL, impellerSet: true },
  completed: (s) => ({
    ...s,
    // A throttle is measured at three places.
    ...(s.family === 'purged' ? { stations: Math.max(3, s.stations) } : {}),
    condition: { ...s.condition, seat: s.family === 'purged' ? 'throttle' : 'mechanical-seal' },
  }),
  procedure: sealFitting,
  words,
  figures,
  slots,
  why,
  example,
  acts: (setup) => [...(CLIPPED.includes(setup.family) ? [MOVE_IMPELLER, CENTRE_AGAIN] : []), takeOff(setup)],
});
