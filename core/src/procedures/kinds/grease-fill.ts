import type { Setup } from '../../api/setup.ts';
import { type FirstFillValues, firstFill } from '../../lubrication/first-fill.ts';
import type { StepKind } from '../types.ts';
import { itemFindings } from './item-findings.ts';

/** The first fill: how much by this plant's school, and that it was done. */
export const greaseFill: StepKind = {
  report(facts, step) {
    const result = firstFill(fillInput(facts.setup));
    return {
      ...result,
      findings: [...result.findings, ...itemFindings(facts, step)],
      values: result.values satisfies FirstFillValues,
      next: null,
      act: result.findings[0]?.reason ?? '',
    };
  },
};

/** @throws RangeError where the setup has no grease part: a fault of ours */
function fillInput(setup: Setup): Parameters<typeof firstFill>[0] {
  const grease = 'grease' in setup ? setup.grease : undefined;
  if (!grease || !('boreMm' in setup)) throw new RangeError('This job fills no grease.');
  return { ...grease, boreMm: setup.boreMm };
}
