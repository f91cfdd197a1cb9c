/** What the pages of app say, in ICU MessageFormat. */
export const en = {
  sheetIndex: 'Sheet index',
  peopleAndRoles: 'people and roles',
  partsSays: 'bearings, seals, packing',
  nameUnitsShifts: 'name, paper, units, shifts, stock',
  mySignIns: 'and my sign-ins',
  machines: 'Machines',
  limitsAndMethods: 'limits and methods',
  finishedJobsSay: 'all signed sheets',
  calibrationAccuracy: 'calibration, accuracy',
  applicationRenewedServerSomething:
    'Fulcrant was updated on the server, or something in it failed. Your entries are kept on this device.',
  demoPlant: 'Demo site',
  demoPlantPeopleMachinesNumbers: 'Demo site: people, machines and numbers are invented',
  reload: 'Reload',
  somethingWentWrongPage: 'Something went wrong on this page',
} as const;
