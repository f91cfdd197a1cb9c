import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { type Outage, type OutageTold, planFrom } from '@fulcrant/core/outage';
import { hashKey } from '@tanstack/react-query';
import { M } from './messages.ts';

/** An outage being changed: the version it was begun from, what that said, and what it says now. */
export type Draft = { base: number; of: Outage; now: Outage };

export const begunFrom = (told: OutageTold): Draft => ({
  base: told.version,
  of: told.outage,
  now: told.outage,
});

/** Whatever the order their fields came in. */
const same = (a: unknown, b: unknown): boolean => hashKey([a]) === hashKey([b]);
/** All but what is changed from the board. */
const written = ({ pins: _pins, plan: _plan, ...rest }: Outage) => rest;

export const isChanged = (d: Draft): boolean => !same(written(d.of), written(d.now));

/**
 * A draft beside what stands now. What was not changed is what stands; pins and plan are always those of the board; where somebody else has
 * changed what is being changed here, `theirs` says so and nothing is thrown away.
 */
export function beside(d: Draft, told: OutageTold): { draft: Draft; theirs: boolean } {
  if (!isChanged(d)) return { draft: begunFrom(told), theirs: false };
  const { outage } = told;
  const theirs = told.version !== d.base && !same(written(d.of), written(outage));
  const now: Outage = {
    ...d.now,
    pins: outage.pins.filter((p) => d.now.jobs.some((j) => p.task.startsWith(`${j.key}:`))),
    // The same moments, told from another beginning where that was moved.
    plan: planFrom(outage.plan, outage.startsAt, d.now.startsAt),
  };
  return {
    draft: { ...d, now, ...(theirs ? {} : { base: told.version, of: outage }) },
    theirs,
  };
}

export type Read<T> = { value: T } | { message: Text };

/** A clock as it is typed, `6:00` or `06:00`. */
export function readClock(text: string): Read<string> {
  const m = /^([01]?\d|2[0-3])[:.]([0-5]\d)$/.exec(text.trim());
  return m ? { value: `${(m[1] ?? '').padStart(2, '0')}:${m[2]}` } : { message: COMMON.writeTimeLike };
}

/** Breaks as they are typed, `09:00-09:15, 12:00-12:30`; nothing where there are none. */
export function readBreaks(text: string): Read<Array<{ from: string; to: string }>> {
  const out: Array<{ from: string; to: string }> = [];
  for (const one of text.split(/[,;]/).filter((t) => t.trim() !== '')) {
    const [a = '', b = '', ...more] = one.split(/[-–]/);
    const [from, to] = [readClock(a), readClock(b)];
    if (more.length > 0 || !('value' in from) || !('value' in to))
      return { message: M.noBreakWrite0900({ one: one.trim() }) };
    out.push({ from: from.value, to: to.value });
  }
  return out.length > 6 ? { message: M.sixBreaksMost } : { value: out };
}

/** A torque, N·m; nothing written is no bound. */
export function readTorque(text: string): Read<number | undefined> {
  const t = text.trim().replace(',', '.');
  if (t === '') return { value: undefined };
  return /^\d{1,5}(\.\d+)?$/.test(t) ? { value: Number(t) } : { message: M.torqueNMNothing };
}

/** How many there are: a whole number. */
export function readCount(text: string): Read<number> {
  return /^\d{1,3}$/.test(text.trim()) && Number(text) <= 100
    ? { value: Number(text) }
    : { message: M.wholeNumberHundred };
}
