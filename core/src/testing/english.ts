import { sayAll, type Worded } from '../quantities/say.ts';

/** Everything in a value as it is read in English and in millimetres: what a test looks at where words are its matter. */
export const english = <T>(value: T): Worded<T> => sayAll(value, 'mm');

export { ENGLISH } from '../message/language.ts';
