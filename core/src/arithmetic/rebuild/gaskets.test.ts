import { describe, expect, it } from 'vitest';
import { readingUncertainty } from '../../metrology/hand.ts';
import { say } from '../../quantities/say.ts';
import { chanceOf } from '../../testing/random-hand.ts';
import { quietHand } from '../../testing/test-stand.ts';
import { type GasketInput, gasketCompression, gasketStack } from './gaskets.ts';
import { lipOrientation } from './lips.ts';
import { endFloat, shimStack } from './shims.ts';

const pieces = [
  { thicknessMm: 0.1, count: 8 },
  { thicknessMm: 0.15, count: 6 },
];
/** Over none, under 0.25 mm (0.010 in): the usual band of such pumps. Common practice, no source. */
const at = (clearancesMm: number[], more: Partial<GasketInput> = {}) =>
  gasketStack({
    pieces,
    stackMm: 0.5,
    clearancesMm,
    leastMm: 0,
    mostMm: 0.25,
    resolutionMm: 0.01,
    hand: quietHand(0.01),
    ...more,
  });
const verdict = (r: ReturnType<typeof gasketStack>) => r.findings[0]?.verdict;
/** What one feeling is worth, twice, in a quiet hand. */
const DOUBT = 2 * readingUncertainty(0.01, quietHand(0.01));

describe('end clearance over gears', () => {
  it('is judged at the edges of its band with the doubt of the blades: the smaller gap for touching, the larger for too much', () => {
    const table: Array<[number, number, string]> = [
      [0.1, 0.12, 'accept'],
      [DOUBT + 0.0001, 0.1, 'accept'],
      [DOUBT - 0.0001, 0.1, 'too-close'],
      [0.0001, 0.1, 'too-close'],
      [0, 0.1, 'reject'],
      [0.1, 0.25 - DOUBT - 0.0001, 'accept'],
      [0.1, 0.25 - DOUBT + 0.0001, 'too-close'],
      [0.1, 0.25 + DOUBT - 0.0001, 'too-close'],
      [0.1, 0.25 + DOUBT + 0.0001, 'reject'],
    ];
    for (const [small, large, want] of table)
      expect([small, large, verdict(at([small, large, small, large]))]).toEqual([small, large, want]);
  });

  it('is told as it will be under torque: what is lost of the stack, and its doubt, come off', () => {
    // 8 % of 0.5 mm is 0.04 mm.
    const tight = at([0.04, 0.06], { compressedFraction: 0.08 });
    expect(tight.values.smallestMm).toBeCloseTo(0, 12);
    expect(verdict(tight)).toBe('too-close');
    expect(verdict(at([0.02, 0.06], { compressedFraction: 0.08 }))).toBe('reject');
    // The same with a doubt of 2 % in the fraction: ± 0.02 mm at 95 % more.
    const doubted = at([0.08, 0.09], { compressedFraction: 0.08, fractionUncertainty: 0.02 });
    expect(doubted.values.uncertaintyMm).toBeCloseTo(
      Math.hypot(readingUncertainty(0.01, quietHand(0.01)), 0.01),
      9,
    );
  });

  it('the stack it names, laid and squeezed, leaves a clearance in the band: 300 random pumps', () => {
    const chance = chanceOf(7);
    let named = 0;
    for (let i = 0; i < 300; i++) {
      const fraction = 0.15 * chance();
      // How much the gears stand proud of the case, and how unequal they are: what lies under a clearance. Invented.
      const proud = 0.2 + 0.6 * chance();
      const unequal = 0.1 * chance();
      const stackMm = Math.round(80 * chance()) / 100;
      const gaps = [stackMm - proud, stackMm - proud - unequal];
      if (Math.min(...gaps) < 0) continue;
      const { values } = at(gaps, { stackMm, compressedFraction: fraction });
      if (!values.stack) continue;
      named++;
      const s = values.stack.sumMm;
      const under = [s - proud - fraction * s, s - proud - unequal - fraction * s];
      expect(Math.min(...under)).toBeGreaterThan(0);
      expect(Math.max(...under)).toBeLessThan(0.25);
    }
    expect(named).toBeGreaterThan(50);
  });

  it('says what to put in, what to buy, and when no stack can do it', () => {
    const remedy = (r: ReturnType<typeof gasketStack>) => say(r.findings[0]?.remedy ?? '', 'mm');
    expect(remedy(at([0, 0.02]))).toMatch(/^Put in: 4 × 0\.150 mm \(0\.600 mm loose\)/);
    expect(remedy(at([0, 0.02], { pieces: [{ thicknessMm: 0.1, count: 2 }] }))).toMatch(
      /one piece of 0\.4\d+ mm more would/,
    );
    expect(remedy(at([0, 0.3]))).toMatch(/too unequal/);
  });

  it('what a stack loses is the line through nothing, and its doubt right in 95 of 100 whatever the number of stacks', () => {
    const chance = chanceOf(11);
    const normal = () => Math.sqrt(-2 * Math.log(1 - chance())) * Math.cos(2 * Math.PI * chance());
    for (const count of [2, 3, 5]) {
      let right = 0;
      const trials = 4000;
      for (let t = 0; t < trials; t++) {
        const pairs = Array.from({ length: count }, (_, i) => {
          const looseMm = 0.4 + 0.2 * i;
          return { looseMm, torquedMm: looseMm * 0.92 + 0.004 * normal() };
        });
        const { fraction, uncertainty } = gasketCompression(pairs).values;
        if (Math.abs(fraction - 0.08) <= 2 * uncertainty) right++;
      }
      // What a stack gives is known as from three others, by 2 %: these give alike, and the share caught is larger.
      expect(right / trials).toBeGreaterThan(0.939);
    }
    // One pair is known as from three of 2 % beforehand: half of t(3) × 0.02.
    expect(gasketCompression([{ looseMm: 0.5, torquedMm: 0.45 }]).values.uncertainty).toBeCloseTo(
      0.5 * 3.182 * 0.02,
      9,
    );
    expect(gasketCompression([{ looseMm: 0.5, torquedMm: 0.6 }]).findings[0]?.verdict).toBe('caution');
  });

  it('refuses what is no measurement', () => {
    expect(() => at([])).toThrow(/Measure the clearance/);
    expect(() => at([0.1], { leastMm: 0.3 })).toThrow(/must be over/);
    expect(() => at([0.1], { compressedFraction: 0.7 })).toThrow(/half/);
    expect(() => gasketCompression([])).toThrow(/one stack/);
  });
});

