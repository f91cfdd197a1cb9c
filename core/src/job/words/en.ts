/** What the messages of this folder say, in ICU MessageFormat. */
export const en = {
  cancelled: 'Cancelled by {name}: {reason}',
  cardHasNoField: 'A card for “{offer}” has no field “{field}”.',
  degreesBlanksBetweenThemSuch: '{label}: degrees with blanks between them, such as 0 90 200.',
  designationMissing: 'The designation is missing.',
  firstLineNamesColumnsPlace:
    'The first line names the columns: place and value, or station, angle and value, or angle and then one column a station.',
  hasNoValue: '“{label}” has no value.',
  hasNoValue2: '{place} has no value.',
  leadingPointReadAsInches: 'a leading point is read as inches: no mm are so small here',
  noGaugeNamedNoneHand: '{place}: no gauge is named or chosen.',
  notRegisterGauges: '{place}: “{gauge}” is not in the register of gauges.',
  nothingFittedShaftNotMeasured:
    'Nothing is fitted to a shaft that was not measured: leave the diameters in.',
  nothingMeasuredYet: 'Nothing is to be measured yet.',
  number: '{label} is a number.',
  numbersBlanksBetweenThemSuch: '{label}: numbers with blanks between them, such as 8 9.5 12.',
  runningChecksCome: 'Running, checks to come. ',
  standsLineAlready: '“{label}” stands in line {get} already.',
  standsLineAlready2: '{place} stands in line {before} already.',
  standsUnderAnotherWorkAbove: '“{designation}” stands under another work above.',
  thereNoRowReading: 'There is no row with a reading in it.',
  typeHowManyFlatsExample: 'Type how many flats, for example 1; −1 for one back.',
} as const;
