import { M as H } from '../engine/headings/messages.ts';
import { ISOLATION } from '../engine/isolation.ts';
import type { Setup } from '../engine/setup.ts';
import type { GateItem, StepDefinition } from '../engine/step.ts';
import type { Finding } from '../judgement/result.ts';
import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import { gate, gateWith } from './gate.ts';
import { M } from './messages.ts';
import { item } from './questions.ts';

/** The first question of every job; the number on the lock or the permit goes with it where there is one. */
export const ISOLATED: GateItem = item(H.safe, 'isolated', COMMON.energyIsolatedLockedTaggedMe, {
  mayNote: COMMON.lockPermitNumber,
});

/** Nothing turns over a hand. */
export const ROTOR: GateItem = item(H.safe, 'rotor', M.rotorBlockedAgainstTurningWhat);

/** What was in it is out of it, and known. */
export const EMPTY: GateItem = item(H.safe, 'drained', M.drainedVentedFlushedCooledNo);

/**
 * The first step of every job: what must be safe before work begins, answered item by item, by name.
 * @param also what else has to be said before the work begins
 */
export const safeStep = <S extends Setup>(
  title: Text,
  items: GateItem[],
  also?: (setup: S) => readonly Finding[],
): StepDefinition<S> => ({
  id: 'safe',
  title,
  kind: also ? gateWith(also) : gate,
  guide: M.eachAnsweredNameNothingAfter,
  caution: M.doesNotReplaceLocalCodes,
  items,
  standsOn: [ISOLATION],
});
