import type { Setup } from '../engine/setup.ts';
import type { StepDefinition } from '../engine/step.ts';

/** Steps by id, and what each stands on. */
export type StandsOn = Readonly<Record<string, readonly string[]>>;

/**
 * Steps of an order of work, each with what it stands on beside what it says itself: when that is undone, it opens again, and
 * what stands on it in turn. Names that this variant has no step for are passed over.
 */
export const standing = <S extends Setup>(
  on: StandsOn,
  steps: ReadonlyArray<StepDefinition<S>>,
): StepDefinition<S>[] =>
  steps.map((s) => {
    const more = on[s.id];
    return more ? { ...s, standsOn: [...(s.standsOn ?? []), ...more] } : s;
  });
