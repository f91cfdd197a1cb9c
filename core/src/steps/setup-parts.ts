import { array, boolean, number, object, type Schema, string } from 'yup';
import { type Asked, ask, choice } from '../engine/asked.ts';
import { methodOf } from '../engine/trades.ts';
import { DECISION, idsOf, type SiteRules } from '../sources/methods.ts';
import '../judgement/sentences.ts';

const name = (label: string) =>
  string().trim().min(1, `${label} is missing.`).max(80).required(`${label} is missing.`);

/** What a job keeps of the methods chosen when it was opened, or as it was told otherwise: an answer of each, by method. */
const keptRules = object({ decision: string().oneOf(idsOf(DECISION)).required() }).test(
  'methods',
  'There is no such answer to that.',
  (rules, context) => {
    const wrong = Object.entries(rules ?? {}).find(([id, answer]) => {
      const method = methodOf(id);
      return answer !== undefined && !(method && idsOf(method).includes(String(answer)));
    });
    return wrong ? context.createError({ path: `${context.path}.${wrong[0]}` }) : true;
  },
);

export const HOUSE_RULES = 'House rules on this job';

/** The methods a job may choose anew, beside those it only keeps: fields by the id of the method. */
export const rulesAsked = (fields: Record<string, Schema>): Schema<SiteRules | undefined> =>
  keptRules
    .shape({
      ...fields,
      decision: choice(HOUSE_RULES, 'Decision', {
        k2: 'whole doubt (k = 2)',
        'one-sided': 'five sixths of it, one-sided (1.65 u)',
      }).required(),
    })
    .optional()
    .default(undefined) as unknown as Schema<SiteRules | undefined>;

/** Where the work is. */
export const placeFields = {
  machine: name('The machine').meta(ask('Place', 'Machine')),
  position: name('The position').meta(ask('Place', 'Position')),
};
/** What every job says beside its trade's own. */
export const everyJob = {
  partNumber: string().max(80).meta(ask('Place', 'Part, as stamped')),
  demo: boolean(),
};
/** Methods a job carries, asked for by none of its fields. */
export const schools = keptRules.optional().default(undefined) as unknown as Schema<SiteRules | undefined>;

/** Steps a lead hand may be asked to release, and what they are called. */
export const holdBefore = <K extends string>(steps: Readonly<Record<K, string>>, group = 'Place') =>
  array(
    string()
      .oneOf(Object.keys(steps) as K[])
      .required(),
  )
    .max(5)
    .required()
    .meta(
      ask(group, 'Lead hand releases before', {
        options: [['', 'nothing'], ...Object.entries<string>(steps)],
      }),
    );

export const MAKER = 'Maker’s sheet, outranks every table';

/** A value typed from the maker's sheet. mm, N·m, µm of roughness, degrees, MPa, mm². */
export const fromSheet = (max: number, label: string, more: Pick<Partial<Asked>, 'when' | 'needed'> = {}) =>
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
export const MAKER_ORDER = "In the maker's values a lower limit stands above its upper.";
