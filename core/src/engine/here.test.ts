import { describe, expect, it } from 'vitest';
import { bolts } from '../steps/bolts.ts';
import { EVERY_KIND, upTo, workAll } from '../testing/every-kind.ts';
import { handAt, tools } from '../testing/test-stand.ts';
import type { PackingSetup } from '../trades/packing/setup.ts';
import type { SealSetup } from '../trades/seal/setup.ts';
import type { SleeveSetup } from '../trades/sleeve-bearing/setup.ts';
import type { SplitSetup } from '../trades/split-bearing/setup.ts';
import { lackingHere } from './here.ts';
import { stepOf, tradeOf } from './trades.ts';

const setupOf = <S>(name: string): S => {
  const setup = EVERY_KIND[name];
  if (!setup) throw new Error(name);
  return setup as S;
};
const by = setupOf<SleeveSetup>('by feelers');
const { boltSize: _s, boltGrade: _g, boltCount: _c, ...bare } = by;

describe('what a step needs and nobody has said', () => {
  it('opens without it, and asks for it at the step: nothing is tightened or passed before it is said', () => {
    const h = upTo(handAt(bare as SleeveSetup), 'bolts');
    const report = h.state.steps.find((s) => s.id === 'bolts')?.report;
    expect(report?.asks).toEqual(['maker.torqueNm', 'boltCount', 'boltSize', 'boltGrade']);
    expect(report?.act).toMatchObject({ id: 'engine.sayWhatFrontYou' });
    expect(() =>
      h.do('bolt.tightened', { step: 'bolts', pass: 0, bolt: 1, torqueNm: 0, instrument: tools.wrench }),
    ).toThrow(/First say what is in front of you/);
    expect(() => h.pass('bolts')).toThrow(/Not yet/);
  });

  it('said in part it asks for the rest; said whole it goes on, and the sheet tells who said it when', () => {
    const h = upTo(handAt(bare as SleeveSetup), 'bolts');
    const say = (more: object) =>
      h.do('setup.changed', { setup: { ...h.state.setup, ...more }, reason: 'said at the step' });
    say({ boltSize: 'M16' });
    expect(h.state.steps.find((s) => s.id === 'bolts')?.report?.asks).toEqual([
      'maker.torqueNm',
      'boltCount',
      'boltGrade',
    ]);
    say({ boltGrade: '8.8', boltCount: 4 });
    expect(h.state.steps.find((s) => s.id === 'bolts')?.report?.asks).toBeUndefined();
    h.tighten('bolts').answerAll('bolts').pass('bolts');
    expect(h.state.setupChanges).toHaveLength(2);
    // It lifts no stop: nobody else has to look.
    expect(h.state.setupChanges.every((c) => c.readAt.length === 0)).toBe(true);
  });

  it('the sheet’s torque is enough: size and grade are wanted only where it gives none', () => {
    const h = upTo(handAt(bare as SleeveSetup), 'bolts');
    const maker = { ...h.state.setup.maker, torqueNm: 180, torqueMostNm: 200 };
    h.do('setup.changed', {
      setup: { ...h.state.setup, maker, boltCount: 4 } as SleeveSetup,
      reason: 'said at the step',
    });
    const report = h.state.steps.find((s) => s.id === 'bolts')?.report;
    expect(report?.asks).toBeUndefined();
    // Of a range the middle is aimed at; anything within it is right.
    expect(bolts.valuesOf(report)?.torque.torqueNm).toBe(190);
    expect(h.state.setupChanges.every((c) => c.readAt.length === 0)).toBe(true);
    h.tighten('bolts').answerAll('bolts').pass('bolts');
  });

  it.each([
    [
      'split bearing',
      (s: SplitSetup) => ({ ...s, jointScrews: { ...s.jointScrews, size: undefined } }),
      'outer',
    ],
    ['cartridge seal', (s: SealSetup) => ({ ...s, glandNm: undefined }), 'glandbolts'],
    ['packed', (s: PackingSetup) => ({ ...s, followerMm: undefined }), 'follower'],
  ] as const)('%s: the step that needs it asks, and no step before does', (name, without, at) => {
    const full = setupOf<never>(name);
    const setup = (without as (s: never) => object)(full);
    const h = handAt(setup as never);
    for (let i = 0; i < 60 && h.state.present !== at && h.state.present; i++) {
      const now = h.state.steps.find((s) => s.id === h.state.present);
      expect(now?.report?.asks).toBeUndefined();
      upTo(
        h,
        nextOf(
          h.state.present,
          h.state.steps.map((s) => s.id),
        ),
      );
    }
    expect(h.state.present).toBe(at);
    expect(h.state.steps.find((s) => s.id === at)?.report?.asks?.length).toBeGreaterThan(0);
  });

  it('a family that has no such screws is not asked for their torque', () => {
    const pinned = { ...setupOf<SealSetup>('clamped split seal'), dogs: 0, cups: 0, screwNm: undefined };
    const steps = tradeOf(pinned).procedure(pinned).steps;
    for (const s of steps) expect(lackingHere(pinned, s).map((f) => f.name)).not.toContain('screwNm');
  });

  it('what every step needs is a field of its trade that may be left open', () => {
    for (const setup of Object.values(EVERY_KIND)) {
      const { schema } = tradeOf(setup);
      const all = JSON.stringify(schema.describe());
      for (const s of tradeOf(setup).procedure(setup).steps)
        for (const need of s.needs ?? [])
          expect([s.id, need, all.includes(need.split('.').pop() ?? '')]).toEqual([s.id, need, true]);
      const h = workAll(handAt(setup));
      for (const s of h.state.steps) expect(lackingHere(setup, stepOf(h.state, s.id) ?? {})).toEqual([]);
    }
  }, 30_000);
});

const nextOf = (id: string, ids: readonly string[]): string => ids[ids.indexOf(id) + 1] ?? 'sign';
