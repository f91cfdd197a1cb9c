import type { Text } from '@fulcrant/core/messages';
import { type Arg, expr, listOf, textKey } from '@fulcrant/core/messages';
import {
  type Carried,
  carriedOn,
  circleOf,
  isWithoutPlace,
  type Known,
  momentAt,
  networkOf,
  type Outage,
  type OutageNetwork,
  type Placed,
  waitedFor,
} from '@fulcrant/core/outage';
import { M } from './messages.ts';

/** The plan as it was adopted, as the planner takes it. */
export const adopted = (outage: Outage): Placed[] =>
  (outage.plan?.placed ?? []).map((p) => ({ id: p.task, start: p.start, finish: p.finish, units: p.units }));

/** An outage with a plan adopted in it. */
export const withPlan = (
  outage: Outage,
  planned: Carried,
  bound: { end: number; by: Text },
  at: string,
): Outage => ({
  ...outage,
  plan: {
    madeAt: at,
    end: planned.end,
    bound: bound.end,
    by: bound.by,
    placed: planned.placed.map((p) => ({
      task: p.id,
      start: p.start,
      finish: p.finish,
      units: [...p.units],
    })),
  },
});

/** What nothing can beat, as it was when the plan was adopted. */
export const boundOf = (outage: Outage): { end: number; by: Text } => ({
  end: outage.plan?.bound ?? 0,
  by: outage.plan?.by ?? '',
});

/** What stands in the way of a plan, as a sentence with the names people use. */
export function saidBroken(
  net: OutageNetwork,
  broken: Carried['broken'][number],
  say: (m: number) => string,
  placed: readonly Placed[],
): Text {
  const piece = net.pieces.get(broken.task);
  const name = piece ? expr`${piece.job.machine}, ${piece.job.position}: ${piece.name}` : broken.task;
  const other = waitedFor(broken.why);
  const waits = other ? net.pieces.get(other) : undefined;
  if (waits) {
    const done = placed.find((p) => p.id === other)?.finish;
    return M.waitsFor({
      name,
      machine: waits.job.machine,
      position: waits.job.position,
      task: waits.name,
      done: done !== undefined ? M.done({ done: say(done) }) : '',
    });
  }
  if (piece?.skill && !piece.waits && isWithoutPlace(broken.why))
    return M.cannotNeedsHands({ name, why: broken.why, hands: piece.hands, skill: piece.skill });
  return expr`${name} ${broken.why}.`;
}

/** A plan moved on by what has happened since; where it cannot be told at all, why, with the tasks named. */
export function movedOn(net: OutageNetwork, placed: readonly Placed[]): Carried & { fault: Text | null } {
  const circle = circleOf(net.network.tasks);
  if (circle.length > 0) {
    const name = (id: string) => {
      const piece = net.pieces.get(id);
      return piece ? expr`${piece.job.machine}, ${piece.job.position}: ${piece.name}` : id;
    };
    const jobs = [...new Set(circle.map((id) => net.pieces.get(id)?.job.key ?? id))];
    const firsts = jobs.map((key) => circle.find((id) => (net.pieces.get(id)?.job.key ?? id) === key) ?? key);
    return {
      placed: [],
      end: 0,
      broken: [],
      fault: M.waitForEachOther({ tasks: listOf(firsts.map(name), '; ') }),
    };
  }
  return { ...carriedOn(net.network, placed), fault: null };
}

export type Moved = { outage: Outage; planned: Carried } | { refused: Text };

/**
 * A piece put elsewhere by hand: pinned there, all else carried on round it. Refused with the reason where it would break a binding, a
 * shift, a skill, a tool, or lie in the past; then nothing changes.
 */
export function moved(
  outage: Outage,
  known: Known,
  placed: readonly Placed[],
  piece: string,
  start: number,
  unit: string | null,
  say: (minutes: number) => string,
): Moved {
  const before = networkOf(outage, known);
  const it = before.pieces.get(piece);
  if (it?.state !== 'ahead') return { refused: M.whatBegunDoneNeverMoved };
  if (start < before.now) return { refused: M.liesPast };
  const hand = outage.crew.find((c) => c.id === unit);
  if (hand && it.skill && !hand.skills.includes(it.skill))
    return { refused: M.notDown({ name: hand.name, skill: it.skill }) };
  const there = placed.find((p) => p.id === piece);
  // Where it takes several, those who were at it stay, and the lane it was dropped on takes part.
  const by = hand
    ? [hand.id, ...(there?.units ?? []).filter((u) => u !== hand.id)].slice(0, Math.max(1, it.hands))
    : [...(there?.units ?? [])];
  const then: Outage = {
    ...outage,
    pins: [
      ...outage.pins.filter((p) => p.task !== piece),
      { task: piece, startsAt: momentAt(outage, start), by },
    ],
  };
  const net = networkOf(then, known);
  const planned = carriedOn(net.network, placed);
  const [first] = [
    ...planned.broken.filter((b) => b.task === piece),
    ...planned.broken.filter((b) => b.task !== piece),
  ];
  if (first) return { refused: saidBroken(net, first, say, planned.placed) };
  return { outage: then, planned };
}

/** A piece let go again: wherever the plan takes it. */
export const unpinned = (outage: Outage, piece: string): Outage => ({
  ...outage,
  pins: outage.pins.filter((p) => p.task !== piece),
});

/** What holds the end, by names: a chain, a tool, some of the crew. */
/** The units a bound names; a plan adopted before has them in a line. */
const unitsOf = (by: Text): readonly Arg[] =>
  typeof by === 'string' ? by.split(', ') : 'parts' in by ? by.parts : [by];

export const boundSaid = (outage: Outage, by: Text): Text =>
  listOf(
    unitsOf(by).map((u) => outage.crew.find((c) => c.id === textKey(u))?.name ?? u),
    ', ',
  );
