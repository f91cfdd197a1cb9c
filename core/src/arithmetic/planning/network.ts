import type { Text } from '../../message/message.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { M } from './messages.ts';
/** From and to, whole minutes from the start of the window; `to` is no longer in it. */
export type Span = readonly [from: number, to: number];

/** Something one can have one of: a fitter by name, with the shifts worked, breaks cut out. */
export type Unit = { id: string; shifts: readonly Span[] };

/** Things that are alike, by their count: a pump, torque wrenches of a range. There all the time where no spans are given. */
export type Pool = { id: string; count: number; spans?: readonly Span[] | undefined };

/** So many hands of those who can do it. */
export type Need = { of: readonly string[]; count: number };

export type Task = {
  id: string;
  /** Minutes of work; of waiting, where it takes no hands. */
  minutes: number;
  after: ReadonlyArray<{ id: string; wait?: number | undefined }>;
  hands?: readonly Need[] | undefined;
  pools?: Readonly<Record<string, number>> | undefined;
  /** When its machine may be worked on; always where it is left out. It lies within one of them whole. */
  within?: readonly Span[] | undefined;
  /** It may rest over a break or a night and go on after it. */
  pauses?: boolean | undefined;
  /** Not before. */
  from?: number | undefined;
  /** It stands where it stands: begun, or pinned. With whom, where that stands too. */
  fixed?: { start: number; finish?: number | undefined; units?: readonly string[] | undefined } | undefined;
  /** Pinned to these hands, wherever it lies in time. */
  by?: readonly string[] | undefined;
  /** What it belongs to: hands are kept on one job where that costs nothing. */
  group?: string | undefined;
};

export type Network = { tasks: readonly Task[]; units: readonly Unit[]; pools: readonly Pool[] };

export type Placed = { id: string; start: number; finish: number; units: readonly string[] };

/**
 * What is wrong with a network, as sentences with the task they belong to; nothing where it can be planned.
 * Circles, tasks that name what is not there, needs larger than what there is.
 */
export function faultsOf(network: Network): Array<{ task: string; message: Text }> {
  const faults: Array<{ task: string; message: Text }> = [];
  const byId = new Map(network.tasks.map((t) => [t.id, t]));
  if (byId.size < network.tasks.length) faults.push({ task: '', message: M.twoTasksHaveOneName });
  const pools = new Map(network.pools.map((p) => [p.id, p]));
  const units = new Set(network.units.map((u) => u.id));
  for (const t of network.tasks) {
    const say = (message: Text) => faults.push({ task: t.id, message });
    if (!(t.minutes >= 0 && Number.isFinite(t.minutes))) say(M.durationNoNumberMinutes);
    for (const { id } of t.after) if (!byId.has(id)) say(M.comesAfterWhichNotThere({ id }));
    for (const [p, n] of Object.entries(t.pools ?? {})) {
      const pool = pools.get(p);
      if (!pool) say(M.needsWhichNotThere({ p }));
      else if (n > pool.count) say(M.needsThere({ n, p, count: pool.count }));
    }
    for (const need of t.hands ?? []) {
      const there = need.of.filter((u) => units.has(u)).length;
      if (there < need.count)
        say(
          M.needs({
            count: need.count === 1 ? M.hand : M.hands({ count: need.count }),
            there: there === 0 ? M.nobodyHereCanDo : M.onlyHereCanDo({ there }),
          }),
        );
    }
  }
  if (faults.length > 0) return faults;
  const circle = circleIn(network);
  return circle
    ? [{ task: circle[0] ?? '', message: M.theseWaitEachOtherCircle({ circle: circle.join(', ') }) }]
    : [];
}

