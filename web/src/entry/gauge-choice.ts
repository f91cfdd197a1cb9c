import { type Instrument, outOfDate, reaches as reachesValue, sayReach } from '@fulcrant/core/instruments';
import type { Text } from '@fulcrant/core/messages';
import { useMemo, useState } from 'react';
import { portFor, useFeedSource } from '../data/feed.ts';
import { useOwnHand } from '../data/hands.ts';
import { useInstruments } from '../data/site.ts';
import { today } from '../data/today.ts';
import { useSay } from '../ui/settings.tsx';
import { keepUnlisted, withoutList } from './unlisted-gauges.ts';

export type GaugeChoice = {
  /** Kinds that read here, the usual one first. */
  kinds: ReadonlyArray<Instrument['kind']>;
  gauges: Instrument[];
  gauge: Instrument | null;
  /** The register is still on its way: nothing can be read before it is here. */
  coming: boolean;
  /** Why a gauge of the list cannot be taken here; null where it can. */
  refuses: (g: Instrument) => Text | null;
  /** Take another gauge; one that does not reach is refused in a sentence, and the one before stays. */
  choose: (id: string) => Text | null;
  /** Take a gauge that is not in the list; null at a practice bench, where what lies there is all there is. */
  name: ((kind: Instrument['kind'], name: string, step: number) => void) | null;
};

/**
 * The gauges fit for a place and the one in hand: the last one chosen for such a place on this device where it reaches, else
 * the first that reaches and is in date, else what needs no gauge, as by eye. A stand-in is in hand only while its bench is paired, and
 * then it alone is.
 */
export function useGauge(kinds: ReadonlyArray<Instrument['kind']>, around?: number): GaugeChoice {
  const register = useInstruments();
  const own = useOwnHand();
  const say = useSay();
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
  const listed = simulated ? standIns : fit;
  const free = simulated || register.bench;
  const gauges = free ? listed : [...listed, ...withoutList(kinds, say)];
  const reaches = (g: Instrument) => around === undefined || reachesValue(g, around);
  const wanted = chosen[usual] ?? localStorage.getItem(key);
  const kept = gauges.find((g) => g.id === wanted && reaches(g));
  const found =
    kept ??
    listed.find((g) => reaches(g) && !outOfDate(g, today())) ??
    listed.find(reaches) ??
    gauges.find((g) => g.unlisted) ??
    null;
  // A card is the device's own object while nothing new is fetched: the same gauge in the same hand stays the same, and nothing
  // supposed of it is worked out anew at every look. One not listed is made anew at each look.
  const card = (found && !found.hand && !found.unlisted && own(found)?.card) || null;
  const same = found?.unlisted ? `${found.id} ${found.name} ${found.step}` : found;
  // biome-ignore lint/correctness/useExhaustiveDependencies: `same` stands for it
  const gauge = useMemo(
    () => (found && card ? { ...found, hand: { scatter: card.scatter, free: card.free } } : found),
    [same, card],
  );
  const take = (id: string) => {
    localStorage.setItem(key, id);
    setChosen((c) => ({ ...c, [usual]: id }));
  };
  const refuses = (g: Instrument) => (reaches(g) ? null : sayReach(g));
  return {
    kinds,
    gauges,
    gauge,
    coming: register.isLoading,
    refuses,
    choose: (id) => {
      const other = gauges.find((g) => g.id === id);
      const refused = other ? refuses(other) : null;
      if (!refused) take(id);
      return refused;
    },
    name: free ? null : (kind, called, step) => take(keepUnlisted(kind, called, step).id),
  };
}
