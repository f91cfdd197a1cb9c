import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  bothSeen,
  deviationOfMean,
  doubtOfMean,
  HANDS,
  handOf,
  handOver,
  handScatter,
  meanUncertainty,
  readingDeviation,
  readingUncertainty,
  scaledHand,
  spreadOver,
  usualDoubt,
} from './hand.ts';
import { normal, randomFrom } from './random.ts';
import { sampleDeviation, studentT95 } from './uncertainty.ts';

const card = { scatter: 0.004, free: 9 };
const stepMm = 0.01;

describe('what a hand scatters by', () => {
  it('is its card with one usual reading beside it (pooled variance, by hand)', () => {
    // (1·0.004² + 9·0.008²)/10 = 5.92e-5, of ten degrees of freedom.
    const s = handScatter({ stepMm, card: { scatter: 0.008, free: 9 } });
    expect(s.hand).toBeCloseTo(Math.sqrt(5.92e-5), 12);
    expect(s).toMatchObject({ free: 10, from: 'card' });
  });

  it('repeats count with it: (10·0.004² + 2·0.005²)/12 = 1.75e-5', () => {
    const s = handScatter({ stepMm, card, scatterMm: 0.005, free: 2 });
    expect(s.hand).toBeCloseTo(Math.sqrt(1.75e-5), 12);
    expect(s.free).toBe(12);
  });

  it('a wider scatter seen overrules the card: beyond F(2, 10) = 4.10 of its variance (F tables, from memory)', () => {
    const at = (times: number) => handScatter({ stepMm, card, scatterMm: Math.sqrt(times) * 0.004, free: 2 });
    expect(at(4.0).from).toBe('card');
    expect(at(4.2)).toMatchObject({ from: 'seen', free: 2 });
  });

  it('without a card is known from three readings on, by themselves alone', () => {
    expect(handScatter({ stepMm, scatterMm: 0.003, free: 1 }).from).toBe('unknown');
    expect(handScatter({ stepMm, scatterMm: 0.003, free: 2 })).toEqual({
      hand: 0.003,
      free: 2,
      from: 'seen',
    });
  });

  it('a fit rests on the card and on what is left beside it', () => {
    // Ten of 0.004² and three of (0.0003/3 = 1e-4): (1.6e-4 + 3e-4)/13, and the step's 0.01²/12 beside it.
    const { deviation, free } = readingDeviation(stepMm, { card: { scatter: 0.004, free: 9 } }, 3e-5 * 3, 3);
    expect(free).toBe(13);
    expect(deviation).toBeCloseTo(Math.sqrt((10 * 0.004 ** 2 + 9e-5) / 13 + stepMm ** 2 / 12), 12);
    // Without either nothing is known: as wide as the coarsest hand.
    expect(readingDeviation(stepMm).deviation).toBeCloseTo(
      Math.hypot((HANDS.unknown * stepMm) / 2, stepMm / Math.sqrt(12)),
      12,
    );
  });

  it('several places are pooled, and so are the bench and what came after', () => {
    const places = [
      [0.05, 0.06, 0.05],
      [0.1, 0.1],
    ];
    const hand = handOver(places, stepMm, card);
    const squares = 2 * sampleDeviation([0.05, 0.06, 0.05]) ** 2;
    expect(hand).toMatchObject({ count: 2, free: 3, scattered: false });
    expect(hand.scatterMm).toBeCloseTo(Math.sqrt(squares / 3), 12);
    const both = bothSeen(hand, { free: 3, scatterMm: 0 });
    expect(both.scatterMm).toBeCloseTo(Math.sqrt(squares / 6), 12);
    expect(handOver([], stepMm)).toMatchObject({ count: 1, free: 0 });
  });
});

