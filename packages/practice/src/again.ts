import { type Card, createEmptyCard, fsrs, Rating } from 'ts-fsrs';
import { array, type InferType, number, object, string } from 'yup';
import { allDrills } from './decks.ts';
import { DECK_IDS, type DeckId, type Drill } from './drill.ts';

/** What is kept of a person and a drill: the scheduler’s card, times as events write them. */
export type Kept = { id: string; due: string; card: string; right: number; wrong: number };

export const drillAnswersSchema = object({
  answers: array(
    object({
      id: string().min(3).max(160).required(),
      right: number().oneOf([0, 1]).required(),
      at: string().required(),
    })
      .noUnknown()
      .required(),
  )
    .min(1)
    .max(100)
    .required(),
}).noUnknown();
export type DrillAnswers = InferType<typeof drillAnswersSchema>;

// Without luck: the same answers give the same dates, here and on the server.
const scheduler = fsrs({ enable_fuzz: false });

/**
 * What was answered is put by for as long as it will likely be remembered; what was wrong comes again the same day.
 * Source: the FSRS scheduler of the ts-fsrs package, its own defaults.
 */
export function putBy(before: Kept | null, id: string, right: boolean, at: string): Kept {
  const card: Card = before
    ? JSON.parse(before.card, (k, v) =>
        (k === 'due' || k === 'last_review') && typeof v === 'string' ? new Date(v) : v,
      )
    : createEmptyCard(new Date(at));
  const next = scheduler.next(card, new Date(at), right ? Rating.Good : Rating.Again).card;
  return {
    id,
    due: next.due.toISOString(),
    card: JSON.stringify(next),
    right: (before?.right ?? 0) + (right ? 1 : 0),
    wrong: (before?.wrong ?? 0) + (right ? 0 : 1),
  };
}

/** What comes next from a deck: what is due, the longest overdue first; then what was never met, in its order; then nothing. */
export function nextOf(deck: DeckId, kept: readonly Kept[], at: string, drills = allDrills()): Drill | null {
  const by = new Map(kept.map((k) => [k.id, k]));
  const mine = drills.filter((d) => d.deck === deck);
  const due = mine
    .flatMap((d) => {
      const k = by.get(d.id);
      return k && k.due <= at ? [{ d, due: k.due }] : [];
    })
    .sort((a, b) => a.due.localeCompare(b.due));
  return due[0]?.d ?? mine.find((d) => !by.has(d.id)) ?? null;
}

export type DeckTold = { deck: DeckId; all: number; met: number; due: number; right: number; wrong: number };
/** How far somebody is with each deck. */
export const decksTold = (kept: readonly Kept[], at: string): DeckTold[] =>
  DECK_IDS.map((deck) => {
    const all = allDrills().filter((d) => d.deck === deck);
    const mine = kept.filter((k) => all.some((d) => d.id === k.id));
    return {
      deck,
      all: all.length,
      met: mine.length,
      due: mine.filter((k) => k.due <= at).length,
      right: mine.reduce((n, k) => n + k.right, 0),
      wrong: mine.reduce((n, k) => n + k.wrong, 0),
    };
  });
