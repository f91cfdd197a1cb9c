/** What the pages of trades/seal-wear say, in ICU MessageFormat. */
export const en = {
  afterDaysDue: '{lengthDigits} after {days} days, due at {lengthDigits2}',
  daysSinceFitted: 'days since it was fitted',
  n95: ', {from} to {to} at 95 %',
  robustLineDashedDue: ' · by the robust line, dashed, due on {dueOn}{dueBand}',
  serviceWholeLine: 'service at {lengthDigits}, whole line{dueOn}',
} as const;
