/** What the pages of trades/seal say, in ICU MessageFormat. */
export const en = {
  drops: '{when}: {dropsPerMin} drops, {temperatureC}',
  leakageWholeLineGlandsWarmth: 'leakage, whole line · gland’s warmth, dashed{dueAt}',
  n15Min: '15 min',
  n1Hour: '1 hour',
  nextDay: 'next day',
  nextDue: ' · next due {dueAt}',
  noTemperature: 'no temperature',
} as const;
