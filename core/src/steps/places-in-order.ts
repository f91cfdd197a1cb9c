import { readingAt } from '../engine/facts.ts';
import type { Setup } from '../engine/setup.ts';
import type { Facts, Place } from '../engine/state.ts';
import type { StepDefinition } from '../engine/step.ts';
import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';

/** A list of places read one after the other, each once; what kinds of one such list share. */
type Listed<S extends Setup> = (facts: Facts<S>, step: StepDefinition<S>) => readonly Place[];

/** The first place not read yet; null when all are. */
export const nextListed = (facts: Facts, step: StepDefinition, places: readonly Place[]): Place | null =>
  places.find((p) => !readingAt(facts, step.id, p.key)) ?? null;

/** What stands at a place, or null. */
export const valueAt = (facts: Facts, step: Pick<StepDefinition, 'id'>, key: string): number | null =>
  readingAt(facts, step.id, key)?.value ?? null;

/** May this place be read? Those of the list, once. */
export const listedPlace =
  <S extends Setup>(places: Listed<S>) =>
  (facts: Facts<S>, step: StepDefinition<S>, key: string): Place | Text => {
    const place = places(facts, step).find((p) => p.key === key);
    if (!place) return COMMON.thereNoSuchPlaceHere;
    return readingAt(facts, step.id, key)
      ? COMMON.enteredAlreadyWithdrawReasonEnter({ label: place.label })
      : place;
  };

/** A place read in a length. */
export const lengthPlace = (key: string, label: Text, low: number, high: number): Place => ({
  key,
  label,
  quantity: low < 0 ? 'dial' : 'length',
  low,
  high,
  instrumentKinds: ['caliper', 'feeler', 'dial'],
});
/** A place read with blades. */
export const gapPlace = (key: string, label: Text, high = 20): Place => ({
  key,
  label,
  quantity: 'gap',
  low: 0,
  high,
  instrumentKinds: ['feeler', 'caliper'],
});
/** An angle on the clock face. */
export const anglePlace = (key: string, label: Text, low = 0, high = 360): Place => ({
  key,
  label,
  quantity: 'angle',
  low,
  high,
  instrumentKinds: ['protractor'],
});
