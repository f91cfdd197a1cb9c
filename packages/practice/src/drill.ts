import type { Text } from '@fulcrant/core/messages';
import { textKey } from '@fulcrant/core/messages';
import { M } from './messages.ts';
/** A question of the drill bench: what is asked, how it is answered, what is right and why. */
export type Drill = {
  /** The same question comes under the same name, so that what was got wrong can come again. */
  id: string;
  deck: DeckId;
  ask: Text;
  /** Read from what stands in the trades and the tables: the reason, said after the answer. */
  why: Text;
} & (
  | { form: 'row'; pieces: Text[]; right: Text[] }
  | { form: 'choice'; options: Text[]; right: Text }
  | { form: 'several'; options: Text[]; right: Text[] }
  | { form: 'number'; face: Face | null; unit: string; right: number; within: number }
);

/** What a gauge shows, for the drawing of it. */
export type Face =
  | { kind: 'dial'; divisions: number; perDivision: number; unit: 'mm' | 'thou'; value: number }
  | { kind: 'vernier'; step: number; value: number }
  | { kind: 'micrometer'; value: number }
  | { kind: 'feelers'; stamps: Text[] };

export const DECKS = {
  order: M.putOrderRight,
  door: M.whichDoorCloses,
  stands: M.whatStandsWhat,
  lip: M.whichWayLipFaces,
  gauge: M.readGauge,
  fraction: M.sayMm,
  verdict: M.whichVerdict,
} as const;
export type DeckId = keyof typeof DECKS;
export const DECK_IDS = Object.keys(DECKS) as DeckId[];
export const isDeck = (id: string): id is DeckId => id in DECKS;

/** An answer as a hand gives it: an order or several as their keys (`textKey`), a choice as its key, a number as typed. */
export type Answer = readonly string[] | string;

/**
 * Whether an answer is right.
 * @returns null where it is none yet: nothing chosen, no number typed
 */
export function isRight(drill: Drill, answer: Answer): boolean | null {
  switch (drill.form) {
    case 'row': {
      if (typeof answer === 'string' || answer.length !== drill.right.length) return null;
      return drill.right.every((p, i) => answer[i] === textKey(p));
    }
    case 'several': {
      if (typeof answer === 'string' || answer.length === 0) return null;
      const given = new Set(answer);
      return given.size === drill.right.length && drill.right.every((p) => given.has(textKey(p)));
    }
    case 'choice':
      return typeof answer !== 'string' || answer === '' ? null : answer === textKey(drill.right);
    case 'number': {
      if (typeof answer !== 'string') return null;
      const typed = Number(answer.trim().replace(',', '.').replace(/[−–]/, '-'));
      if (answer.trim() === '' || !Number.isFinite(typed)) return null;
      // A hair for the last bit of the number itself.
      return Math.abs(typed - drill.right) <= drill.within + 1e-9;
    }
  }
}
