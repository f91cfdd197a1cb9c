import type { Text } from '@fulcrant/core/messages';
import type { Doubt, Network, Placed, Planned, Risk } from '@fulcrant/core/outage';
import { startTransition, useCallback, useEffect, useRef, useState } from 'react';
import type { PlannerAnswer, PlannerQuestion } from './planner.worker.ts';

/** How long a plan is looked for unless it is found to be the shortest before. */
export const SECONDS = 5;

export type Planning = { share: number; best: Planned | null; running: boolean; fault: Text | null };
const IDLE: Planning = { share: 0, best: null, running: false, fault: null };

function useWorker(hear: (answer: PlannerAnswer) => void) {
  const worker = useRef<Worker | null>(null);
  const heard = useRef(hear);
  useEffect(() => {
    heard.current = hear;
  });
  useEffect(() => {
    const made = new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' });
    worker.current = made;
    made.onmessage = (e: MessageEvent<PlannerAnswer>) => heard.current(e.data);
    return () => {
      made.terminate();
      worker.current = null;
    };
  }, []);
  return useCallback((q: PlannerQuestion) => worker.current?.postMessage(q), []);
}

/** A plan looked for in a worker: how far it is, the best so far, and a way to stop it. A newer question lets the older go. */
export function usePlanner() {
  const [state, setState] = useState<Planning>(IDLE);
  const asked = useRef(0);
  const open = useRef<{ id: number; told: (planned: Planned | null) => void } | null>(null);
  const post = useWorker((a) => {
    // What is still told of an older question is not the answer to this one.
    if ('risk' in a || a.id !== open.current?.id) return;
    const { told } = open.current;
    if ('fault' in a) setState({ ...IDLE, fault: a.fault });
    // What the worker tells is drawn in slices: the hand at the page comes first.
    else startTransition(() => setState({ share: a.share, best: a.planned, running: !a.done, fault: null }));
    if ('fault' in a || a.done) {
      open.current = null;
      told('fault' in a ? null : a.planned);
    }
  });
  const plan = useCallback(
    (network: Network, seconds = SECONDS): Promise<Planned | null> => {
      open.current?.told(null);
      asked.current += 1;
      const id = asked.current;
      setState({ ...IDLE, running: true });
      return new Promise((told) => {
        open.current = { id, told };
        post({ id, does: 'plan', network, seed: 1, seconds });
      });
    },
    [post],
  );
  const stop = useCallback(() => {
    asked.current += 1;
    post({ id: asked.current, does: 'stop' });
  }, [post]);
  return { ...state, plan, stop };
}

/** How likely a plan is done by the wall, drawn in a worker anew whenever the plan changes. */
export function useRisk(network: Network, placed: readonly Placed[], doubts: Doubt[], wall: number) {
  const [risk, setRisk] = useState<{ risk: Risk; ms: number } | null>(null);
  const asked = useRef(0);
  const post = useWorker((a) => {
    if ('risk' in a && a.id === asked.current) startTransition(() => setRisk({ risk: a.risk, ms: a.ms }));
  });
  const key = JSON.stringify([placed.map((p) => [p.id, Math.round(p.start)]), wall]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the plan itself counts, not its objects
  useEffect(() => {
    asked.current += 1;
    if (placed.length === 0) return setRisk(null);
    post({ id: asked.current, does: 'risk', network, placed: [...placed], doubts, wall });
  }, [key, post]);
  return risk;
}
