import { array, type InferType, number, object, string } from 'yup';
import type { InstrumentKind } from '../instruments/kinds.ts';
import type { HandCard } from '../metrology/hand.ts';
import { CARD_READINGS } from '../metrology/hand-card.ts';
import { chosenOf, HANDS_DUE, type SiteRules } from '../sources/methods.ts';
import '../judgement/sentences.ts';

/** Ten readings of one thing with one gauge, handed in by whoever read them. */
export const newHandSchema = object({
  instrumentId: string().min(1).max(40).required(),
  /** In the unit inside, by the gauge's kind. */
  values: array(number().min(-10_000).max(10_000).required()).length(CARD_READINGS).required(),
  watchedBy: string().trim().min(2).max(60),
}).noUnknown();
export type NewHand = InferType<typeof newHandSchema>;

/** A hand card as it is kept: whose, with what kind of gauge and which step, what it scatters by, who watched. */
export type HandCardKept = HandCard & {
  id: string;
  personId: string;
  person: string;
  instrumentId: string;
  instrument: string;
  kind: InstrumentKind;
  step: number;
  values: number[];
  watchedBy: string | null;
  at: string;
};

const MONTHS: Record<string, number> = { 'half-year': 6, year: 12, 'two-years': 24 };

/** The day a hand card is read anew, by the site's rule. */
export function handDueOn(card: Pick<HandCardKept, 'at'>, rules: SiteRules): string {
  const day = new Date(card.at);
  day.setUTCMonth(day.getUTCMonth() + (MONTHS[chosenOf(rules, HANDS_DUE)] ?? 12));
  return day.toISOString().slice(0, 10);
}

/** The card that counts for a person with a gauge today: the newest of its kind and step that is not overdue. */
export function handFor(
  cards: readonly HandCardKept[],
  personId: string,
  gauge: { kind: string; step: number },
  rules: SiteRules,
  today: string,
): HandCardKept | null {
  const theirs = cards.filter(
    (c) =>
      c.personId === personId &&
      c.kind === gauge.kind &&
      Math.abs(c.step - gauge.step) <= 0.01 * gauge.step &&
      handDueOn(c, rules) >= today,
  );
  return theirs.reduce<HandCardKept | null>((a, c) => (a && a.at >= c.at ? a : c), null);
}
