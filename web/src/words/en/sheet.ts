/** What the pages of sheet say, in ICU MessageFormat. */
export const en = {
  asDeviceTellsSignedSheet: 'From this device{told}. The server keeps the signed sheet.',
  backJob: 'Back to the job',
  correctNewRevision: 'Correct it: new revision',
  hash: '{origin, select, keptAsSigned {Kept as signed} signedBeforeSheetsWe {Signed before sheets were kept: made from its entries} other {}} {when}. Hash {contentHash}…',
  jobSheet: 'Job sheet',
  json: 'JSON',
  notGiven: 'not given',
  openRevision: 'Start a revision',
  part: 'Part',
  pdf: 'PDF',
  pdfJsonComeWhenWaiting: 'PDF and JSON come when the {unsent} waiting entries are sent.',
  revision: ' · revision {revision}',
  revisionSigned: 'Revision {revision}, signed by {name}',
  sheet: 'This sheet',
  sheetNotAsSignedHash:
    'This sheet was changed after signing: its hash differs. It is no record; a backup has the signed one.',
  untilSent: ', until it is sent',
  whatHasCorrectedSheetAs:
    'What has to be corrected? The signed sheet is kept. The revision says what it replaces and is signed again.',
  workHandSheetKeptWhen: 'Work in progress: the sheet is kept when it is signed.',
} as const;
