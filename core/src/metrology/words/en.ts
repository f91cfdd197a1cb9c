/** What the messages of this folder say, in ICU MessageFormat. */
export const en = {
  caution: 'Caution',
  daysFromLastReading:
    '{left} days from the last reading{band}, {bends, select, bends {and the line bends} even {if it goes on evenly} other {}}',
  handNotKnownFinerGauge: 'Do your repeat check, or use a gauge that steps {step} or finer.',
  handNotKnownReadOr: '{more} {where}, or your repeat check: ten readings, once.',
  moreReadings: '{more} more readings',
  n95: ', {from} to {to} at 95 %',
  noNumberReadingsGaugeSettles:
    'No number of readings with this gauge settles it: take one that steps {step} or finer.',
  notYet: 'Not yet',
  oneMoreReading: 'One more reading',
  standsLimitItselfNoGauge: 'The value is exactly at the limit: no gauge decides it. A lead hand decides.',
  tooCloseCall: 'Too close to call',
  tooEarlyDayTakesReadings: 'too early for a day; it takes {leastReadings} readings over a tenth of the way.',
  wouldSettleIfTheyAgree: '{more} {where} would settle it, if they agree; a finer gauge does it sooner.',
} as const;
