import type { Outage } from '@fulcrant/core/outage';
import type { Faults } from '../data/asked.ts';

/** What a part of the form is given: the outage as it stands here, a way to change it, and what is wrong by field. */
export type PartProps = {
  draft: Outage;
  set: (change: Partial<Outage>) => void;
  zone: string;
  faults: Faults;
};

/** A list with one of it changed. */
export const changed = <T>(list: readonly T[], i: number, change: Partial<T>): T[] =>
  list.map((x, k) => (k === i ? { ...x, ...change } : x));

/** A list without one of it. */
export const without = <T>(list: readonly T[], i: number): T[] => list.filter((_, k) => k !== i);
