import type { Text } from '@fulcrant/core/messages';
import { DriveUpMonteCarlo, type MonteCarloInput, type MonteCarloResult } from '@fulcrant/core/trials';
import { saidBy } from '@fulcrant/core/units';
import { M } from './messages.ts';

/** What the sheet asks of the worker, and what it hears back. A newer question ends an older one. */
export type TrialQuestion = { id: number; input: MonteCarloInput };
export type TrialAnswer =
  | { id: number; progress: number }
  | { id: number; result: MonteCarloResult; ms: number }
  | { id: number; fault: Text };

const PORTION = 5000;
let latest = 0;
/** A message from the worker's own side: the page's types do not know its post. */
const post = (answer: TrialAnswer) => (postMessage as (message: TrialAnswer) => void)(answer);

addEventListener('message', async (e: MessageEvent<TrialQuestion>) => {
  const { id, input } = e.data;
  latest = id;
  try {
    const began = performance.now();
    const trial = new DriveUpMonteCarlo(input);
    while (!trial.step(PORTION)) {
      post({ id, progress: trial.progress });
      // Let a newer question in.
      await new Promise((done) => setTimeout(done));
      if (latest !== id) return;
    }
    post({ id, result: trial.result(), ms: performance.now() - began });
  } catch (error) {
    post({ id, fault: error instanceof RangeError ? saidBy(error) : M.trialCouldNotWorked });
  }
});
