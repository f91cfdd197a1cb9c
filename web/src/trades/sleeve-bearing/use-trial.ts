import type { Text } from '@fulcrant/core/messages';
import type { MonteCarloInput, MonteCarloResult } from '@fulcrant/core/trials';
import { useEffect, useRef, useState } from 'react';
import { useSay } from '../../ui/settings.tsx';
import type { TrialAnswer, TrialQuestion } from './drive-up.worker.ts';
import { M } from './messages.ts';

export type Trial = {
  progress: number;
  result: MonteCarloResult | null;
  ms: number | null;
  fault: Text | null;
};

const NONE: Trial = { progress: 0, result: null, ms: null, fault: null };

/** Samples drawn at each reading. */
export const TRIAL_SAMPLES = 100_000;

/** The drive-up tried many times over in a worker, anew whenever what is known of it changes; null where there is nothing to try. */
export function useTrial(input: MonteCarloInput | null): Trial {
  const say = useSay();
  const worker = useRef<Worker | null>(null);
  const asked = useRef(0);
  const [trial, setTrial] = useState<Trial>(NONE);
  const key = input ? JSON.stringify(input) : null;

  useEffect(() => {
    const made = new Worker(new URL('./drive-up.worker.ts', import.meta.url), { type: 'module' });
    worker.current = made;
    made.onmessage = (e: MessageEvent<TrialAnswer>) => {
      const a = e.data;
      if (a.id !== asked.current) return;
      if ('progress' in a) setTrial((t) => ({ ...t, progress: a.progress }));
      else if ('fault' in a) setTrial({ ...NONE, fault: a.fault });
      else setTrial({ progress: 1, result: a.result, ms: a.ms, fault: null });
    };
    made.onerror = () => setTrial({ ...NONE, fault: say(M.browserCouldNotStartTrial) });
    return () => {
      made.terminate();
      worker.current = null;
    };
  }, [say]);

  useEffect(() => {
    if (key === null) return;
    asked.current += 1;
    setTrial((t) => ({ ...t, progress: 0, fault: null }));
    const question: TrialQuestion = { id: asked.current, input: JSON.parse(key) as MonteCarloInput };
    worker.current?.postMessage(question);
  }, [key]);
  return trial;
}
