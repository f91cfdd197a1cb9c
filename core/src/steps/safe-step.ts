import { M as H } from '../engine/headings/messages.ts';
import { ISOLATION } from '../engine/isolation.ts';
import type { GateItem, StepDefinition } from '../engine/step.ts';
import type { Text } from '../message/message.ts';
import { gate } from './gate.ts';
import { M } from './messages.ts';
import { item } from './questions.ts';

/** The first question of every job; the number on the lock or the permit goes with it where there is one. */
export const ISOLATED: GateItem = item(H.safe, 'isolated', M.energyIsolatedLockedTaggedMe, {
  mayNote: M.lockPermitNumber,
});

/** Nothing turns over a hand. */
export const ROTOR: GateItem = item(H.safe, 'rotor', M.rotorBlockedAgainstTurningWhat);

/** What was in it is out of it, and known. */
export const EMPTY: GateItem = item(H.safe, 'drained', M.drainedVentedFlushedCooledNo);

/** The gate every job begins at: what must be safe before a hand goes near, answered item by item, by name. */
export const safeStep = (title: Text, items: GateItem[]): StepDefinition => ({
  id: 'safe',
  title,
  kind: gate,
  guide: M.eachAnsweredNameNothingAfter,
  caution: M.doesNotReplaceLocalCodes,
  items,
  standsOn: [ISOLATION],
});
