import type { Text } from '@fulcrant/core/messages';
import {
  type Doubt,
  lateRisk,
  type Network,
  type Placed,
  type Planned,
  type Risk,
  search,
} from '@fulcrant/core/outage';
import { saidBy } from '@fulcrant/core/units';
import { M } from './messages.ts';

/** What the board asks of the worker. A newer question ends an older one. */
export type PlannerQuestion =
  | { id: number; does: 'plan'; network: Network; seed: number; seconds: number }
  | { id: number; does: 'risk'; network: Network; placed: Placed[]; doubts: Doubt[]; wall: number }
  | { id: number; does: 'stop' };
export type PlannerAnswer =
  | { id: number; share: number; planned: Planned; done: boolean }
  | { id: number; risk: Risk; ms: number }
  | { id: number; fault: Text };

let latest = 0;
const post = (answer: PlannerAnswer) => (postMessage as (message: PlannerAnswer) => void)(answer);
/** Heard before the next portion: a stop, or a newer question. */
const turn = () => new Promise<void>((done) => setTimeout(done));

addEventListener('message', async (e: MessageEvent<PlannerQuestion>) => {
  const q = e.data;
  latest = q.id;
  if (q.does === 'stop') return;
  try {
    if (q.does === 'risk') {
      const began = performance.now();
      post({
        id: q.id,
        risk: lateRisk(q.network, q.placed, q.doubts, q.wall),
        ms: performance.now() - began,
      });
      return;
    }
    const began = performance.now();
    const bits = search(q.network, q.seed);
    let told = began;
    for (let bit = bits.next(); ; bit = bits.next()) {
      const now = performance.now();
      const over = bit.done === true || now - began >= 1000 * q.seconds;
      if (!over && now - told < 120) continue;
      told = now;
      if (!over) await turn();
      // Stopped: what was found till then is what it has.
      const stopped = latest !== q.id;
      post({
        id: q.id,
        share: Math.min(1, (now - began) / (1000 * q.seconds)),
        planned: bit.value,
        done: over || stopped,
      });
      if (over || stopped) return;
    }
  } catch (error) {
    post({ id: q.id, fault: error instanceof Error ? saidBy(error) : M.couldNotPlanned });
  }
});
