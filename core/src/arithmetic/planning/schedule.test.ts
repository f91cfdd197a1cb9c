import fc from 'fast-check';
import highsLoader from 'highs';
import { describe, expect, it } from 'vitest';
import { english } from '../../testing/english.ts';
import { triedNetwork } from '../../testing/tried-network.ts';
import { seedOf, triesOf } from '../../testing/tries.ts';
import { minutesIn } from './calendar.ts';
import {
  circleIn,
  criticalPath,
  faultsOf,
  type Network,
  type Placed,
  type Span,
  type Task,
} from './network.ts';
import { carriedOn, firstCome, planned } from './search.ts';

/** The shortest plan by a time-indexed integer program: x(i, t) is one where task i begins at t. Solved by HiGHS, which knows nothing of ours. */
async function shortest(network: Network, atMost: number): Promise<number> {
  const highs = await highsLoader();
  const { tasks, pools } = network;
  const x = (i: number, t: number) => `x${i}_${t}`;
  const times = (i: number) => Array.from({ length: atMost - (tasks[i]?.minutes ?? 0) + 1 }, (_, t) => t);
  const at = new Map(tasks.map((t, i) => [t.id, i]));
  const rows: string[] = [];
  tasks.forEach((task, i) => {
    rows.push(
      `${times(i)
        .map((t) => x(i, t))
        .join(' + ')} = 1`,
    );
    rows.push(
      `z ${times(i)
        .filter((t) => t + task.minutes > 0)
        .map((t) => `- ${t + task.minutes} ${x(i, t)}`)
        .join(' ')} >= 0`,
    );
    for (const a of task.after) {
      const j = at.get(a.id) as number;
      const lag = (tasks[j]?.minutes ?? 0) + (a.wait ?? 0);
      const terms = [
        ...times(i)
          .filter((t) => t > 0)
          .map((t) => `+ ${t} ${x(i, t)}`),
        ...times(j)
          .filter((t) => t > 0)
          .map((t) => `- ${t} ${x(j, t)}`),
      ];
      if (terms.length > 0) rows.push(`${terms.join(' ')} >= ${lag}`);
    }
  });
  for (const pool of pools)
    for (let t = 0; t < atMost; t++) {
      const terms = tasks.flatMap((task, i) => {
        const count = task.pools?.[pool.id] ?? 0;
        if (count === 0) return [];
        return times(i)
          .filter((s) => s <= t && s + task.minutes > t)
          .map((s) => `+ ${count} ${x(i, s)}`);
      });
      if (terms.length > 0) rows.push(`${terms.join(' ')} <= ${pool.count}`);
    }
  const names = tasks.flatMap((_, i) => times(i).map((t) => x(i, t)));
  const solved = highs.solve(
    `Minimize\n obj: z\nSubject To\n${rows.map((r, k) => ` c${k}: ${r}`).join('\n')}\nBinary\n ${names.join('\n ')}\nEnd\n`,
  );
  expect(solved.Status).toBe('Optimal');
  return Math.round(solved.ObjectiveValue);
}

/** What in a plan breaks a binding, a count, a shift, a window or a pin, as sentences. */
function breaks(network: Network, placed: readonly Placed[]): string[] {
  const wrong: string[] = [];
  const by = new Map(placed.map((p) => [p.id, p]));
  for (const t of network.tasks) {
    const p = by.get(t.id) as Placed;
    for (const a of t.after)
      if (p.start + 1e-6 < (by.get(a.id)?.finish ?? 0) + (a.wait ?? 0)) wrong.push(`${t.id} before ${a.id}`);
    if (p.start < (t.from ?? 0)) wrong.push(`${t.id} too early`);
    if (t.fixed && p.start !== t.fixed.start) wrong.push(`${t.id} moved off its pin`);
    if (t.by && !t.by.every((u) => p.units.includes(u))) wrong.push(`${t.id} taken from its hand`);
    const needed = (t.hands ?? []).reduce((n, h) => n + h.count, 0);
    if (new Set(p.units).size !== needed) wrong.push(`${t.id} has ${p.units.length} hands of ${needed}`);
    for (const u of p.units) {
      const shifts = network.units.find((x) => x.id === u)?.shifts ?? [];
      const worked = minutesIn(shifts, p.start, p.finish);
      if (!t.pauses && Math.abs(worked - (p.finish - p.start)) > 1e-6)
        wrong.push(`${t.id}: ${u} is not at work`);
      if (t.pauses && worked + 1e-6 < t.minutes) wrong.push(`${t.id}: ${u} worked ${worked} of ${t.minutes}`);
      for (const o of placed)
        if (o.id !== t.id && o.units.includes(u) && o.start < p.finish - 1e-6 && o.finish > p.start + 1e-6)
          wrong.push(`${u} at ${t.id} and ${o.id} at once`);
    }
    if (t.within && !t.pauses && !t.within.some(([f, e]) => f <= p.start && p.finish <= e))
      wrong.push(`${t.id} outside its window`);
  }
  for (const pool of network.pools)
    for (const p of placed) {
      const used = placed
        .filter((o) => o.start <= p.start && o.finish > p.start)
        .reduce((n, o) => n + (network.tasks.find((t) => t.id === o.id)?.pools?.[pool.id] ?? 0), 0);
      if (used > pool.count) wrong.push(`${used} of ${pool.id} at ${p.start}`);
    }
  return wrong;
}

