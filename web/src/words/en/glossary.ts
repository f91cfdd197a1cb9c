/** The page of terms. */
export const en = {
  findTerm: 'Find a term',
  noTerm: 'No term has these letters.',
} as const;
