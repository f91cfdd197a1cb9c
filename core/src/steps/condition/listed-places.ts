import { readingAt, standing } from '../../engine/facts.ts';
import type { Facts, Place, PlaceChoice, Reading } from '../../engine/state.ts';
import type { StepDefinition } from '../../engine/step.ts';
import type { Text } from '../../message/message.ts';
import { M } from './messages.ts';
import type { ShaftSetup } from './shaft-setup.ts';

/** The first of a list of places not read yet. */
export const nextOf = (
  facts: Facts<ShaftSetup>,
  step: StepDefinition<ShaftSetup>,
  places: readonly Place[],
): Place | null => places.find((p) => !readingAt(facts, step.id, p.key, 'any')) ?? null;

/** A place of a list by its key, or why it cannot be read now. */
export function listedPlace(
  facts: Facts<ShaftSetup>,
  step: StepDefinition<ShaftSetup>,
  places: readonly Place[],
  key: string,
): Place | Text {
  const place = places.find((p) => p.key === key);
  if (!place) return M.thereNoSuchPlaceStep;
  return readingAt(facts, step.id, key, 'any')
    ? M.alreadyHasReadingWithdrawReason({ label: place.label })
    : place;
}

/** Value at a place, or undefined. */
export const valueAt = (
  facts: Facts<ShaftSetup>,
  step: StepDefinition<ShaftSetup>,
  key: string,
): number | undefined => readingAt(facts, step.id, key, 'any')?.value;

/** All readings of a step that stand. */
export const takenAt = (facts: Facts<ShaftSetup>, step: StepDefinition<ShaftSetup>): Reading[] =>
  standing(facts, step.id, 'any');

/** Places to offer beside the next one. */
export const offer = (
  facts: Facts<ShaftSetup>,
  step: StepDefinition<ShaftSetup>,
  places: ReadonlyArray<Place & { offer: Text }>,
): PlaceChoice[] =>
  places.filter((p) => !readingAt(facts, step.id, p.key, 'any')).map((p) => ({ key: p.key, label: p.offer }));