describe('critical path', () => {
  it('a textbook network by hand: forward and backward pass, slack', () => {
    // Worked by hand, activity on node, after the usual eight-activity example of textbooks: a3 b4 c2(a) d5(b) e1(c) f2(c) g4(d,e) h3(f,g).
    const task = (id: string, minutes: number, ...after: string[]): Task => ({
      id,
      minutes,
      after: after.map((a) => ({ id: a })),
    });
    const tasks = [
      task('a', 3),
      task('b', 4),
      task('c', 2, 'a'),
      task('d', 5, 'b'),
      task('e', 1, 'c'),
      task('f', 2, 'c'),
      task('g', 4, 'd', 'e'),
      task('h', 3, 'f', 'g'),
    ];
    const path = criticalPath(tasks);
    expect(path.finish).toBe(16);
    expect(path.tasks.filter((t) => t.slack === 0).map((t) => t.id)).toEqual(['b', 'd', 'g', 'h']);
    expect(path.tasks.map((t) => [t.id, t.earliest, t.latest])).toEqual([
      ['a', 0, 3],
      ['b', 0, 0],
      ['c', 3, 6],
      ['d', 4, 4],
      ['e', 5, 8],
      ['f', 5, 11],
      ['g', 9, 9],
      ['h', 13, 13],
    ]);
  });
  it('a wait counts, a circle is named', () => {
    expect(
      criticalPath([
        { id: 'a', minutes: 10, after: [] },
        { id: 'b', minutes: 5, after: [{ id: 'a', wait: 60 }] },
      ]).finish,
    ).toBe(75);
    const round: Task[] = [
      { id: 'a', minutes: 1, after: [{ id: 'c' }] },
      { id: 'b', minutes: 1, after: [{ id: 'a' }] },
      { id: 'c', minutes: 1, after: [{ id: 'b' }] },
    ];
    expect(new Set(circleIn({ tasks: round }))).toEqual(new Set(['a', 'b', 'c']));
    expect(faultsOf({ tasks: round, units: [], pools: [] })[0]?.message).toMatchObject({
      id: 'arithmetic.planning.theseWaitEachOtherCircle',
    });
  });
});

