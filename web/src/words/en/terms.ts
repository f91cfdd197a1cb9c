/** Where the English texts use words of the trade a first reader stumbles on. Longest first: “snug blade” before “snug”. */
export const TERMS = {
  tir: /\bTIR\b/,
  dogPoint: /\bdog[- ]points?\b/i,
  cupPoint: /\bcup[- ]points?\b/i,
  snugBlade: /\bsnug blade\b|\bblades? in rising steps until snug\b/i,
  itGrade: /\bIT\d{1,2}\b/,
  kIs2: /\bk = 2\b/,
} as const;
