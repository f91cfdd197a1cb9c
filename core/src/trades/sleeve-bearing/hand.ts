import type { Hand } from '../../engine/hand.ts';
import { ScriptedHand } from '../../engine/scripted-hand.ts';
import { measureSeat } from '../../steps/example.ts';

/** Feeler pairs on the bench, row A and row B. */
export function feelBench(h: Hand, pairs: ReadonlyArray<readonly [number, number]>, from = 1): void {
  pairs.forEach(([a, b], i) => {
    h.read('bench', `set${from + i}/A`, a, 'feeler').read('bench', `set${from + i}/B`, b, 'feeler');
  });
}

/** Both rows felt at a nut angle. */
export const feelAt = (h: Hand, deg: number, rowA: number, rowB: number): Hand =>
  h.read('driveup', `deg${deg}/A/1`, rowA, 'feeler').read('driveup', `deg${deg}/B/1`, rowB, 'feeler');

/** A hand that fits bearings on their sleeves, for demo data and tests. */
export class BearingHand extends ScriptedHand {
  /** Diameters station by station; a short list leaves the rest unmeasured. */
  survey(diametersMm: readonly number[]): this {
    measureSeat(this, diametersMm);
    return this;
  }

  bench(pairs: ReadonlyArray<readonly [number, number]>, from = 1): this {
    feelBench(this, pairs, from);
    return this;
  }

  drive(deg: number, rowA: number, rowB: number): this {
    feelAt(this, deg, rowA, rowB);
    return this;
  }

  /** The nut on to the tab, both rows felt (as often as pairs are given), the tab bent. */
  lock(turnedDeg: number, pairs: ReadonlyArray<readonly [number, number]>): this {
    this.read('lock', 'turn', turnedDeg, 'protractor');
    pairs.forEach(([a, b], i) => {
      this.read('lock', `final/A/${i + 1}`, a, 'feeler').read('lock', `final/B/${i + 1}`, b, 'feeler');
    });
    return this.answerAll('lock');
  }

  /** Tick cap bolts in the pattern until `ticks` are done, or all. */
  bolts(ticks = Number.POSITIVE_INFINITY): this {
    return this.tighten('bolts', undefined, ticks);
  }
}