describe('a plan', () => {
  it('is the shortest there is on small networks, by an integer program; never shorter, and never below its bound', async () => {
    let equal = 0;
    const tries = triesOf(30);
    const first = seedOf(1);
    for (let seed = first; seed < first + tries; seed++) {
      const network = triedNetwork(5 + (seed % 4), seed, { resources: 3, strength: (seed % 3) / 4 });
      const ours = planned(network, { looks: 250, seed });
      const best = await shortest(network, ours.end);
      expect(ours.end).toBeGreaterThanOrEqual(best);
      expect(ours.bound.end).toBeLessThanOrEqual(best + 1e-6);
      expect(breaks(network, ours.placed)).toEqual([]);
      if (ours.end === best) equal++;
    }
    expect(equal / tries).toBeGreaterThanOrEqual(0.95);
  }, 3_600_000);

  it.each([30, 60])(
    'of %d tasks and four resources stands close above its bound, and well below first come, first served',
    (n) => {
      const first = seedOf(1);
      const tried = Array.from({ length: Math.max(5, Math.ceil(triesOf(30) / 10)) }, (_, i) => first + i).map(
        (seed) => {
          const network = triedNetwork(n, 100 + seed);
          const plan = planned(network, { looks: 150, seed });
          expect(breaks(network, plan.placed)).toEqual([]);
          return { gap: plan.gap, saved: 1 - plan.end / firstCome(network).end };
        },
      );
      const mean = (f: (t: (typeof tried)[number]) => number) =>
        tried.reduce((s, t) => s + f(t), 0) / tried.length;
      expect(mean((t) => t.gap)).toBeLessThanOrEqual(0.08);
      expect(mean((t) => t.saved)).toBeGreaterThan(0.05);
    },
    3_600_000,
  );

  it('is the same from the same seed', () => {
    const network = triedNetwork(40, 7);
    expect(english(planned(network, { looks: 60, seed: 3 }))).toEqual(
      english(planned(network, { looks: 60, seed: 3 })),
    );
  });

  it('with hands that have shifts, breaks, skills and pins breaks none of them, whatever is asked', () => {
    const day: Span[] = [0, 1, 2, 3, 4, 5, 6].flatMap((d): Span[] => [
      [d * 1440, d * 1440 + 240],
      [d * 1440 + 270, d * 1440 + 510],
    ]);
    const arbitrary = fc.record({
      seed: fc.integer({ min: 1, max: 1e6 }),
      n: fc.integer({ min: 3, max: 14 }),
      crew: fc.integer({ min: 2, max: 4 }),
      pin: fc.boolean(),
    });
    fc.assert(
      fc.property(arbitrary, ({ seed, n, crew, pin }) => {
        const base = triedNetwork(n, seed, { resources: 2, strength: 0.5 });
        const units = Array.from({ length: crew }, (_, i) => ({
          id: `u${i}`,
          shifts: i === 1 ? day.slice(2) : day,
        }));
        const tasks = base.tasks.map(
          (t, i): Task => ({
            ...t,
            minutes: 15 * t.minutes,
            pauses: i % 3 === 0,
            hands:
              i % 5 === 4
                ? []
                : [{ of: units.slice(i % 2).map((u) => u.id), count: i % 4 === 1 && crew > 2 ? 2 : 1 }],
            ...(i % 7 === 5
              ? {
                  within: [
                    [60, 400],
                    ...[1, 2, 3, 4, 5, 6].map((d): Span => [d * 1440, d * 1440 + 460]),
                  ] as Span[],
                }
              : {}),
            ...(i % 6 === 2 ? { by: ['u1'] } : {}),
          }),
        );
        const loose = planned({ ...base, units, tasks }, { looks: 20, seed });
        expect(loose.broken).toEqual([]);
        expect(breaks({ ...base, units, tasks }, loose.placed)).toEqual([]);
        if (!pin) return;
        // Whatever lies somewhere may be pinned there, and stays.
        const chosen = loose.placed[Math.floor(n / 2)] as Placed;
        const pinned = tasks.map((t) =>
          t.id === chosen.id ? { ...t, fixed: { start: chosen.start }, by: chosen.units } : t,
        );
        const again = planned({ ...base, units, tasks: pinned }, { looks: 20, seed: seed + 1 });
        if (again.broken.length === 0)
          expect(breaks({ ...base, units, tasks: pinned }, again.placed)).toEqual([]);
        else expect(english(again.broken[0]?.why)).toMatch(/waits for|no place|does not fit/);
      }),
      { numRuns: 120 },
    );
  });

  it('is carried on with the same hands in the same order, later where something takes longer, and breaks nothing', () => {
    const shifts: Span[] = [[0, 2000]];
    const units = ['a', 'b'].map((id) => ({ id, shifts }));
    const base = triedNetwork(12, 5, { resources: 2 });
    const network: Network = {
      ...base,
      units,
      tasks: base.tasks.map((t) => ({ ...t, hands: [{ of: ['a', 'b'], count: 1 }] })),
    };
    const plan = planned(network, { looks: 40 });
    const same = carriedOn(network, plan.placed);
    expect(same.end).toBeLessThanOrEqual(plan.end + 1e-9);
    expect(same.placed.map((p) => [p.id, ...p.units])).toEqual(plan.placed.map((p) => [p.id, ...p.units]));
    const [first] = plan.placed as [Placed];
    const longer = {
      ...network,
      tasks: network.tasks.map((t) => (t.id === first.id ? { ...t, minutes: t.minutes + 30 } : t)),
    };
    const late = carriedOn(longer, plan.placed);
    expect(late.end).toBeGreaterThan(plan.end);
    expect(breaks(longer, late.placed)).toEqual([]);
  });

  it('rests over a break where it may, and else begins where it fits', () => {
    const units = [
      {
        id: 'a',
        shifts: [
          [0, 240],
          [270, 510],
        ] as Span[],
      },
    ];
    const one = (pauses: boolean) =>
      planned({
        units,
        pools: [],
        tasks: [{ id: 't', minutes: 200, after: [], from: 120, pauses, hands: [{ of: ['a'], count: 1 }] }],
      }).placed[0];
    expect(one(true)).toMatchObject({ start: 120, finish: 350 });
    expect(one(false)).toMatchObject({ start: 270, finish: 470 });
  });

  it('what there is none of is not given out', () => {
    const none = planned({
      units: [],
      pools: [{ id: 'pump', count: 0 }],
      tasks: [{ id: 't', minutes: 5, after: [], pools: { pump: 1 } }],
    });
    expect(none.broken.map((b) => b.task)).toEqual(['t']);
  });

  it('says what cannot be planned instead of throwing', () => {
    const plan = planned({
      units: [{ id: 'a', shifts: [[0, 100]] }],
      pools: [],
      tasks: [
        { id: 'long', minutes: 200, after: [], hands: [{ of: ['a'], count: 1 }] },
        { id: 'then', minutes: 5, after: [{ id: 'long' }] },
      ],
    });
    expect(plan.broken.map((b) => b.task)).toEqual(['long', 'then']);
    expect(
      english(
        faultsOf({
          units: [],
          pools: [{ id: 'pump', count: 1 }],
          tasks: [
            {
              id: 't',
              minutes: 5,
              after: [{ id: 'gone' }],
              pools: { pump: 2 },
              hands: [{ of: ['a'], count: 1 }],
            },
          ],
        }).map((f) => f.message),
      ),
    ).toEqual([
      'It comes after “gone”, which is not there.',
      'It needs 2 of “pump” and there is 1.',
      'It needs a person and nobody here can do it.',
    ]);
  });
});
