import type { Text } from '../message/message.ts';
import { saidBy } from '../quantities/message-error.ts';
import type { JobEvent } from './events.ts';
import { opened } from './fold.ts';
import { askedHere } from './here.ts';
import { judge } from './judge.ts';
import { M } from './messages.ts';
import type { Setup } from './setup.ts';
import type { StepReport } from './state.ts';
import { procedureFor } from './trades.ts';

/**
 * Can every step of a job with this setup be worked out, from an untouched sheet on? The schemas refuse at the field what cannot
 * be; this is the net below them, so that no job is opened that would stop half way for want of a sum.
 * @returns what is wrong at the first step that cannot, as a sentence; null where all can
 */
export function unworkable(setup: Setup): Text | null {
  const event = {
    id: '',
    jobId: '',
    at: '2000-01-01T00:00:00Z',
    author: { id: '-', name: '-', role: 'fitter' },
    type: 'job.opened',
    data: { positionId: '', setup },
  } satisfies JobEvent;
  const facts = judge(opened(event));
  const carried: Record<string, StepReport> = {};
  for (const step of procedureFor(setup).steps)
    try {
      const waits = askedHere(facts, step);
      carried[step.id] = waits ?? step.kind.report(facts, step, carried);
      if (step.kind.asks && !waits) step.kind.asks(facts, step);
    } catch (fault) {
      return M.cannotWorkedOut({
        title: step.title,
        message: fault instanceof RangeError ? saidBy(fault) : M.whatGivenDoesNotGo,
      });
    }
  return null;
}
