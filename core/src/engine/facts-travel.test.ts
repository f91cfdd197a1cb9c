import { describe, expect, it } from 'vitest';
import { fitUpSheet } from '../sheet/sheet.ts';
import { english } from '../testing/english.ts';
import { EVERY_KIND } from '../testing/every-kind.ts';
import { chanceOf, RandomHand } from '../testing/random-hand.ts';
import { factsOf, gather, judge, reduce } from './judge.ts';
import type { Setup } from './setup.ts';

/** A job some way on, by somebody who does anything that may be done. */
function someWayOn(setup: Setup, seed: number): RandomHand {
  const hand = new RandomHand(chanceOf(seed), setup);
  for (let i = 0; i < 160; i++) hand.step();
  return hand;
}

describe('facts sent to another thread and judged there', () => {
  it.each(Object.entries(EVERY_KIND))(
    'are the same job, and the same sheet: %s',
    (_, setup) => {
      for (const seed of [3, 11]) {
        const { events, state } = someWayOn(setup, seed);
        if (!state) throw new Error('It was never opened.');
        const gathered = structuredClone(gather(events));
        if (!gathered) throw new Error('It was never opened.');
        expect(judge(gathered)).toEqual(reduce(events));
        const sent = judge(structuredClone(factsOf(state)));
        expect(sent).toEqual(state);
        expect(english(fitUpSheet(sent, 'H-0001', 'UTC'))).toEqual(
          english(fitUpSheet(state, 'H-0001', 'UTC')),
        );
        // What was drawn from the reports is drawn from those that were made there.
        expect(JSON.stringify(fitUpSheet(sent, 'H-0001', 'UTC').results)).toBe(
          JSON.stringify(fitUpSheet(state, 'H-0001', 'UTC').results),
        );
      }
    },
    120_000,
  );
});
