import { type HandCardKept, handDueOn, handFor } from '@fulcrant/core/api';
import type { Instrument } from '@fulcrant/core/instruments';
import { gaugeKind } from '@fulcrant/core/instruments';
import { useQuery } from '@tanstack/react-query';
import { call, readThrough } from './api.ts';
import { useSession } from './session.tsx';
import { useHouseRules } from './site.ts';
import { today } from './today.ts';

/** Hand cards of everybody here; the device keeps its copy for when there is no network. */
export const useHandCards = ({ enabled = true } = {}) =>
  useQuery({
    enabled,
    queryKey: ['hands'],
    queryFn: async () => (await readThrough<{ cards: HandCardKept[] }>('/api/hands')).cards,
    staleTime: 60_000,
  });

/** The card of whoever is signed in that counts for a gauge today; and the day it is due again. */
export function useOwnHand(): (gauge: Instrument) => { card: HandCardKept; dueOn: string } | null {
  const { person } = useSession();
  const known = { enabled: person !== null };
  const cards = useHandCards(known).data ?? [];
  const rules = useHouseRules(known).data?.rules ?? {};
  return (gauge) => {
    const card = person && !gauge.standIn ? handFor(cards, person.id, gauge, rules, today()) : null;
    return card && { card, dueOn: handDueOn(card, rules) };
  };
}

/** A gauge as it goes into a reading: with the hand card of whoever holds it, where there is one. */
export function inOwnHand(gauge: Instrument, own: ReturnType<typeof useOwnHand>): Instrument {
  const kept = gauge.hand ? null : own(gauge);
  return kept ? { ...gauge, hand: { scatter: kept.card.scatter, free: kept.card.free } } : gauge;
}

/** Is there a repeat check for this kind of gauge: does what it shows depend on who reads it? */
export const dependsOnReader = (gauge: Instrument): boolean => gaugeKind(gauge.kind).byHand === true;

/**
 * Hand in ten readings.
 * @throws ApiFault with the reason where they are no card; Unreachable where there is no network
 */
export const sendHandCard = (
  instrumentId: string,
  values: readonly number[],
  watchedBy: string,
): Promise<{ card: HandCardKept }> =>
  call('POST', '/api/hands', { instrumentId, values, ...(watchedBy.trim() ? { watchedBy } : {}) });
