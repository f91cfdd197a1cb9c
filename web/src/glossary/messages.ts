import { defineMessages } from '@fulcrant/core/messages';
import { en } from '../words/en/glossary.ts';

/** What is said on this page, by id. */
export const M = defineMessages('page.glossary', en, {});
