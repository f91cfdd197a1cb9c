import { FIRST_FILL } from '../../arithmetic/lubrication/fill-method.ts';
import { type FirstFillValues, firstFill } from '../../arithmetic/lubrication/first-fill.ts';
import { stepKind } from '../../engine/step.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { itemFindings } from '../item-findings.ts';
import type { BearingSetup } from './bearing-setup.ts';
import { lubricated } from './fitting-parts.ts';
import { M } from './messages.ts';

/** The first fill: how much by this plant's school, and that it was done. */
export const greaseFill = stepKind<BearingSetup, FirstFillValues>('grease-fill', {
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
});

/** @throws RangeError where the setup has no grease part: a fault of ours */
function fillInput({ grease, boreMm }: BearingSetup): Parameters<typeof firstFill>[0] {
  if (!grease) throw new MessageError(M.jobFillsNoGrease);
  const how = lubricated(grease);
  return {
    ...grease,
    school: grease.school ?? FIRST_FILL.usual,
    boreMm,
    greased: how === 'greased',
    oil: how === 'oil',
  };
}
