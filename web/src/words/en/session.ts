/** What the pages of session say, in ICU MessageFormat. */
export const en = {
  begin: 'Set up site',
  board: 'To the board',
  code2: 'Code',
  codePrintedWhereFulcrantStarted: 'Setup code, in server window',
  codeYourSecondFactor: 'Code of your second factor',
  demoSignAs: 'Demo: sign in as',
  entriesWaitDeviceEachPersons:
    "{count} entries wait on this device. Each person''s are sent when they sign in.",
  firstTimeForgotPasswordUse: 'First time, or forgot password: use a code',
  iHavePassword: 'I have a password',
  jobSheetsFittingSealsPacking:
    'Job sheets for fitting seals, packing and bearings: the order of work, the arithmetic and the record.',
  leadHandGivesOutGood: 'A lead hand gives out the code. It works once.',
  noConnectionServerEntriesAlready: 'No connection to the server. Entries already made stay on this device.',
  noConnectionServerWhatYou: 'No connection to the server. What you typed stays here.',
  password: 'Password',
  passwordYourOwnTenCharacters: 'New password, 10 characters',
  plantNothingYet: 'Set up this site',
  sSignHasRunOut: "{name}''s sign-in has run out. Sign in again to send the waiting entries.",
  sign: 'Sign in with it',
  signed: '{name} is signed in, {roleSaid}.',
  tryPracticeWithoutSigning: 'Try practice without signing in',
  youNameLeadEverybodyElse: 'You will be the lead hand. Add the others later.',
  yourNameAsWillStand: 'Your name, as it prints on sheets',
  yourPasswordTenCharactersMore: 'Password, 10 characters',
} as const;
