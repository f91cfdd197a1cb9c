import { keepSaying } from '../message/language.ts';
import { RETIRED } from './words/retired.ts';

// Imported for what it does: whoever makes or shows a sheet can say what older ones hold.
keepSaying(RETIRED);
