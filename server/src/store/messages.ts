import { defineMessages } from '@fulcrant/core/messages';
import { en } from './words/en.ts';

/** What is said here, by id; those that name something, with what they name. */
export const M = defineMessages('server.store', en, {
  archiveFormReleaseReadsForm: { form: 'count', archiveForm: 'count' },
  archiveNamesFileOutsideItself: { name: 'text' },
  cannotRead2: { name: 'text' },
  event: { nameOf: 'text', seq: 'count', id: 'text', type: 'text' },
  eventMissingBefore: { name: 'text', seq: 'count' },
  goneFromDataFolder: { what: 'text', hash: 'text' },
  hasEventsLastMissing: { nameOf: 'text', count: 'count', eventCount: 'count' },
  headHasNoColumn: { missing: 'text' },
  job: { jobNumber: 'text', id: 'text' },
  jsonlMissingFromArchive: { name: 'text' },
  lastLinkNotOneRow: { nameOf: 'text' },
  missingFromArchive: { name: 'text' },
  notAsKeptHashAnother: { name: 'text' },
  notAsStoredLinkDoes: { name: 'text' },
  notOneAnnouncedHurtWay: { what: 'text' },
  notOneKept: { what: 'text', hash: 'text' },
  notOneManifestNames: { name: 'text' },
  notRegisterGauges: { name: 'text' },
  photographPointsWideMost: { side: 'count' },
  recordedOnlyTheyCanSend: { name: 'text' },
  rowCalls: { type: 'text', type2: 'text' },
  samePlaceStandsLine: { before: 'count' },
  sheetAnotherJob: { name: 'text' },
  sheetAsSignedRevision: { nameOf: 'text', revision: 'count' },
  signedNoSheetKept: { nameOf: 'text' },
  standsEventsNotThoseSigned: { name: 'text' },
  writtenByNewer: { names: 'text' },
});
