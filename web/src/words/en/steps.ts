/** What the pages of steps say, in ICU MessageFormat. */
export const en = {
  doneOnTo: '{count} done. Next: {title}',
  markedDone: 'The {count} marked lines: done',
  accepted: '{count} {count, plural, one {deviation} other {deviations}} accepted: {deviations}.',
  asRecordedHereSigned: '{signed} as recorded here, signed',
  doesNotApply: '{lacks}, does not apply: {ask}',
  doesNotApply2: '{lacks}, does not apply',
  doesNotApplyReason: 'does not apply, with a reason',
  n: 'N/A',
  note: 'Note',
  noted: 'noted',
  readWholeFitUpSheet: 'Read the whole sheet',
  signSheet: 'Sign the sheet',
  whatFollows: 'What follows',
  whyDoesNotApply: 'why it does not apply',
  whyDoesNotApply2: 'Why it does not apply: {ask}',
} as const;
