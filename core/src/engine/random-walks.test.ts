import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { summarise } from '../job/summary.ts';
import { fitUpSheet } from '../sheet/sheet.ts';
import { arbitrarySetup } from '../testing/arbitrary-setup.ts';
import { english } from '../testing/english.ts';
import { EVERY_KIND, workAll } from '../testing/every-kind.ts';
import { chanceOf, RandomHand } from '../testing/random-hand.ts';
import { handAt } from '../testing/test-stand.ts';
import { seedOf, triesOf } from '../testing/tries.ts';
import { wayOn } from '../testing/way-on.ts';
import { reduce } from './judge.ts';
import type { Setup } from './setup.ts';
import { unworkable } from './workable.ts';

/** Acts of one walk. */
const ACTS = 70;
const seed = seedOf(20261126);
const runs = (usual: number) => ({ numRuns: triesOf(usual), seed });
const PATIENCE_MS = 1_200_000;

const walked = (setup: Setup, seed: number): RandomHand => {
  const hand = new RandomHand(chanceOf(seed), setup);
  for (let i = 0; i < ACTS; i++) {
    hand.step();
    // Whatever was done, and whatever the setup was changed to: there is a next thing, or a sentence that says what puts it right.
    if (hand.state && wayOn(hand.state).length === 0)
      throw new Error(
        `stuck at ${hand.state.present}: ${JSON.stringify(english(hand.state.steps.find((s) => s.id === hand.state?.present)?.blocking))}`,
      );
  }
  return hand;
};

/** A step that could not be worked out says so in its own place; none is meant to. */
const failures = (hand: RandomHand) => hand.state?.steps.flatMap((s) => s.report?.failed ?? []) ?? [];

describe.each<[string, Setup]>(Object.entries(EVERY_KIND))('any job %s, by any hand', (_name, usual) => {
  it(
    'throws nowhere, is refused in sentences, and is told the same from its events as step by step',
    () => {
      fc.assert(
        fc.property(arbitrarySetup(usual), fc.integer(), (setup, seed) => {
          const hand = walked(setup, seed);
          for (const r of hand.refusals) {
            expect(r).toMatch(/^.{12,}[.?!]?$/s);
            expect(r).not.toMatch(/could not be worked out|does not go together/);
          }
          if (!hand.state) return;
          expect(failures(hand)).toEqual([]);
          expect(reduce(hand.events)).toEqual(hand.state);
          summarise(hand.state);
          const sheet = fitUpSheet(hand.state, 'F-1');
          expect(JSON.stringify(english(sheet))).not.toMatch(/[⟦⟧]|NaN|undefined/);
        }),
        runs(3),
      );
    },
    PATIENCE_MS,
  );

  it(
    'nor from anywhere on the way to its signature',
    () => {
      const { events } = workAll(handAt(usual));
      fc.assert(
        fc.property(fc.integer({ min: 1, max: events.length }), fc.integer(), (at, seed) => {
          const hand = new RandomHand(chanceOf(seed), usual).takeOver(events.slice(0, at));
          for (let i = 0; i < 30; i++) hand.step();
          expect(failures(hand)).toEqual([]);
          expect(reduce(hand.events)).toEqual(hand.state);
          for (const r of hand.refusals) expect(r).not.toMatch(/worked out|does not go together/);
          if (hand.state) expect(fitUpSheet(hand.state, 'F-1').steps.length).toBeGreaterThan(2);
        }),
        runs(3),
      );
    },
    PATIENCE_MS,
  );

  it(
    'whatever its setup, if the schema lets it through no step is left that cannot be worked out',
    () => {
      fc.assert(
        fc.property(arbitrarySetup(usual), (setup) => {
          expect(unworkable(setup)).toBeNull();
        }),
        runs(20),
      );
    },
    PATIENCE_MS,
  );

  it('gets on: a hand that knows its part walks well past the gate', () => {
    const furthest = Math.max(
      ...[1, 2, 3].map((seed) => {
        const hand = walked(usual, seed);
        return hand.state?.steps.filter((s) => s.status === 'done').length ?? 0;
      }),
    );
    expect(furthest).toBeGreaterThan(0);
  });
});
