import type { Instrument } from '@fulcrant/core';
import { useState } from 'react';
import { useInstruments } from '../app/job.ts';
import { isOverdue } from './GaugePicker.tsx';

/**
 * The gauges fit for a place and the one in hand: the last one chosen of that kind on this device where it reaches,
 * else the first that reaches and is in date.
 */
export function useGauge(
  kind: Instrument['kind'] | null,
  around?: number,
): { gauges: Instrument[]; gauge: Instrument | null; choose: (id: string) => void } {
  const all = useInstruments().data?.instruments ?? [];
  const key = `fulcrant.gauge.${kind}`;
  const [chosen, setChosen] = useState<Record<string, string>>({});
  const gauges = all.filter((g) => g.kind === kind);
  const reaches = (g: Instrument) =>
    around === undefined || kind === 'feeler' || (around >= g.low - 0.5 && around <= g.high + 0.5);
  const wanted = kind ? (chosen[kind] ?? localStorage.getItem(key)) : null;
  const kept = gauges.find((g) => g.id === wanted && reaches(g));
  const gauge = kept ?? gauges.find((g) => reaches(g) && !isOverdue(g)) ?? gauges.find(reaches) ?? null;
  return {
    gauges,
    gauge,
    choose: (id) => {
      if (!kind) return;
      localStorage.setItem(key, id);
      setChosen((c) => ({ ...c, [kind]: id }));
    },
  };
}
