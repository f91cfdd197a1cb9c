import type { BoltGrade } from '../arithmetic/bolting/grades.ts';
import { type BoltLayout, type BoltPass, boltPattern, seatingPasses } from '../arithmetic/bolting/pattern.ts';
import { setScrewPasses } from '../arithmetic/bolting/set-screws.ts';
import type { Friction, TorqueValues } from '../arithmetic/bolting/torque.ts';
import type { BoltTick } from '../engine/state.ts';
import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import { M } from './messages.ts';

/** A set of bolts or screws tightened together. */
export type BoltSpec = {
  /** What they are, as the subject of a sentence: “Cap bolts”. */
  what: Text;
  /** What one of them is. */
  one: 'bolt' | 'screw' | 'nut';
  count: number;
  layout: BoltLayout;
  /** Size, grade and threads a torque is worked out from; left out where only the maker’s sheet gives one. */
  bolt?: { size: string; grade: BoltGrade; friction: Friction };
  makerTorqueNm?: number | undefined;
  /** Where the sheet gives a range, its upper end: the middle is aimed at, anything within is right. */
  makerMostNm?: number | undefined;
  /** They close a housing, which may take less than the bolt: a torque worked out from the bolt is a caution. */
  housing?: true;
  /** Of the maker’s torque: the order of size usual for such screws, to catch a slip of unit. Never a default. */
  usualNm?: readonly [number, number];
  /** Set screws: so many dog points first, the rest are cup points. */
  dogs?: number;
  /** Only snug, evenly, by hand key: no torque, two rounds crosswise. */
  snug?: true;
  /** A seating loop: all to torque, tapped down, again, until none moves more than so many degrees in a whole round. */
  seatingDeg?: number;
  /** Of a seating loop: whether a screw still moved is seen, not measured in degrees. */
  seenMoving?: true;
  /** Holes something else fills until the question `free` of the step is answered yes: guide pins, rods. */
  occupied?: { holes: readonly number[]; by: Text; free: string; wait: Text };
  /** Jacking holes beside them, filled until a question of a step before is answered yes. */
  jacking?: { holes: number; step: string; free: string; wait: Text };
};

export type BoltValues = {
  spec: BoltSpec;
  torque: Pick<TorqueValues, 'torqueNm' | 'source'>;
  passes: BoltPass[];
  ticks: BoltTick[];
  /** The bolt to tighten now; null when all is done. */
  next: { pass: number; bolt: number; torqueNm: number | null } | null;
  /** Of a seating loop: the largest movement of each whole round, degrees. */
  settling: number[];
  /** Where something else fills holes for a while: what still does. */
  held?: Held;
};

/** What has to come out before the next bolt goes in, in a sentence or null; the holes still filled; jacking bolts still in. */
export type Held = { waits: Text | null; filled: readonly number[]; jacked: boolean };

/** Most rounds anyone goes. */
export const ROUNDS_MOST = 20;
/** A bolt that moved so far in the last round asks for another. Common practice: a few degrees. */
const MOVED_DEG = 3;

/** The passes of a set: crosswise, dog points before cup points, or a seating loop; bolts into filled holes last. */
export function passesOf(spec: BoltSpec, torqueNm: number): BoltPass[] {
  const passes = allAlike(spec, torqueNm);
  const [hand, ...rest] = passes;
  const last = spec.occupied?.holes ?? [];
  if (!hand || last.length === 0) return passes;
  return [
    { ...hand, order: hand.order.filter((b) => !last.includes(b)) },
    { ...hand, name: M.last({ count: last.length }), order: [...last] },
    ...rest,
  ];
}

function allAlike(spec: BoltSpec, torqueNm: number): BoltPass[] {
  if (spec.snug) {
    const [hand] = boltPattern({ count: spec.count, layout: spec.layout, torqueNm: 1 }).values.passes;
    return hand
      ? [
          { ...hand, name: COMMON.snugHand },
          { ...hand, name: M.snugOnceMore },
        ]
      : [];
  }
  // One nut has no pattern: to torque, and it is done.
  if (spec.count === 1)
    return boltPattern({ count: 1, layout: spec.layout, torqueNm }).values.passes.slice(-1);
  if (spec.seatingDeg !== undefined) return seatingPasses(spec.count, torqueNm);
  if (spec.dogs !== undefined) return setScrewPasses(spec.dogs, spec.count - spec.dogs, torqueNm);
  return boltPattern({ count: spec.count, layout: spec.layout, torqueNm }).values.passes;
}

/** The passes, with one more round for each whole round in which something still moved. */
export function withRounds(passes: BoltPass[], ticks: BoltTick[], spec: BoltSpec): BoltPass[] {
  const all = [...passes];
  const round = passes.at(-1);
  if (!round) return all;
  const limit = spec.seatingDeg ?? MOVED_DEG;
  for (let i = passes.length - 1; i < ROUNDS_MOST - 1; i++) {
    const here = ticks.filter((t) => t.pass === i);
    const stirred = here.some((t) => t.moved || (t.movedDeg ?? 0) > limit);
    if (here.length < round.order.length || !stirred) break;
    all.push({ ...round, name: M.round({ i: i - passes.length + 3 }) });
  }
  return all;
}

/** The largest movement of each whole round. */
export function rounds(passes: BoltPass[], ticks: BoltTick[]): number[] {
  return passes.flatMap((p, i) => {
    const here = ticks.filter((t) => t.pass === i && t.movedDeg !== undefined);
    return p.kind === 'round' && here.length >= p.order.length
      ? [Math.max(...here.map((t) => t.movedDeg ?? 0))]
      : [];
  });
}

/** The bolt to tighten now, in the order of its pass; null when all is done. */
export function nextBolt(passes: BoltPass[], ticks: BoltTick[]): BoltValues['next'] {
  for (const [pass, p] of passes.entries()) {
    const bolt = p.order.find((b) => !ticks.some((t) => t.pass === pass && t.bolt === b));
    if (bolt !== undefined) return { pass, bolt, torqueNm: p.torqueNm };
  }
  return null;
}

/** Bolts of a pass that are not tight yet, those in filled holes left out. */
export const openIn = ({ passes, ticks, held }: BoltValues, pass: number): number[] =>
  (passes[pass]?.order ?? []).filter(
    (b) => !held?.filled.includes(b) && !ticks.some((t) => t.pass === pass && t.bolt === b),
  );

/** Of a seating round what each still turned is what is judged: they are told one by one. */
export const eachIsJudged = ({ spec, passes, next }: BoltValues): boolean =>
  spec.seatingDeg !== undefined && !spec.seenMoving && next !== null && passes[next.pass]?.kind === 'round';