/** Tasks that wait for one another in a circle, in its order; null where there is none. */
export function circleIn({ tasks }: Pick<Network, 'tasks'>): string[] | null {
  const byId = new Map(tasks.map((t) => [t.id, t]));
  const done = new Set<string>();
  const path: string[] = [];
  const on = new Set<string>();
  const visit = (id: string): string[] | null => {
    if (on.has(id)) return path.slice(path.indexOf(id));
    if (done.has(id)) return null;
    on.add(id);
    path.push(id);
    for (const a of byId.get(id)?.after ?? []) {
      const found = visit(a.id);
      if (found) return found;
    }
    path.pop();
    on.delete(id);
    done.add(id);
    return null;
  };
  for (const t of tasks) {
    const found = visit(t.id);
    if (found) return found.reverse();
  }
  return null;
}

export type Critical = {
  id: string;
  earliest: number;
  latest: number;
  /** How far it may slip without moving the end. */
  slack: number;
};

/**
 * Earliest and latest starts by the critical path method, hands and tools without end: forward and backward pass over the network.
 * Source: J. E. Kelley, M. R. Walker, Critical-Path Planning and Scheduling, 1959.
 * @throws RangeError where tasks wait for each other in a circle
 * @example criticalPath([{ id: 'a', minutes: 3, after: [] }, { id: 'b', minutes: 2, after: [{ id: 'a' }] }]).finish // 5
 */
export function criticalPath(tasks: readonly Task[]): { finish: number; tasks: Critical[] } {
  const order = inOrder(tasks);
  const early = new Map<string, number>();
  const minutes = new Map(tasks.map((t) => [t.id, t.minutes]));
  for (const t of order)
    early.set(
      t.id,
      Math.max(
        t.from ?? 0,
        ...t.after.map((a) => (early.get(a.id) ?? 0) + (minutes.get(a.id) ?? 0) + (a.wait ?? 0)),
        0,
      ),
    );
  const finish = Math.max(0, ...tasks.map((t) => (early.get(t.id) ?? 0) + t.minutes));
  const late = new Map(tasks.map((t) => [t.id, finish - t.minutes]));
  for (const t of [...order].reverse())
    for (const a of t.after) {
      const at = (late.get(t.id) ?? 0) - (a.wait ?? 0) - (minutes.get(a.id) ?? 0);
      if (at < (late.get(a.id) ?? 0)) late.set(a.id, at);
    }
  return {
    finish,
    tasks: tasks.map((t) => {
      const [earliest, latest] = [early.get(t.id) ?? 0, late.get(t.id) ?? 0];
      return { id: t.id, earliest, latest, slack: latest - earliest };
    }),
  };
}

/** Tasks that wait for each other, and so can never begin; none where there is no circle. */
export function circleOf(tasks: readonly Task[]): string[] {
  let left = [...tasks];
  for (let fewer = true; fewer; ) {
    const waiting = new Set(left.map((t) => t.id));
    // Neither what waits for nothing left, nor what nothing left waits for, is part of a circle.
    const waitedFor = new Set(left.flatMap((t) => t.after.map((a) => a.id)));
    const still = left.filter((t) => t.after.some((a) => waiting.has(a.id)) && waitedFor.has(t.id));
    fewer = still.length < left.length;
    left = still;
  }
  return left.map((t) => t.id);
}

/** Tasks so that each comes after those it waits for. @throws RangeError where there is a circle */
export function inOrder(tasks: readonly Task[]): Task[] {
  const byId = new Map(tasks.map((t) => [t.id, t]));
  const left = new Map(tasks.map((t) => [t.id, t.after.filter((a) => byId.has(a.id)).length]));
  const next = new Map<string, string[]>();
  for (const t of tasks) for (const a of t.after) next.set(a.id, [...(next.get(a.id) ?? []), t.id]);
  const ready = tasks.filter((t) => left.get(t.id) === 0);
  const out: Task[] = [];
  for (let i = 0; i < ready.length; i++) {
    const t = ready[i] as Task;
    out.push(t);
    for (const id of next.get(t.id) ?? []) {
      const n = (left.get(id) ?? 0) - 1;
      left.set(id, n);
      const then = byId.get(id);
      if (n === 0 && then) ready.push(then);
    }
  }
  if (out.length < tasks.length) throw new MessageError(M.tasksWaitEachOtherCircle);
  return out;
}
