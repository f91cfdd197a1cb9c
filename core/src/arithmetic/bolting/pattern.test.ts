import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { alternateHalves, crosswiseCircle, crosswiseRectangle } from './pattern.ts';
import { setScrewPasses } from './set-screws.ts';

const whole = (order: number[], count: number) =>
  expect([...order].sort((a, b) => a - b)).toEqual(Array.from({ length: count }, (_, i) => i + 1));

describe('crosswise', () => {
  it('names every bolt once, whatever the layout', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), (count) => {
        whole(crosswiseCircle(count), count);
        if (count % 2 === 0) {
          whole(crosswiseRectangle(count), count);
          whole(alternateHalves(count), count);
        }
      }),
    );
  });

  it('on a circle each second bolt stands opposite the one before it', () => {
    for (let count = 4; count <= 32; count += 2) {
      const order = crosswiseCircle(count);
      for (let i = 0; i + 1 < count; i += 2)
        expect(Math.abs((order[i + 1] ?? 0) - (order[i] ?? 0)), `${count}`).toBe(count / 2);
    }
  });

  it('an odd circle steps by nearly half a turn', () => {
    for (const count of [3, 5, 7, 9, 11]) {
      const order = crosswiseCircle(count);
      for (let i = 0; i + 1 < count; i++) {
        const apart = Math.abs((order[i + 1] ?? 0) - (order[i] ?? 0));
        expect(Math.min(apart, count - apart)).toBe((count - 1) / 2);
      }
    }
  });

  it('halfway through, the bolts tight stand evenly: no gap is wider than twice the smallest there could be', () => {
    for (const count of [8, 12, 16, 24]) {
      const order = crosswiseCircle(count).slice(0, count / 2);
      const at = [...order].sort((a, b) => a - b);
      const gaps = at.map((b, i) => ((at[(i + 1) % at.length] ?? 0) - b + count) % count);
      expect(Math.max(...gaps)).toBeLessThanOrEqual(4);
    }
  });

  // Common practice, no source: a flange of eight goes 1-5-3-7-2-6-4-8, a cap of four corner to corner.
  it('eight on a circle and four on a cap go as flanges and caps are drawn down', () => {
    expect(crosswiseCircle(8)).toEqual([1, 5, 3, 7, 2, 6, 4, 8]);
    expect(crosswiseRectangle(4)).toEqual([1, 3, 2, 4]);
  });

  it('a cap begins in its middle: the first pair stands no farther out than any later one', () => {
    for (const count of [6, 8, 10, 12]) {
      const perSide = count / 2;
      const column = (b: number) => (b <= perSide ? b - 1 : count - b);
      const out = crosswiseRectangle(count).map((b) => Math.abs(column(b) - (perSide - 1) / 2));
      expect(out[0]).toBe(Math.min(...out));
      expect(out.at(-1)).toBe(Math.max(...out));
    }
  });
});

describe('set screws of a collar', () => {
  it('dogs snug and to torque, then cups, then all once round', () => {
    expect(setScrewPasses(2, 4, 10).map((p) => [p.name, p.kind, p.torqueNm, [...p.order].sort()])).toEqual([
      [
        {
          id: 'arithmetic.bolting.snug',
          params: { name: { id: 'common.dogPoints', params: {} } },
        },
        'hand',
        null,
        [1, 2],
      ],
      [
        {
          id: 'arithmetic.bolting.torque',
          params: { name: { id: 'common.dogPoints', params: {} } },
        },
        'torque',
        10,
        [1, 2],
      ],
      [
        {
          id: 'arithmetic.bolting.snug',
          params: { name: { id: 'common.cupPoints', params: {} } },
        },
        'hand',
        null,
        [3, 4, 5, 6],
      ],
      [
        {
          id: 'arithmetic.bolting.torque',
          params: { name: { id: 'common.cupPoints', params: {} } },
        },
        'torque',
        10,
        [3, 4, 5, 6],
      ],
      [{ id: 'arithmetic.bolting.allOnceRound', params: {} }, 'round', 10, [1, 2, 3, 4, 5, 6]],
    ]);
  });
  it('one screw alone is still snugged, tightened and gone over; none is no collar', () => {
    expect(setScrewPasses(0, 1, 10).map((p) => p.order)).toEqual([[1], [1], [1]]);
    expect(() => setScrewPasses(0, 0, 10)).toThrow(RangeError);
  });
});
