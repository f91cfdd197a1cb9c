/** What the pages of app say, in ICU MessageFormat. */
export const en = {
  applicationRenewedServerSomething:
    'Fulcrant was updated on the server, or something in it failed. Your entries are kept on this device.',
  demoPlant: 'Demo site',
  demoPlantPeopleMachinesNumbers: 'Demo site: everything here is invented',
  reload: 'Reload',
  somethingWentWrongPage: 'Something went wrong on this page',
} as const;
