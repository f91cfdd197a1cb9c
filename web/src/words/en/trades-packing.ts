/** What the pages of trades/packing say, in ICU MessageFormat. */
export const en = {
  aboutMoreTrend: ' · about {value} more by the trend',
  bandDropsMinute: 'band {targetLow} to {targetHigh} drops a minute ·',
  dropsMinute: 'drops a minute',
  dropsMinuteAfterFlatsCome:
    '{dropsPerMin} drops a minute after {flats} flats; to come to {targetLow} to {targetHigh}',
  flatsSoFarFollower: 'flats so far, follower in by',
  flatsTurnedEachNut: 'flats turned on each nut',
  mLMinute: ' · {mlPerMin} mL a minute',
  mm: 'mm,',
  mmLeft: 'mm left{flatsToGo}{mlPerMin}',
  noDropsCountedYet: 'No drops are counted yet',
} as const;
