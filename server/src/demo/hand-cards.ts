import { gaugeKind, type Instrument } from '@fulcrant/core/instruments';
import { handCard } from '@fulcrant/core/judgement';
import type { Database } from '../store/database.ts';
import { keepHandCard } from '../store/hands.ts';

/** Ten readings of a steady hand with a gauge: nine alike and one a step beside. Invented. */
const ten = (g: Instrument): number[] => {
  const at = Math.round(Math.max(g.low, g.step) / g.step) * g.step;
  return Array.from({ length: 10 }, (_, i) => Number((at + (i === 6 ? g.step : 0)).toFixed(6)));
};

/** The gauge as a steady hand of the works holds it: with its card. */
export function inHand(g: Instrument): Instrument {
  if (g.hand || gaugeKind(g.kind).byHand !== true || g.standIn) return g;
  const told = handCard(ten(g), g.step);
  return told.ok ? { ...g, hand: { scatter: told.scatter, free: told.free } } : g;
}

/** Lay in the cards of some people for every kind and step of gauge: the gauge's own where it has one. */
export async function layHandCards(
  db: Database,
  people: readonly string[],
  gauges: readonly Instrument[],
): Promise<void> {
  const kinds = new Map(gauges.filter((g) => inHand(g).hand).map((g) => [`${g.kind} ${g.step}`, g]));
  for (const person of people)
    for (const g of kinds.values()) {
      const { hand } = inHand(g);
      if (hand) await keepHandCard(db, person, g, { ...hand, values: ten(g), watchedBy: null });
    }
}
