import { type Setup, schoolsOf } from '@fulcrant/core/engine/setup';
import type { LimitQuestion } from '@fulcrant/core/engine/step';
import type { HouseRules } from '@fulcrant/core/sources/schools';

/** What the maker's sheet gives for a limit, where it does. */
export const makerOf = (setup: Setup, field: string): number | undefined =>
  (setup.maker as Record<string, number | undefined>)[field];

/** The setup with the maker's value typed in place; left out again where it is undefined. */
export function withMaker(setup: Setup, field: string, value: number | undefined): Setup {
  const rest = Object.fromEntries(Object.entries(setup.maker).filter(([k]) => k !== field));
  return { ...setup, maker: value === undefined ? rest : { ...rest, [field]: value } };
}

/** The setup following another school. */
export const withSchool = (
  setup: Setup,
  rule: NonNullable<LimitQuestion['rule']>,
  school: string,
): Setup => ({
  ...setup,
  schools: { ...schoolsOf(setup), [rule]: school } as HouseRules,
});
