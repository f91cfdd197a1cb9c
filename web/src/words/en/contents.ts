/** What the pages of contents say, in ICU MessageFormat. */
export const en = {
  calibrationAccuracy: 'calibration, accuracy',
  finishedJobsSay: 'all signed sheets',
  limitsAndMethods: 'limits and methods',
  machines: 'Machines',
  mySignIns: 'and my sign-ins',
  termsExplained: 'what each word means',
  nameUnitsShifts: 'name, paper, units, shifts, stock',
  partsSays: 'bearings, seals, packing',
  peopleAndRoles: 'people and roles',
  sheetIndex: 'Sheet index',
} as const;
