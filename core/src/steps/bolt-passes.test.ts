import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { BoltTick } from '../engine/state.ts';
import { type BoltSpec, nextBolt, openIn, passesOf, ROUNDS_MOST, rounds, withRounds } from './bolt-passes.ts';

const spec = (more: Partial<BoltSpec> = {}): BoltSpec => ({
  one: 'bolt',
  what: 'Cap bolts',
  count: 8,
  layout: 'circle',
  ...more,
});
const tick = (pass: number, bolt: number, more: Partial<BoltTick> = {}): BoltTick =>
  ({ pass, bolt, torqueNm: 0, moved: false, ...more }) as BoltTick;

/** Any set of bolts a job may have. */
const anySpec: fc.Arbitrary<BoltSpec> = fc
  .record({
    half: fc.integer({ min: 1, max: 8 }),
    layout: fc.constantFrom('circle' as const, 'rectangle' as const, 'halves' as const),
    way: fc.constantFrom('plain', 'snug', 'seating', 'dogs', 'occupied'),
  })
  .map(({ half, layout, way }) => {
    const count = 2 * half;
    return spec({
      count,
      layout,
      ...(way === 'snug' ? { snug: true as const } : {}),
      ...(way === 'seating' ? { seatingDeg: 5 } : {}),
      ...(way === 'dogs' ? { dogs: half } : {}),
      ...(way === 'occupied' && count > 2
        ? { occupied: { holes: [1], by: 'guide pin', free: 'pin', wait: 'Pull the pin.' } }
        : {}),
    });
  });

/** Every bolt the sheet asks for, in the order it asks, as a hand follows it. */
function followed(s: BoltSpec, moves: (round: number, bolt: number) => Partial<BoltTick> = () => ({})) {
  const ticks: BoltTick[] = [];
  for (let i = 0; i < 2000; i++) {
    const passes = withRounds(passesOf(s, 100), ticks, s);
    const next = nextBolt(passes, ticks);
    if (!next) return { ticks, passes };
    ticks.push(tick(next.pass, next.bolt, moves(next.pass, next.bolt)));
  }
  throw new Error('It asks without end.');
}

describe('the passes of a set of bolts', () => {
  it('each goes once in every pass that goes to torque, none is left out, and none is asked twice', () => {
    fc.assert(
      fc.property(anySpec, (s) => {
        const { ticks, passes } = followed(s);
        const all = Array.from({ length: s.count }, (_, i) => i + 1);
        for (const [i, p] of passes.entries()) {
          const here = ticks.filter((t) => t.pass === i).map((t) => t.bolt);
          expect(here).toEqual(p.order);
          expect(new Set(here).size).toBe(here.length);
          if (p.kind === 'round') expect([...here].sort((a, b) => a - b)).toEqual(all);
        }
        const touched = new Set(ticks.map((t) => t.bolt));
        expect([...touched].sort((a, b) => a - b)).toEqual(all);
        expect(nextBolt(passes, ticks)).toBeNull();
      }),
    );
  });

  it('the torque never falls from one pass to the next, and the last is the whole of it', () => {
    fc.assert(
      fc.property(anySpec, fc.double({ min: 1, max: 2000, noNaN: true }), (s, nm) => {
        fc.pre(s.snug !== true && s.dogs === undefined);
        const torques = passesOf(s, nm).flatMap((p) => (p.torqueNm === null ? [] : [p.torqueNm]));
        for (const [i, t] of torques.entries())
          expect(t).toBeGreaterThanOrEqual((torques[i - 1] ?? 0) - 1e-9);
        expect(torques.at(-1)).toBeCloseTo(nm, 6);
      }),
    );
  });

  it('bolts into filled holes come last by hand, and before anything goes to torque', () => {
    const s = spec({ occupied: { holes: [3, 7], by: 'guide pins', free: 'pins', wait: 'Pull the pins.' } });
    const [hand, last, ...rest] = passesOf(s, 100);
    expect(hand?.order).not.toContain(3);
    expect(hand?.order).not.toContain(7);
    expect(last).toMatchObject({
      name: { id: 'steps.last', params: { count: 2 } },
      kind: 'hand',
      order: [3, 7],
    });
    expect(rest[0]?.torqueNm).toBeGreaterThan(0);
    // What is still filled is not offered, though its turn may have come.
    const values = { spec: s, torque: { torqueNm: 100, source: 'maker' as const }, settling: [] };
    const passes = passesOf(s, 100);
    const held = { waits: 'Pull the pins.', filled: [3, 7], jacked: false };
    expect(openIn({ ...values, passes, ticks: [], next: null, held }, 1)).toEqual([]);
    expect(openIn({ ...values, passes, ticks: [tick(1, 3)], next: null }, 1)).toEqual([7]);
  });

  it('dog points are home before a cup point is touched', () => {
    const s = spec({ count: 6, dogs: 2 });
    const { ticks } = followed(s);
    const firstCup = ticks.findIndex((t) => t.bolt > 2);
    const dogsToTorque = ticks.filter((t) => t.bolt <= 2 && t.pass === 1);
    expect(dogsToTorque).toHaveLength(2);
    expect(ticks.indexOf(dogsToTorque.at(-1) as BoltTick)).toBeLessThan(firstCup);
  });
});

describe('another round', () => {
  it('as long as one still moves, and no longer', () => {
    const s = spec({ count: 4 });
    const base = passesOf(s, 100).length;
    const still = followed(s);
    expect(still.passes).toHaveLength(base);
    // The third bolt moves in the last round and in the two after it.
    const moving = followed(s, (pass, bolt) => ({
      moved: bolt === 3 && pass >= base - 1 && pass < base + 2,
    }));
    expect(moving.passes).toHaveLength(base + 3);
    expect(moving.passes.at(-1)?.name).toMatchObject({ id: 'steps.round', params: { i: 4 } });
  });

  it('a seating loop ends with the first whole round within its angle', () => {
    const s = spec({ count: 4, seatingDeg: 5 });
    const base = passesOf(s, 100).length;
    const { ticks, passes } = followed(s, (pass) => ({ movedDeg: Math.max(0, 40 - 12 * pass) }));
    const settling = rounds(passes, ticks);
    expect(settling.slice(0, -1).every((deg) => deg > 5)).toBe(true);
    expect(settling.at(-1)).toBeLessThanOrEqual(5);
    expect(passes.length).toBeGreaterThanOrEqual(base);
    // Just at the angle is settled.
    expect(followed(s, () => ({ movedDeg: 5 })).passes).toHaveLength(base);
  });

  it('nobody goes round for ever', () => {
    const { passes } = followed(spec({ count: 2 }), () => ({ moved: true, movedDeg: 90 }));
    expect(passes).toHaveLength(ROUNDS_MOST);
  });

  it('half a round tells nothing yet', () => {
    const s = spec({ count: 4, seatingDeg: 5 });
    const passes = passesOf(s, 100);
    const last = passes.length - 1;
    const half = (passes[last]?.order ?? []).slice(0, 2).map((b) => tick(last, b, { movedDeg: 60 }));
    const before = passes
      .slice(0, last)
      .flatMap((p, i) => p.order.map((b) => tick(i, b, p.kind === 'round' ? { movedDeg: 60 } : {})));
    expect(withRounds(passes, [...before, ...half], s)).toHaveLength(passes.length);
  });
});
