import { defineMessages } from '../message/define.ts';
import { en } from './words/en.ts';

/** What is said here, by id; those that name something, with what they name. */
export const M = defineMessages('job', en, {
  cancelled: { name: 'text', reason: 'text' },
  cardHasNoField: { offer: 'text', field: 'text' },
  degreesBlanksBetweenThemSuch: { label: 'text' },
  hasNoValue: { label: 'text' },
  hasNoValue2: { place: 'text' },
  noGaugeNamedNoneHand: { place: 'text' },
  notRegisterGauges: { place: 'text', gauge: 'text' },
  number: { label: 'text' },
  numbersBlanksBetweenThemSuch: { label: 'text' },
  standsLineAlready: { label: 'text', get: 'text' },
  standsLineAlready2: { place: 'text', before: 'count' },
  standsUnderAnotherWorkAbove: { designation: 'text' },
});
