/** What the pages of sheet say, in ICU MessageFormat. */
export const en = {
  asDeviceTellsSignedSheet: 'As this device tells it{told}. The signed sheet itself is kept on the server.',
  backJob: 'Back to the job',
  correctNewRevision: 'Correct it: a new revision',
  hash: '{origin, select, keptAsSigned {Kept as it was signed} signedBeforeSheetsWe {Signed before sheets were kept: laid down as it folded} other {}} {when}. Hash {contentHash}…',
  jobSheet: 'Job sheet',
  json: 'JSON',
  notGiven: 'not given',
  open: 'Open it',
  openRevision: 'Open a revision',
  part: 'Part',
  pdf: 'PDF',
  pdfJsonComeWhenWaiting: 'PDF and JSON come when the {unsent} waiting entries are sent.',
  print: 'Print',
  revision: ' · revision {revision}',
  revisionSigned: 'Revision {revision}, signed by {name}',
  sheet: 'This sheet',
  sheetNotAsSignedHash:
    'This sheet is not as it was signed: its hash is another. It is no record; a backup has the one that was signed.',
  untilSent: ', until it is sent',
  whatHasCorrectedSheetAs:
    'What has to be corrected? The sheet as it was signed is kept; the revision says what it replaces, and is signed anew.',
  workHandSheetKeptWhen: 'Work in hand: the sheet is kept when it is signed.',
} as const;
