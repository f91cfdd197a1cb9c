/** What the pages of session say, in ICU MessageFormat. */
export const en = {
  begin: 'Begin',
  board: 'To the board',
  code2: 'Code',
  codePrintedWhereFulcrantStarted: 'Code, printed where Fulcrant was started',
  codeYourSecondFactor: 'Code of your second factor',
  demoSignAs: 'Demo: sign in as',
  entriesWaitDeviceEachPersons:
    "{count} entries wait on this device. Each person''s are sent when they sign in.",
  firstTimeForgotPasswordUse: 'First time, or forgot password: use a code',
  iHavePassword: 'I have a password',
  jobSheetsFittingSealsPacking:
    'Job sheets for fitting seals, packing and bearings: the order of work, the arithmetic and the record.',
  leadHandGivesOutGood: 'A lead hand gives it out; it is good once.',
  noConnectionServerEntriesAlready: 'No connection to the server. Entries already made stay on this device.',
  noConnectionServerWhatYou: 'No connection to the server. What you typed stays here.',
  password: 'Password',
  passwordYourOwnTenCharacters: 'A password of your own, ten characters or more',
  plantNothingYet: 'A plant with nothing in it yet',
  sSignHasRunOut: "{name}''s sign-in has run out. Sign in again to send what waits.",
  sign: 'Sign in with it',
  signed: '{name} is signed in, {roleSaid}.',
  tryPracticeWithoutSigning: 'Try practice without signing in',
  youNameLeadEverybodyElse: 'You name it, and lead it. Everybody else is added by you.',
  yourNameAsWillStand: 'Your name, as it will stand on sheets',
  yourPasswordTenCharactersMore: 'Your password, ten characters or more',
} as const;
