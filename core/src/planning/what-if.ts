import type { Placed } from '../arithmetic/planning/network.ts';
import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import { say } from '../quantities/say.ts';
import { M } from './messages.ts';
import type { Outage } from './outage.ts';
import { momentAt } from './shifts.ts';
import { toolKey } from './tools.ts';

/** Something that might happen, or might be done about it. */
export type WhatIf =
  | { kind: 'ill'; who: string; from: string; to: string }
  | { kind: 'late'; tool: string; until: string }
  | { kind: 'drop'; job: string }
  | { kind: 'wall'; to: string }
  | { kind: 'one more'; skill: Outage['crew'][number]['skills'][number] }
  | { kind: 'another'; tool: string }
  | { kind: 'longer'; minutes: number };

/** An outage as it would be. What is not there changes nothing. */
export function supposed(outage: Outage, what: WhatIf): Outage {
  switch (what.kind) {
    case 'ill':
      return {
        ...outage,
        crew: outage.crew.map((c) =>
          c.id === what.who ? { ...c, away: [...c.away, { from: what.from, to: what.to }] } : c,
        ),
      };
    case 'late':
      return {
        ...outage,
        tools: outage.tools.map((t) => (toolKey(t) === what.tool ? { ...t, from: what.until } : t)),
      };
    case 'drop':
      return {
        ...outage,
        jobs: outage.jobs.filter((j) => j.key !== what.job),
        bindings: outage.bindings.filter((b) => b.before !== what.job && b.after !== what.job),
        pins: outage.pins.filter((p) => !p.task.startsWith(`${what.job}:`)),
      };
    case 'wall':
      return { ...outage, endsAt: what.to };
    case 'one more': {
      const like = outage.crew.find((c) => c.skills.includes(what.skill)) ?? outage.crew[0];
      return {
        ...outage,
        crew: [
          ...outage.crew,
          {
            id: 'one-more',
            name: say(M.oneMore, 'mm'),
            skills: [what.skill],
            shift: like?.shift ?? 0,
            away: [],
          },
        ],
      };
    }
    case 'longer':
      return { ...outage, shifts: outage.shifts.map((s) => ({ ...s, to: later(s.to, what.minutes) })) };
    case 'another':
      return {
        ...outage,
        tools: outage.tools.map((t) => (toolKey(t) === what.tool ? { ...t, count: t.count + 1 } : t)),
      };
  }
}

/** A clock so many minutes on; it stops before it would be the next day, where a shift would swallow itself. */
function later(clock: string, minutes: number): string {
  const [h = 0, m = 0] = clock.split(':').map(Number);
  const all = Math.min(23 * 60 + 59, h * 60 + m + minutes);
  return `${String(Math.floor(all / 60)).padStart(2, '0')}:${String(all % 60).padStart(2, '0')}`;
}

/** So many minutes as hands say it. @example saidMinutes(95) // '1 h 35' */
export function saidMinutes(minutes: number): Text {
  const all = Math.round(Math.abs(minutes));
  const [h, m] = [Math.floor(all / 60), all % 60];
  if (h === 0) return COMMON.min({ m });
  return m === 0 ? `${h} h` : `${h} h ${String(m).padStart(2, '0')}`;
}

export type Difference = {
  /** How much later the end is, minutes; less than nothing: sooner. */
  endMinutes: number;
  words: Text[];
};

/**
 * What another plan changes, in words: the end, the wall, jobs that end later or sooner by a quarter of an hour at least, hands that change.
 * @param name what a job is called, by its key
 */
export function difference(
  outage: Outage,
  before: readonly Placed[],
  after: readonly Placed[],
  wall: number,
  name: (job: string) => string,
  sayTime: (at: string) => string,
): Difference {
  const end = (placed: readonly Placed[]) => Math.max(0, ...placed.map((p) => p.finish));
  const [was, is] = [end(before), end(after)];
  const words: Text[] = [];
  const moved = Math.round(is - was);
  words.push(
    moved === 0
      ? M.doneSameTime({ momentAt: sayTime(momentAt(outage, is)) })
      : M.done({
          saidMinutes: saidMinutes(moved),
          moved: moved > 0 ? 'later' : 'sooner',
          momentAt: sayTime(momentAt(outage, is)),
        }),
  );
  if (is > wall) words.push(M.pastWall({ saidMinutes: saidMinutes(is - wall) }));
  else words.push(M.beforeWall({ saidMinutes: saidMinutes(wall - is) }));
  const jobEnd = (placed: readonly Placed[]) => {
    const by = new Map<string, number>();
    for (const p of placed) {
      const key = p.id.split(':')[0] ?? '';
      by.set(key, Math.max(by.get(key) ?? 0, p.finish));
    }
    return by;
  };
  const [then, now] = [jobEnd(before), jobEnd(after)];
  const moves = [...now]
    .flatMap(([key, at]): Array<{ key: string; by: number | null }> => {
      const b = then.get(key);
      return b === undefined ? [{ key, by: null }] : Math.abs(at - b) >= 15 ? [{ key, by: at - b }] : [];
    })
    .sort((a, b) => Math.abs(b.by ?? 1e9) - Math.abs(a.by ?? 1e9));
  for (const m of moves.slice(0, 6))
    words.push(
      m.by === null
        ? M.comes({ name: name(m.key) })
        : M.ends({ name: name(m.key), saidMinutes: saidMinutes(m.by), by: m.by > 0 ? 'later' : 'sooner' }),
    );
  if (moves.length > 6) words.push(M.moreJobsMove({ count: moves.length - 6 }));
  for (const key of then.keys()) if (!now.has(key)) words.push(M.leftOut({ name: name(key) }));
  const hands = after.filter((p) => {
    const b = before.find((x) => x.id === p.id);
    return b && b.units.join() !== p.units.join();
  }).length;
  if (hands > 0) words.push(M.hands({ hands }));
  return { endMinutes: moved, words };
}
