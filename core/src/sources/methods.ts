import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import type { DecisionRule } from '../metrology/decision.ts';
import { M } from './messages.ts';
import { sourceOf } from './register.ts';

/**
 * A question practitioners answer differently, and their answers. A site chooses one for all its new jobs; a job keeps what was
 * chosen when it was opened. Whoever knows the work declares it: a trade, or the arithmetic several trades share.
 */
export type Method<K extends string = string> = {
  /** What a site's rules, and a job's, call it. */
  id: string;
  ask: Text;
  why: Text;
  /** Our own choice where a site has made none. */
  usual: K;
  /** Id, what it says, and on whose word. */
  answers: ReadonlyArray<readonly [id: K, says: Text, source: Text]>;
  /** A limit is judged by it: every job that measures keeps it, and may follow another answer than its site. */
  ofJob?: true;
};

/** What a site, or a job, has chosen, by method. */
export type SiteRules = Readonly<Record<string, string | undefined>>;

/** A method whose ids are told apart by the compiler. */
export const defineMethod = <const K extends string>(method: Method<K>): Method<K> => method;

/** The ids of a method's answers. */
export const idsOf = <K extends string>(method: Method<K>): K[] => method.answers.map(([id]) => id);

/** The ids a method knows, as a type. */
export type MethodId<M> = M extends Method<infer K> ? K : never;

/** What is chosen of a method; what is usual where nothing is said, or nothing the method knows. */
export const chosenOf = <K extends string>(rules: SiteRules, method: Method<K>): K =>
  idsOf(method).find((id) => id === rules[method.id]) ?? method.usual;

/** What is usual of each of some methods. */
export const usualOf = (methods: readonly Method[]): Record<string, string> =>
  Object.fromEntries(methods.map((m) => [m.id, m.usual]));

/** When a reading is called inside or outside its limit. It belongs to every measurement, so no trade declares it. */
export const DECISION: Method<DecisionRule> = defineMethod({
  id: 'decision',
  ask: M.whenReadingMayCalled,
  why: M.insideMoreThanDoubtAccept,
  usual: 'k2',
  answers: [
    ['k2', M.clearLimitWholeDoubtK, sourceOf('gum').title],
    ['one-sided', M.fiveSixthsWhereOnlyOne, sourceOf('iso-14253').title],
  ],
  ofJob: true,
});

/**
 * How deep a job is checked: hazards, what closes for good and what the maker's instruction tells to do; what a careful crew adds; all the
 * product can measure. It belongs to every job, so no trade declares it.
 */
export const DEPTH = defineMethod({
  id: 'depth',
  ask: M.howDeepJobsChecked,
  why: M.whyDepth,
  usual: 'standard',
  answers: [
    ['essential', M.depthEssential, COMMON.commonPractice],
    ['standard', M.depthStandard, COMMON.commonPractice],
    ['thorough', M.depthThorough, COMMON.commonPractice],
  ],
});
export type Depth = MethodId<typeof DEPTH>;

/** How long a hand card counts. It belongs to people, so no trade declares it. */
export const HANDS_DUE = defineMethod({
  id: 'hands',
  ask: M.howLongHandCardCounts,
  why: M.handsChangeWithEyesAndUse,
  usual: 'year',
  answers: [
    ['half-year', M.halfYear, COMMON.commonPractice],
    ['year', M.aYear, COMMON.commonPractice],
    ['two-years', M.twoYears, COMMON.commonPractice],
  ],
});

/** On nobody's word in particular. */
export const PRACTICE = COMMON.commonPractice;
