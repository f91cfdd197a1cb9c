/** What the pages of app say, in ICU MessageFormat. */
export const en = {
  applicationRenewedServerSomething:
    'The application was renewed on the server, or something in it failed. Everything entered is kept on this device.',
  demoPlant: 'Demo plant',
  demoPlantPeopleMachinesNumbers: 'Demo plant: people, machines and numbers are invented',
  reload: 'Reload',
  somethingWentWrongPage: 'Something went wrong on this page',
} as const;
