/** A question of the drill bench: what is asked, how it is answered, what is right and why. */
export type Drill = {
  /** The same question comes under the same name, so that what was got wrong can come again. */
  id: string;
  deck: DeckId;
  ask: string;
  /** Read from what stands in the trades and the tables: the reason, said after the answer. */
  why: string;
} & (
  | { form: 'row'; pieces: string[]; right: string[] }
  | { form: 'choice'; options: string[]; right: string }
  | { form: 'several'; options: string[]; right: string[] }
  | { form: 'number'; face: Face | null; unit: string; right: number; within: number }
);

/** What a gauge shows, for the drawing of it. */
export type Face =
  | { kind: 'dial'; divisions: number; perDivision: number; unit: 'mm' | 'thou'; value: number }
  | { kind: 'vernier'; step: number; value: number }
  | { kind: 'micrometer'; value: number }
  | { kind: 'feelers'; stamps: string[] };

export const DECKS = {
  order: 'Put the order right',
  door: 'Which door closes',
  stands: 'What stands on what',
  lip: 'Which way the lip faces',
  gauge: 'Read this gauge',
  fraction: 'Say it in mm',
  verdict: 'Which verdict',
} as const;
export type DeckId = keyof typeof DECKS;
export const DECK_IDS = Object.keys(DECKS) as DeckId[];
export const isDeck = (id: string): id is DeckId => id in DECKS;

/** An answer as a hand gives it: an order or several as their words, a choice as its word, a number as typed. */
export type Answer = readonly string[] | string;

/**
 * Whether an answer is right.
 * @returns null where it is none yet: nothing chosen, no number typed
 */
export function isRight(drill: Drill, answer: Answer): boolean | null {
  switch (drill.form) {
    case 'row': {
      if (typeof answer === 'string' || answer.length !== drill.right.length) return null;
      return drill.right.every((p, i) => answer[i] === p);
    }
    case 'several': {
      if (typeof answer === 'string' || answer.length === 0) return null;
      const given = new Set(answer);
      return given.size === drill.right.length && drill.right.every((p) => given.has(p));
    }
    case 'choice':
      return typeof answer !== 'string' || answer === '' ? null : answer === drill.right;
    case 'number': {
      if (typeof answer !== 'string') return null;
      const typed = Number(answer.trim().replace(',', '.').replace(/[−–]/, '-'));
      if (answer.trim() === '' || !Number.isFinite(typed)) return null;
      // A hair for the last bit of the number itself.
      return Math.abs(typed - drill.right) <= drill.within + 1e-9;
    }
  }
}
