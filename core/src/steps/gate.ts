import { answered } from '../engine/facts.ts';
import type { Setup } from '../engine/setup.ts';
import { stepKind } from '../engine/step.ts';
import { itemFindings } from './item-findings.ts';
import { M } from './messages.ts';

export type GateValues = { answered: number; of: number };

/** A list of questions, each answered yes or no by name. A no holds the job until it is put right and answered again. */
export const gate = stepKind<Setup, GateValues>('gate', {
  quiet: true,
  report(facts, step) {
    const findings = itemFindings(facts, step);
    const items = answered(facts, step);
    const open = items.filter((i) => !i.answer);
    return {
      findings,
      working: [],
      beams: [],
      values: { answered: items.length - open.length, of: items.length },
      next: null,
      act: open[0] ? open[0].item.ask : findings[0] ? findings[0].reason : M.allAnswered,
    };
  },
});
