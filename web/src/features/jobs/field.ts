import type { Measure } from '@fulcrant/core';

type Kind =
  | 'text'
  | 'length'
  | 'number'
  | 'angles'
  | 'torque'
  | 'roughness'
  | 'pressure'
  | 'temperature'
  | 'choice'
  | 'flag';

/** What the form holds: text a field, by its form name. */
export type FormValues = Record<string, string>;

export type Field = {
  name: string;
  label: string;
  group: string;
  kind: Kind;
  options?: ReadonlyArray<readonly [string, string]>;
  optional?: boolean;
  decimals?: number;
  /** What is chosen where a setup does not say. */
  fallback?: string;
  /** Asked only where the form so far says so. */
  when?: (values: FormValues) => boolean;
};

/** A field of the form. */
export const f = (
  group: string,
  name: string,
  label: string,
  kind: Kind,
  more: Partial<Field> = {},
): Field => ({
  group,
  name,
  label,
  kind,
  ...more,
});
/** Choices that are called what they are. */
export const same = (values: readonly string[]) => values.map((v) => [v, v] as const);
/** A length that may be left out. */
export const size = (group: string, name: string, label: string, more: Partial<Field> = {}) =>
  f(group, name, label, 'length', { optional: true, decimals: 2, ...more });

/** RHF reads a dot as nesting; the fields of a part travel with a colon. */
export const formName = (name: string): string => name.replace('.', ':');

/** Is a measure asked for in the form as it stands? */
export const asked =
  (...measures: Measure[]) =>
  (values: FormValues): boolean =>
    measures.some((m) => values[`measures:${m}`] === 'yes');
export const isSeat = (seat: string) => (values: FormValues) => values['condition:seat'] === seat;

/** Does a choice in the form stand so? */
export const chosen =
  (name: string, ...values: string[]) =>
  (form: FormValues): boolean =>
    values.includes(form[formName(name)] ?? '');

/** Is a part of the sheet asked for in the form as it stands? */
export const withPart =
  (part: string) =>
  (form: FormValues): boolean =>
    form[formName(`with.${part}`)] === 'yes';
