import type { Cause, Sign } from '../engine/failure.ts';
import type { Results } from '../engine/slots.ts';
import { failureGuideOf } from '../engine/trades.ts';
import type { Text } from '../message/message.ts';
import { MessageError } from '../quantities/message-error.ts';
import { M } from './messages.ts';

/** What was seen, by question; what the position’s own sheets had; how long it lived, where that is known. */
export type AutopsyAsked = {
  /** The guide of the part, by id. */
  kind: string;
  seen: Readonly<Record<string, string>>;
  results: Results;
  livedDays: number | null;
};

export type Spoken = { words: Text; weight: number; from: 'seen' | 'sheet' | 'life' };
export type Likelihood = 'likely' | 'possible' | 'spoken-against';
export type CauseTold = {
  id: string;
  cause: Text;
  next: Text;
  likelihood: Likelihood;
  /** What speaks for it and against it, the strongest first. */
  speaksFor: Spoken[];
  speaksAgainst: Spoken[];
};

/** So much more for than against makes a cause likely; so little leaves it possible. Our own choice. */
const LIKELY = 4;
const POSSIBLE = 1;

function spoken(sign: Sign, asked: AutopsyAsked): Spoken | null {
  if (sign.kind === 'seen')
    return sign.answers.includes(asked.seen[sign.question] ?? '')
      ? { words: sign.words, weight: sign.weight, from: 'seen' }
      : null;
  const value = sign.kind === 'lived' ? asked.livedDays : asked.results[sign.result];
  if (typeof value !== 'number') return null;
  const beyond =
    (sign.over !== undefined && value > sign.over) || (sign.under !== undefined && value < sign.under);
  return beyond
    ? { words: sign.words, weight: sign.weight, from: sign.kind === 'lived' ? 'life' : 'sheet' }
    : null;
}

function told(cause: Cause, asked: AutopsyAsked): CauseTold & { sum: number } {
  const all = cause.signs.flatMap((s) => spoken(s, asked) ?? []);
  const by = (sign: 1 | -1) =>
    all.filter((s) => s.weight * sign > 0).sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight));
  const sum = all.reduce((t, s) => t + s.weight, 0);
  return {
    id: cause.id,
    cause: cause.cause,
    next: cause.next,
    likelihood: sum >= LIKELY ? 'likely' : sum >= POSSIBLE ? 'possible' : 'spoken-against',
    speaksFor: by(1),
    speaksAgainst: by(-1),
    sum,
  };
}

/**
 * Likely causes from what was seen on the part, this position’s own fit-up readings and how long it lived: the likeliest first, each
 * with what speaks for it and against it. What nothing speaks for is not told.
 * Source: the guides of the trades, common practice, no source.
 * @throws RangeError where no trade enrolled has such a guide
 * @example autopsy({ kind: 'face-seal', seen: { track: 'wide' }, results: { runoutMm: 0.09 }, livedDays: 200 })[0].id // 'runout'
 */
export function autopsy(asked: AutopsyAsked): CauseTold[] {
  const guide = failureGuideOf(asked.kind);
  if (!guide) throw new MessageError(M.thereNoGuideHere({ kind: asked.kind }));
  return guide.causes
    .map((c) => told(c, asked))
    .filter((c) => c.speaksFor.length > 0)
    .sort((a, b) => b.sum - a.sum)
    .map(({ sum: _, ...c }) => c);
}