describe('doubt of a mean', () => {
  it('of one reading in a known hand, by hand: 1.3 × t(10) × √(0.004² + 0.01²/12)', () => {
    const u = Math.sqrt(0.004 ** 2 + 0.01 ** 2 / 12);
    expect(2 * readingUncertainty(stepMm, { card })).toBeCloseTo(HANDS.factor * studentT95(10) * u, 12);
    expect(studentT95(10)).toBe(2.228);
  });

  it('of one or two in a hand nothing is known of: five steps', () => {
    expect(2 * readingUncertainty(stepMm)).toBeCloseTo(0.05, 12);
    expect(2 * meanUncertainty([0.05, 0.06], stepMm)).toBeCloseTo(0.05, 12);
    expect(2 * doubtOfMean({ count: 1, stepMm, places: 2 })).toBeCloseTo(0.05 * Math.SQRT2, 12);
  });

  it('of three without a card, by their own scatter and Student’s factor of two: 4.303', () => {
    const read = [0.05, 0.06, 0.07];
    const s = 0.01;
    // The step is known for sure: twice its share, scatter and step over √3.
    const wide = HANDS.factor * Math.sqrt((4.303 * s) ** 2 / 3 + (4 * stepMm ** 2) / 12 / 3);
    expect(2 * meanUncertainty(read, stepMm)).toBeCloseTo(wide, 9);
  });

  it('the same value pressed again never makes it better known', () => {
    const same = (n: number, known?: typeof card) => meanUncertainty(new Array(n).fill(0.05), stepMm, known);
    for (let n = 2; n <= 12; n++) {
      expect(same(n, card)).toBe(same(1, card));
      if (n > 3) expect(same(n)).toBe(same(3));
    }
    // Three that agree tell a quiet hand, to a step and no nearer.
    expect(2 * same(3)).toBeCloseTo(HANDS.same * stepMm, 9);
  });

  it('past five readings a mean is no better known', () => {
    const seen = (count: number) => ({ card, count, stepMm, scatterMm: 0.004, free: 4, scattered: true });
    expect(doubtOfMean(seen(9))).toBe(doubtOfMean(seen(5)));
    expect(doubtOfMean(seen(5))).toBeLessThan(doubtOfMean(seen(4)));
  });

  it('a difference of two places doubts as two readings do', () => {
    const one = deviationOfMean({ count: 1, stepMm, card }).deviation;
    expect(deviationOfMean({ count: 1, stepMm, card, places: 2 }).deviation).toBeCloseTo(
      one * Math.SQRT2,
      12,
    );
  });

  it('a coarser step never doubts less, a coarser hand never less, whatever the count', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 8 }),
        fc.double({ min: 0.001, max: 0.02, noNaN: true }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        (count, step, steps) => {
          const at = (by: number, wide: number) =>
            doubtOfMean({ count, stepMm: by, card: { scatter: wide * step, free: 9 }, scattered: true });
          expect(at(step * 1.5, steps)).toBeGreaterThanOrEqual(at(step, steps) * 0.999999);
          expect(at(step, steps + 0.5)).toBeGreaterThanOrEqual(at(step, steps));
          expect(Number.isFinite(at(step, steps))).toBe(true);
        },
      ),
    );
  });

  it('in another unit it is the same', () => {
    const hand = handOf([0.05, 0.06, 0.07], stepMm, card);
    expect(readingUncertainty(1000 * stepMm, scaledHand(hand, 1000))).toBeCloseTo(
      1000 * readingUncertainty(stepMm, hand),
      9,
    );
    expect(scaledHand(undefined, 2)).toBeUndefined();
    expect(usualDoubt(stepMm)).toBeCloseTo(readingUncertainty(stepMm, { card }), 12);
  });

  it('of nothing there is none', () => {
    expect(meanUncertainty([], stepMm)).toBeNaN();
    expect(spreadOver([0.05, 0.05], stepMm)).toBe(false);
    expect(spreadOver([0.05, 0.06], stepMm)).toBe(true);
  });

  // Each hand by itself, in steps of the gauge. Trials, not a table: no source. At length: `npm run proof -- uncertainty`.
  describe.each([0.2, 0.5, 1, 2])('in a hand of %d steps', (steps) => {
    it.each([
      [1, true],
      [3, true],
      [1, false],
      [3, false],
      [5, false],
    ])('of %d readings, card %s, ± 2 of it holds the truth 94 times in 100 and more', (count, carded) => {
      const random = randomFrom(31 * count + 100 * steps);
      let held = 0;
      const trials = 6000;
      const read = (truth: number) => Math.round((truth + steps * stepMm * normal(random)) / stepMm) * stepMm;
      for (let i = 0; i < trials; i++) {
        const truth = 0.05 + stepMm * random();
        const ten = Array.from({ length: 10 }, () => read(0.07 + stepMm * i));
        const own = carded ? { scatter: sampleDeviation(ten), free: 9 } : undefined;
        const values = Array.from({ length: count }, () => read(truth));
        const mean = values.reduce((a, b) => a + b, 0) / count;
        if (Math.abs(mean - truth) <= 2 * meanUncertainty(values, stepMm, own)) held++;
      }
      expect(held / trials).toBeGreaterThan(0.94);
    });
  });
});
