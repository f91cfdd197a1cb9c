/** Words of the trade a first reader stumbles on, each in a sentence. Longest first: “snug blade” before “snug”. */
export const TERMS: ReadonlyArray<readonly [term: RegExp, title: string, meaning: string]> = [
  [/\bTIR\b/, 'TIR', 'Total indicator reading: the largest less the smallest value of one whole turn.'],
  [
    /\bdog[- ]points?\b/i,
    'Dog point',
    'A set screw with a plain pin at its end that sits in a hole: it drives. It is drawn before the cup points.',
  ],
  [
    /\bcup[- ]points?\b/i,
    'Cup point',
    'A set screw with a hollow, sharp-rimmed end that bites into the shaft: it holds by friction.',
  ],
  [
    /\bsnug blade\b|\bblades? in rising steps until snug\b/i,
    'Snug blade',
    'The thickest feeler blade that still goes between roller and ring with a light drag: the next one would not go.',
  ],
  [
    /\bIT\d{1,2}\b/,
    'IT grade',
    'A width of tolerance by ISO 286 that grows with the size: IT5 is fine, IT9 is plain turning.',
  ],
  [
    /\bk = 2\b/,
    'k = 2',
    'The stated doubt is twice the standard uncertainty: it holds in about 95 of 100 cases.',
  ],
];

export type Piece = { text: string; meaning: { title: string; said: string } | null };

/**
 * A sentence in pieces, the terms it uses apart, each term the first time only.
 * @example explained('Run-out, TIR').map((p) => p.text) // ['Run-out, ', 'TIR']
 */
export function explained(text: string): Piece[] {
  const found = TERMS.flatMap(([term, title, said]) => {
    const at = term.exec(text);
    return at ? [{ from: at.index, to: at.index + at[0].length, title, said }] : [];
  }).sort((a, b) => a.from - b.from);
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
