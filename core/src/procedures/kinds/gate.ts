import type { StepKind } from '../types.ts';
import { answered, itemFindings } from './item-findings.ts';

/** A list of questions, each answered yes or no by name. A no holds the job until it is put right and answered again. */
export const gate: StepKind = {
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
      act: open[0] ? open[0].item.ask : findings[0] ? findings[0].reason : 'All answered.',
    };
  },
};
