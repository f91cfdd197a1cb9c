import type { Finding } from '../judgement/result.ts';
import type { JobState, StepState } from './state.ts';

/** A caution of a step that is passed, and holds on. */
export type StillHolds = { step: Pick<StepState, 'id' | 'title'>; finding: Finding };

/**
 * Cautions of the steps before one that still stand, the nearest step first, gravest first in each: what was said there is not gone
 * with its step. Those a lead hand has accepted, and those of the gauges, are not said again.
 */
export function stillHolding(state: Pick<JobState, 'steps'>, step: string): StillHolds[] {
  const at = state.steps.findIndex((s) => s.id === step);
  return state.steps
    .slice(0, Math.max(0, at))
    .reverse()
    .flatMap((s) =>
      s.open
        .filter((f) => f.verdict === 'caution' || f.verdict === 'reject' || f.verdict === 'too-close')
        .filter((f) => !f.code.startsWith('gauge.'))
        .map((finding) => ({ step: { id: s.id, title: s.title }, finding })),
    );
}
