import { defineMessages } from '@fulcrant/core/messages';
import { en } from '../words/en/sheet.ts';

/** What is said on these pages, by id; those that name something, with what they name. */
export const M = defineMessages('page.sheet', en, {
  asDeviceTellsSignedSheet: { told: 'text' },
  hash: { origin: ['keptAsSigned', 'signedBeforeSheetsWe'], when: 'text', contentHash: 'text' },
  pdfJsonComeWhenWaiting: { unsent: 'count' },
  revision: { revision: 'count' },
  revisionSigned: { revision: 'count', name: 'text' },
});
