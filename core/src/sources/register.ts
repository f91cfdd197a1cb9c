import type { Text } from '../message/message.ts';
import { M } from './messages.ts';
/** The register of sources that findings point to. The order of `rank` is the house order: the maker outranks all. */

export type SourceRank = 'maker' | 'plant' | 'published' | 'common practice' | 'from memory';

export type Source = { id: string; title: Text; rank: SourceRank };

const SOURCES = {
  maker: { title: M.makerSSheetTypedHand, rank: 'maker' },
  plant: { title: M.houseRulePlant, rank: 'plant' },
  'iso-286': { title: M.iso2861ToleranceGrades, rank: 'published' },
  'iso-492': { title: M.iso492BoresNormalClass, rank: 'published' },
  'iso-281': { title: M.iso281RatingLifeFrom, rank: 'published' },
  'iso-20816': { title: M.iso208163ZonesVibration, rank: 'published' },
  'belt-practice': {
    title: M.wedgeBeltPracticeTensionNote,
    rank: 'from memory',
  },
  'o-ring-practice': { title: M.iso36012FamilyCommon, rank: 'from memory' },
  'iso-5753': {
    title: M.iso57531RadialClearance,
    rank: 'published',
  },
  'bearing-handbooks': {
    title: M.generalBearingHandbooksReduction,
    rank: 'published',
  },
  'iso-2982': { title: M.iso2982AdapterSleeveLock, rank: 'published' },
  'iso-898': { title: M.iso8981ProofYield, rank: 'published' },
  'sae-j429': { title: M.saeJ429ProofYieldInch, rank: 'published' },
  'iso-3506': { title: M.iso35061StainlessBolts, rank: 'published' },
  'astm-a193': { title: M.astmA193GradeB7From, rank: 'published' },
  'vdi-2230': {
    title: M.vdi22301TorqueFrom,
    rank: 'published',
  },
  'short-torque': { title: M.tKDFMachine, rank: 'published' },
  'pump-standards': {
    title: M.processPumpStandardsApi610,
    rank: 'from memory',
  },
  'iso-14253': {
    title: M.iso142531LaterEdition,
    rank: 'published',
  },
  'alignment-practice': { title: M.couplingTolerancesSpeedCommon, rank: 'common practice' },
  'finish-convention': { title: M.rq111RaConvention, rank: 'common practice' },
  lame: { title: M.lamThickCylindersAnyMachine, rank: 'published' },
  growth: {
    title: M.lLTMildSteel,
    rank: 'published',
  },
  'grease-table': { title: M.thickenerCompatibilityFromMemoryAsk, rank: 'from memory' },
  'elastomer-guide': { title: M.elastomersFluidsGeneralKnowledgeFrom, rank: 'from memory' },
  gum: { title: M.gumJcgm100Iso14253, rank: 'published' },
  practice: { title: M.commonPractice, rank: 'common practice' },
  geometry: { title: M.geometry, rank: 'published' },
} as const satisfies Record<string, { title: Text; rank: SourceRank }>;

export type SourceId = keyof typeof SOURCES;

/** Look a source up by its id. @example sourceOf('iso-286').rank // 'published' */
export function sourceOf(id: SourceId): Source {
  return { id, ...SOURCES[id] };
}

/** Every source, for the sheet's list. */
export function allSources(): Source[] {
  return (Object.keys(SOURCES) as SourceId[]).map(sourceOf);
}
