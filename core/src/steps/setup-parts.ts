import { array, boolean, number, object, type Schema, string } from 'yup';
import { type Asked, ask, choice } from '../engine/asked.ts';
import { M as H } from '../engine/headings/messages.ts';
import { methodOf } from '../engine/trades.ts';
import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import { DECISION, DEPTH, type Depth, idsOf, type SiteRules } from '../sources/methods.ts';
import { M } from './messages.ts';
import '../judgement/sentences.ts';

const name = (label: Text) =>
  string().trim().min(1, COMMON.missing({ label })).max(80).required(COMMON.missing({ label }));

/** What a job keeps of the methods chosen when it was opened, or as it was told otherwise: an answer of each, by method. */
const keptRules = object({ decision: string().oneOf(idsOf(DECISION)).required() }).test(
  'methods',
  COMMON.thereNoSuchAnswer,
  (rules, context) => {
    const wrong = Object.entries(rules ?? {}).find(([id, answer]) => {
      const method = methodOf(id);
      return answer !== undefined && !(method && idsOf(method).includes(String(answer)));
    });
    return wrong ? context.createError({ path: `${context.path}.${wrong[0]}` }) : true;
  },
);

export const HOUSE_RULES = M.houseRulesJob;

/** The methods a job may choose anew, beside those it only keeps: fields by the id of the method. */
export const rulesAsked = (fields: Record<string, Schema>): Schema<SiteRules | undefined> =>
  keptRules
    .shape({
      ...fields,
      decision: choice(HOUSE_RULES, M.decision, {
        k2: M.wholeDoubtK2,
        'one-sided': M.fiveSixthsOneSided1,
      }).required(),
    })
    .optional()
    .default(undefined) as unknown as Schema<SiteRules | undefined>;

/** Where the work is. */
export const placeFields = {
  machine: name(COMMON.machine2).meta(ask(H.place, COMMON.machine)),
  position: name(COMMON.position2).meta(ask(H.place, COMMON.position)),
};
/** What every job says beside its trade's own. */
export const everyJob = {
  partNumber: string().max(80).meta(ask(H.place, COMMON.partAsStamped)),
  /** Jobs of before say nothing, and ask for all there is. */
  depth: choice(
    H.place,
    COMMON.depthOfCheck,
    { essential: M.essentialDepth, standard: M.standardDepth, thorough: M.thoroughDepth } satisfies Record<
      Depth,
      Text
    >,
    { rule: DEPTH.id, fallback: 'thorough' },
  ),
  demo: boolean(),
};
/** Methods a job carries, asked for by none of its fields. */
export const schools = keptRules.optional().default(undefined) as unknown as Schema<SiteRules | undefined>;

/** Steps a lead hand may be asked to release, and what they are called. */
export const holdBefore = <K extends string>(steps: Readonly<Record<K, Text>>, group = H.place) =>
  array(
    string()
      .oneOf(Object.keys(steps) as K[])
      .required(),
  )
    .max(5)
    .required()
    .meta(
      ask(group, M.leadHandReleasesBefore, {
        options: [['', COMMON.nothing], ...Object.entries<Text>(steps)],
      }),
    );

export const MAKER = M.makersSheetOutranksEveryTable;

/** A value typed from the maker's sheet. mm, N·m, µm of roughness, degrees, MPa, mm². */
export const fromSheet = (max: number, label: Text, more: Partial<Asked> = {}) =>
  number()
    .min(0.0001)
    .max(max)
    .meta(ask(MAKER, label, more));

type MadeOf = { maker?: object | undefined } | undefined;
/** Do the maker's pairs, least and most, stand in order? `targets` may be one value said twice. */
export const inOrderBut =
  (...targets: string[]) =>
  (setup: MadeOf): boolean => {
    const maker = (setup?.maker ?? {}) as Record<string, number | undefined>;
    return Object.entries(maker).every(([least, low]) => {
      const high = maker[least.replace('Lower', 'Upper').replace('Min', 'Max')];
      const alike = targets.includes(least) && low === high;
      return !/Lower|Min/.test(least) || low === undefined || high === undefined || low < high || alike;
    });
  };
export const inOrder = inOrderBut();
export const MAKER_ORDER = M.makerSValuesLowerLimit;
