import { type LimitQuestion, rulesWith, type Setup } from '@fulcrant/core/job';

/** What the maker's sheet gives for a limit, where it does. */
export const makerOf = (setup: Setup, field: string): number | undefined =>
  (setup.maker as Record<string, number | undefined>)[field];

/** The setup with the maker's value typed in place; left out again where it is undefined. */
export function withMaker(setup: Setup, field: string, value: number | undefined): Setup {
  const rest = Object.fromEntries(Object.entries(setup.maker).filter(([k]) => k !== field));
  return { ...setup, maker: value === undefined ? rest : { ...rest, [field]: value } };
}

/** The setup following another answer to a method’s question. */
export const withMethod = (
  setup: Setup,
  rule: NonNullable<LimitQuestion['rule']>,
  answer: string,
): Setup => ({
  ...setup,
  schools: { ...rulesWith(setup), [rule]: answer },
});
