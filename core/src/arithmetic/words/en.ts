/** What the messages of this folder say, in ICU MessageFormat. */
export const en = {
  alignment: 'Alignment',
  beltsAndDrives: 'Belts and drives',
  planningAndReadings: 'Planning and readings',
  pumpRebuild: 'Pump rebuild',
  shaftsAndFits: 'Shafts and fits',
  stuffingBoxes: 'Stuffing boxes',
  thereNoCalculatorKnown: 'There is no calculator “{id}”. Known: {calculators}.',
} as const;
