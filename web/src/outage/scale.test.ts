import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inSpans, onQuarter, STEP, scaleOf, tickEvery, ZOOMS } from './scale.ts';

describe('the scale of the board', () => {
  it('shows a shift with an hour to spare, a day with two, an outage whole', () => {
    // Nine hours, twenty-six, and the outage with four in a hundred beyond it, over the width of the board.
    expect(scaleOf('shift', 1080, 9999)).toBe(2);
    expect(scaleOf('day', 1560, 9999)).toBe(1);
    expect(scaleOf('outage', 1040, 1000)).toBe(1);
  });

  it('never shrinks a long outage to nothing, and goes from fine to coarse', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 300, max: 3000 }),
        fc.integer({ min: 60, max: 60 * 24 * 90 }),
        (wide, minutes) => {
          const all = ZOOMS.map(([z]) => scaleOf(z, wide, minutes));
          for (const s of all) expect(s).toBeGreaterThanOrEqual(0.02);
          expect(all[0]).toBeGreaterThan(all[1] ?? 0);
        },
      ),
    );
  });

  it('ticks stand no closer than a time can be read, and no finer than the hour', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.02, max: 5, noNaN: true }), (perMinute) => {
        const every = tickEvery(perMinute);
        expect(every % 60).toBe(0);
        if (every < 2880) expect(every * perMinute).toBeGreaterThanOrEqual(44);
      }),
    );
  });

  it('a piece is dropped on the quarter nearest, never farther than half of one', () => {
    fc.assert(
      fc.property(fc.double({ min: -2000, max: 60_000, noNaN: true }), (m) => {
        const q = onQuarter(m);
        expect(Math.abs(q % STEP)).toBe(0);
        expect(Math.abs(q - m)).toBeLessThanOrEqual(STEP / 2 + 1e-9);
      }),
    );
  });

  it('a span holds its beginning and not its end', () => {
    const spans = [
      [0, 60],
      [90, 120],
    ] as const;
    const spansOf = spans.map(([a, b]) => [a, b] as [number, number]);
    expect([0, 59.9, 60, 75, 90, 119, 120].map((m) => inSpans(spansOf, m))).toEqual([
      true,
      true,
      false,
      false,
      true,
      true,
      false,
    ]);
    expect(inSpans([], 0)).toBe(false);
  });
});
