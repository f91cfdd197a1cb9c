/** What the pages of trades/packing say, in ICU MessageFormat. */
export const en = {
  aboutMoreTrend: 'About {value} more {value, plural, one {flat} other {flats}} by the trend.',
  bandDropsMinute: 'Band {targetLow} to {targetHigh} drops a minute.',
  dropsMinuteAfterFlatsCome:
    '{dropsPerMin} drops a minute after {flats} flats; the band is {targetLow} to {targetHigh}',
  flatsSoFarFollower:
    '{flats} {flats, plural, one {flat} other {flats}} so far; follower moved {travel} mm, {left} mm left.',
  glandCelsius: 'gland, °C',
  legend: 'Dots: drops. Stair: flats.',
  legendWithWarmth: 'Dots: drops. Stair: flats. Triangles: gland.',
  mLMinute: '{mlPerMin} mL a minute.',
  minutesAfterStart: 'minutes after the start',
  noDropsCountedYet: 'No drops are counted yet',
} as const;
