import highsLoader from 'highs';
import { describe, expect, it } from 'vitest';
import { chanceOf } from '../../testing/random-hand.ts';
import { bestStack, type Piece, pieceToBuy, type Stack, type StackBand } from './stack.ts';

type Heap = { pieces: Piece[]; band: StackBand };

/** Random heaps of up to five thicknesses in hundredths of a millimetre, up to four of each, and a band to hit; invented. */
function heaps(count: number): Heap[] {
  const chance = chanceOf(20261126);
  const upTo = (n: number) => Math.floor(n * chance());
  return Array.from({ length: count }, () => {
    const kinds = new Set(Array.from({ length: 1 + upTo(5) }, () => 2 + upTo(60)));
    const pieces = [...kinds].map((hundredths) => ({ thicknessMm: hundredths / 100, count: upTo(5) }));
    const aim = upTo(250) / 100;
    const half = upTo(6) / 100;
    return { pieces, band: { leastMm: aim - half, mostMm: aim + half, aimMm: aim } };
  });
}

const hundredths = (mm: number) => Math.round(100 * mm);

/** Plain enumeration: every count of every thickness. */
function enumerated({ pieces, band }: Heap): (Pick<Stack, 'pieces' | 'kinds'> & { off: number }) | null {
  let best: { pieces: number; off: number; kinds: number } | null = null;
  const [least, most, aim] = [band.leastMm, band.mostMm, band.aimMm].map(hundredths) as [
    number,
    number,
    number,
  ];
  const go = (i: number, sum: number, used: number, kinds: number): void => {
    const piece = pieces[i];
    if (!piece) {
      if (sum < least || sum > most) return;
      const one = { pieces: used, off: Math.abs(sum - aim), kinds };
      const order = best ? [one.off - best.off, one.pieces - best.pieces, one.kinds - best.kinds] : [-1];
      if ((order.find((d) => d !== 0) ?? 0) < 0) best = one;
      return;
    }
    for (let k = 0; k <= piece.count; k++)
      go(i + 1, sum + k * hundredths(piece.thicknessMm), used + k, kinds + (k > 0 ? 1 : 0));
  };
  go(0, 0, 0, 0);
  return best;
}

describe('a stack of the pieces on hand', () => {
  it('is the one plain enumeration finds, on 300 random heaps', () => {
    let none = 0;
    for (const heap of heaps(300)) {
      const [got, want] = [bestStack(heap.pieces, heap.band), enumerated(heap)];
      if (!want) none++;
      const told = got && {
        pieces: got.pieces,
        off: Math.abs(hundredths(got.sumMm) - hundredths(heap.band.aimMm)),
        kinds: got.kinds,
      };
      expect(told).toEqual(want);
      if (!got) continue;
      // What it says is what its counts come to, of pieces that are there.
      const sum = heap.pieces.reduce((s, p, i) => s + p.thicknessMm * (got.counts[i] ?? 0), 0);
      expect(got.sumMm).toBeCloseTo(sum, 9);
      heap.pieces.forEach((p, i) => {
        expect(got.counts[i]).toBeLessThanOrEqual(p.count);
      });
    }
    // Both ways happened.
    expect(none).toBeGreaterThan(30);
    expect(none).toBeLessThan(270);
  });

  it('lies as near its aim, of as few pieces, as the integer program HiGHS solves for, on the same heaps', async () => {
    const highs = await highsLoader();
    for (const { pieces, band } of heaps(300)) {
      const sum = pieces.map((p, i) => `${hundredths(p.thicknessMm)} x${i}`).join(' + ');
      const solved = highs.solve(
        [
          'Minimize',
          // How far off the aim first, then a piece for each.
          ` obj: 1000 off + ${pieces.map((_, i) => `x${i}`).join(' + ')}`,
          'Subject To',
          ` least: ${sum} >= ${hundredths(band.leastMm)}`,
          ` most: ${sum} <= ${hundredths(band.mostMm)}`,
          ` over: ${sum} - off <= ${hundredths(band.aimMm)}`,
          ` under: ${sum} + off >= ${hundredths(band.aimMm)}`,
          'Bounds',
          ...pieces.map((p, i) => ` 0 <= x${i} <= ${p.count}`),
          'General',
          ` ${pieces.map((_, i) => `x${i}`).join(' ')}`,
          'End',
        ].join('\n'),
      );
      const got = bestStack(pieces, band);
      const off = got ? Math.abs(hundredths(got.sumMm) - hundredths(band.aimMm)) : 0;
      if (solved.Status === 'Optimal')
        expect(1000 * off + (got?.pieces ?? 0)).toBe(Math.round(solved.ObjectiveValue));
      else expect([solved.Status, got]).toEqual(['Infeasible', null]);
    }
  }, 60_000);

  it('says the one piece that, bought, makes the aim: with it there is a stack, and a thinner one would not do', () => {
    let asked = 0;
    for (const { pieces, band } of heaps(300)) {
      if (bestStack(pieces, band)) continue;
      const buy = pieceToBuy(pieces, band);
      if (buy === null) {
        expect(band.aimMm).toBeLessThan(0.02);
        continue;
      }
      asked++;
      const with1 = bestStack([...pieces, { thicknessMm: buy, count: 1 }], {
        ...band,
        leastMm: band.aimMm,
        mostMm: band.aimMm,
      });
      expect(with1?.counts.at(-1)).toBe(1);
    }
    expect(asked).toBeGreaterThan(30);
  });

  it('tells apart inch pieces, which are no whole hundredths: 0.002 in is 0.0508 mm', () => {
    const pieces = [
      { thicknessMm: 0.0508, count: 3 },
      { thicknessMm: 0.254, count: 2 },
    ];
    expect(bestStack(pieces, { leastMm: 0.3555, mostMm: 0.3557, aimMm: 0.3556 })).toMatchObject({
      counts: [2, 1],
      sumMm: 0.3556,
    });
    expect(bestStack(pieces, { leastMm: 0.36, mostMm: 0.4, aimMm: 0.38 })).toBeNull();
  });

  it('takes nothing where nothing is wanted, and refuses heaps that are none', () => {
    const one = [{ thicknessMm: 0.1, count: 1 }];
    expect(bestStack(one, { leastMm: -0.05, mostMm: 0.05, aimMm: 0 })).toMatchObject({ pieces: 0, sumMm: 0 });
    expect(bestStack(one, { leastMm: -0.2, mostMm: -0.1, aimMm: -0.15 })).toBeNull();
    const band = { leastMm: 0, mostMm: 1, aimMm: 0.5 };
    expect(() => bestStack([{ thicknessMm: 0, count: 1 }], band)).toThrow(/thickness/);
    expect(() => bestStack([{ thicknessMm: 0.1, count: 1.5 }], band)).toThrow(/so many/);
    expect(() => bestStack(one, { ...band, mostMm: 100 })).toThrow(/thicker/);
    expect(() => bestStack(one, { leastMm: 1, mostMm: 0, aimMm: 0 })).toThrow(/under its least/);
  });
});
