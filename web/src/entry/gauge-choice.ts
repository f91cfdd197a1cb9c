import { type Instrument, reaches as reachesValue, sayReach } from '@fulcrant/core/instruments';
import type { Text } from '@fulcrant/core/messages';
import { useMemo, useState } from 'react';
import { portFor, useFeedSource } from '../data/feed.ts';
import { useOwnHand } from '../data/hands.ts';
import { useInstruments } from '../data/job.ts';
import { isOverdue } from './GaugePicker.tsx';

/**
 * The gauges fit for a place and the one in hand: the last one chosen for such a place on this device where it reaches, else
 * the first that reaches and is in date. A stand-in is in hand only while its bench is paired, and then it alone is.
 */
export function useGauge(
  kinds: ReadonlyArray<Instrument['kind']>,
  around?: number,
): {
  gauges: Instrument[];
  gauge: Instrument | null;
  /** The register is still on its way: nothing can be read before it is here. */
  coming: boolean;
  /** Take another gauge; one that does not reach is refused in a sentence, and the one before stays. */
  choose: (id: string) => Text | null;
} {
  const register = useInstruments();
  const own = useOwnHand();
  const all = register.data?.instruments ?? [];
  const source = useFeedSource();
  const usual = kinds[0] ?? 'none';
  const key = `fulcrant.gauge.${usual}`;
  const [chosen, setChosen] = useState<Record<string, string>>({});
  const standIns = all.filter((g) => g.standIn && kinds.includes(g.kind));
  const fit = all
    .filter((g) => kinds.includes(g.kind) && !g.standIn)
    .sort((a, b) => kinds.indexOf(a.kind) - kinds.indexOf(b.kind));
  // What the stand-in bench shows is never put down to a real gauge.
  const simulated = source === 'stand-in' && portFor(kinds) !== null;
  const gauges = simulated ? standIns : fit;
  const reaches = (g: Instrument) => around === undefined || reachesValue(g, around);
  const wanted = chosen[usual] ?? localStorage.getItem(key);
  const kept = gauges.find((g) => g.id === wanted && reaches(g));
  const found = kept ?? gauges.find((g) => reaches(g) && !isOverdue(g)) ?? gauges.find(reaches) ?? null;
  // A card is the device's own object while nothing new is fetched: the same gauge in the same hand stays the same, and nothing
  // supposed of it is worked out anew at every look.
  const card = (found && !found.hand && own(found)?.card) || null;
  const gauge = useMemo(
    () => (found && card ? { ...found, hand: { scatter: card.scatter, free: card.free } } : found),
    [found, card],
  );
  return {
    gauges,
    gauge,
    coming: register.isLoading,
    choose: (id) => {
      const other = gauges.find((g) => g.id === id);
      if (other && !reaches(other)) return sayReach(other);
      localStorage.setItem(key, id);
      setChosen((c) => ({ ...c, [usual]: id }));
      return null;
    },
  };
}
