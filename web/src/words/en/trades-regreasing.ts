/** What the pages of trades/regreasing say, in ICU MessageFormat. */
export const en = {
  beforeFirstStroke: 'before the first stroke',
} as const;
