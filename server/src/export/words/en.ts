/** What the messages of this folder say, in ICU MessageFormat. */
export const en = {
  altered: 'Altered:',
  contentHashSha256Json: 'Content hash (SHA-256 of the JSON sheet): {contentHash}',
  fromSheet: 'From sheet {number}.',
  jsonOfThisSheet: 'This sheet as JSON: all of its readings, answers and findings',
  labelsPositions: 'Labels of positions',
  machinePosition: 'Machine, position',
  notArrivedYetWaitsDevice: 'Not arrived yet: it waits on the device that took it.',
  notSignedHowWorkStands: 'Not signed: this is how the work stands now.',
  nothingPlannedYet: 'Nothing is planned yet.',
  of: '{page} of {of}',
  rev: ' · rev {revision}',
  revision: ', revision {revision}',
  rules:
    '{origin, select, keptAsSigned {Kept as signed} signedBeforeSheetsWe {Signed before sheets were kept; laid down as it folded} other {}} {when}, rules {rules}.',
  sheetNotAsSignedHash:
    'this sheet is not as it was signed, for its hash is another. It is no record; a backup has the one that was signed.',
  state: 'State',
  timesPlantsClock: '{day} · site time ({zone})',
} as const;
