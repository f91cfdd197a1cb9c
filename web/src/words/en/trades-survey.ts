/** What the pages of trades/survey say, in ICU MessageFormat. */
export const en = {
  accepted: 'Accepted by {accepted}',
} as const;
