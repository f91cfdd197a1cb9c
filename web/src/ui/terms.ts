import type { Text } from '@fulcrant/core/messages';
import { TERMS } from '../words/en/terms.ts';
import { M } from './messages.ts';

/** What each of those words means, in a sentence. */
export const MEANING: Record<keyof typeof TERMS, readonly [title: Text, meaning: Text]> = {
  tir: [M.termTir, M.meaningTir],
  dogPoint: [M.termDogPoint, M.meaningDogPoint],
  cupPoint: [M.termCupPoint, M.meaningCupPoint],
  snugBlade: [M.termSnugBlade, M.meaningSnugBlade],
  itGrade: [M.termItGrade, M.meaningItGrade],
  kIs2: [M.termKIs2, M.meaningKIs2],
};

export type Piece = { text: string; meaning: { title: Text; said: Text } | null };

/**
 * A sentence in pieces, the terms it uses apart, each term the first time only.
 * @example explained('Run-out, TIR').map((p) => p.text) // ['Run-out, ', 'TIR']
 */
export function explained(text: string): Piece[] {
  const found = (Object.keys(TERMS) as Array<keyof typeof TERMS>)
    .flatMap((term) => {
      const at = TERMS[term].exec(text);
      const [title, said] = MEANING[term];
      return at ? [{ from: at.index, to: at.index + at[0].length, title, said }] : [];
    })
    .sort((a, b) => a.from - b.from);
  const pieces: Piece[] = [];
  let done = 0;
  for (const f of found) {
    if (f.from < done) continue;
    if (f.from > done) pieces.push({ text: text.slice(done, f.from), meaning: null });
    pieces.push({ text: text.slice(f.from, f.to), meaning: { title: f.title, said: f.said } });
    done = f.to;
  }
  if (done < text.length) pieces.push({ text: text.slice(done), meaning: null });
  return pieces;
}