describe('shims', () => {
  it('of a wanted thickness: fewest pieces, and how far off', () => {
    const r = shimStack({ pieces, wantedMm: 0.35, toleranceMm: 0.02 });
    expect(r.values).toMatchObject({ stack: { counts: [2, 1], sumMm: 0.35 }, offMm: 0 });
    expect(shimStack({ pieces, wantedMm: 0.17, toleranceMm: 0.02 }).values).toMatchObject({
      stack: { counts: [0, 1] },
      offMm: -0.02,
    });
    expect(shimStack({ pieces, wantedMm: 2.5, toleranceMm: 0.01 }).values).toMatchObject({
      stack: null,
      buyMm: 0.8,
    });
  });

  it('from a float: one for one, either way round', () => {
    const base = {
      stackMm: 1,
      leastMm: 0.1,
      mostMm: 0.2,
      resolutionMm: 0.01,
      hand: quietHand(0.01),
    } as const;
    // 0.30 of float is 0.15 too much: with shims that loosen, 0.15 of them come out; with such that tighten, 0.15 go in. Geometry.
    expect(endFloat({ ...base, floatMm: 0.3, moreShims: 'looser' }).values.wantedMm.aim).toBeCloseTo(0.85, 9);
    expect(endFloat({ ...base, floatMm: 0.3, moreShims: 'tighter' }).values.wantedMm.aim).toBeCloseTo(
      1.15,
      9,
    );
    expect(endFloat({ ...base, floatMm: 0.15, moreShims: 'looser' }).findings[0]?.verdict).toBe('accept');
    expect(endFloat({ ...base, floatMm: 0.101, moreShims: 'looser' }).findings[0]?.verdict).toBe('too-close');
    const none = endFloat({ ...base, stackMm: 0.1, floatMm: 1, moreShims: 'looser', pieces });
    expect(none.values.stack).toBeNull();
    expect(none.findings[0]?.remedy).toMatchObject({ id: 'arithmetic.rebuild.noHeapShimsBringsRight' });
  });
});

describe('lips', () => {
  it('a wrong way is a stop by name; what is not ticked holds', () => {
    const lips = [
      { id: 'a', where: '', name: 'Front', wants: 'inward', wrong: 'It leaks.' },
      { id: 'b', where: '', name: 'Rear', wants: 'outward', wrong: 'It leaks.' },
    ] as const;
    expect(lipOrientation(lips, { a: 'inward', b: 'outward' }).findings).toEqual([]);
    expect(lipOrientation(lips, { a: 'outward' }).findings.map((f) => [f.code, f.verdict])).toEqual([
      ['lips.a', 'reject'],
      ['lips.open', 'incomplete'],
    ]);
  });
});
