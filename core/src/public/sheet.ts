/** The sheet of a job as one document. */

export { fallsDue } from '../sheet/due.ts';
export type { Block, FitUpSheet } from '../sheet/form.ts';
export { placeName } from '../sheet/place-name.ts';
export { fitUpSheet } from '../sheet/sheet.ts';
export { shiftTimeIn, whenIn } from '../sheet/when.ts';
