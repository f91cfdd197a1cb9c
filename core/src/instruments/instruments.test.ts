import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fitHarmonics } from '../metrology/harmonics.ts';
import { randomFrom } from '../metrology/random.ts';
import {
  BENCH_DIAL,
  diameterAt,
  feelBlade,
  readDial,
  STAND_IN_SHAFTS,
  surfaceAt,
  TRUE_SHAFT,
} from '../simulation/turning-shaft.ts';
import { english } from '../testing/english.ts';
import { gaugeLine, lineSplitter, parseGaugeLine } from './line-protocol.ts';
import { addToSweep, samplesAt, startSweep, sweepClosing, sweepReadings, sweepWhole } from './sweep.ts';

describe('line protocol: value, unit, end of line', () => {
  it.each([
    ['+0.012 mm', 0.012, 'length'],
    ['-.0005 in', -0.0127, 'length'],
    ['38 um', 0.038, 'length'],
    ['0,012 mm', 0.012, 'length'],
    ['45.0 deg', 45, 'angle'],
    ['196Nm', 196, 'torque'],
    ['71.5 C', 71.5, 'temperature'],
  ] as const)('%s', (text, value, quantity) => {
    const r = parseGaugeLine(text);
    if (!r.ok) throw new Error(english(r.message));
    expect(r.line.value).toBeCloseTo(value, 9);
    expect(r.line.quantity).toBe(quantity);
  });
  it.each(['', 'ERR', '0.012', '1.2.3 mm', '5 furlong', 'mm 5', '--3 mm', 'NaN mm', '1e5 mm'])(
    'gives no value for “%s”, and says so',
    (text) => {
      const r = parseGaugeLine(text);
      expect(r.ok).toBe(false);
      if (!r.ok) expect(english(r.message)).toMatch(/gauge se/);
    },
  );
  it('what is written is read back (property)', () => {
    fc.assert(
      fc.property(fc.integer({ min: -5_000_000, max: 5_000_000 }), (n) => {
        const r = parseGaugeLine(gaugeLine(n / 1000, 'mm', 3));
        expect(r.ok && r.line.value).toBeCloseTo(n / 1000, 9);
      }),
    );
  });
  it('lines come whole however they are cut into pieces (property)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('+0.012 mm', '-0.5 mm', '90.0 deg'), { maxLength: 8 }),
        fc.array(fc.integer({ min: 1, max: 7 }), { minLength: 1, maxLength: 30 }),
        fc.constantFrom('\n', '\r\n'),
        (lines, cuts, end) => {
          const text = lines.map((l) => l + end).join('');
          const take = lineSplitter();
          const got: string[] = [];
          for (let i = 0, k = 0; i < text.length; k++) {
            const n = cuts[k % cuts.length] ?? 1;
            got.push(...take(text.slice(i, i + n)));
            i += n;
          }
          expect(got).toEqual(lines);
        },
      ),
    );
  });
});

describe('a sweep gathered from a stream', () => {
  it('a bent shaft closes its turn: the first and the last half of a bin tell the same angle', () => {
    // A once-a-turn wave steepest at 0°, as a bent shaft met on its flank; 0.2 mm of it is no movement of the indicator.
    let s = startSweep(12);
    for (let deg = 0; deg <= 360; deg += 0.5) s = addToSweep(s, deg, 0.2 * Math.sin((deg * Math.PI) / 180));
    const first = sweepReadings(s)[0]?.valueMm ?? 9;
    expect(first).toBeCloseTo(0, 3);
    expect(sweepClosing(s)).toBeCloseTo(first, 3);
    // An oval one swept fast, a value every three degrees or so: what closes the turn is within a step of 0.002.
    let oval = startSweep(24);
    for (let deg = 0.4; deg <= 360; deg += 2.9)
      oval = addToSweep(oval, deg, 0.05 * Math.sin((2 * deg * Math.PI) / 180));
    const closing = (sweepClosing(oval) ?? 9) - (sweepReadings(oval)[0]?.valueMm ?? -9);
    expect(Math.abs(closing)).toBeLessThan(0.002);
  });

  const turn = (angles: number, perDegree: number, f: (deg: number) => number, to = 365) => {
    let s = startSweep(angles);
    for (let i = 0; i <= to * perDegree; i++) s = addToSweep(s, i / perDegree, f(i / perDegree));
    return s;
  };
  it('24 angles of one turn, each the mean of what came near it, and closed', () => {
    const s = turn(24, 1, (a) => 0.02 * Math.cos((a * Math.PI) / 180));
    expect(sweepWhole(s)).toBe(true);
    expect(sweepReadings(s)).toHaveLength(24);
    expect(samplesAt(s, 3)).toBe(7);
    expect(sweepClosing(s)).toBeCloseTo(0.02, 4);
    const fit = fitHarmonics(sweepReadings(s), 0.0001);
    expect(fit?.harmonics[0]?.amplitudeMm).toBeCloseTo(0.02, 4);
  });
  it('three waves a turn lose under 0.8 % to the window', () => {
    const s = turn(24, 4, (a) => 0.02 * Math.cos((3 * a * Math.PI) / 180));
    const a3 = fitHarmonics(sweepReadings(s), 0.0001)?.harmonics[2]?.amplitudeMm ?? 0;
    expect(a3 / 0.02).toBeGreaterThan(0.992);
    expect(a3 / 0.02).toBeLessThanOrEqual(1);
  });
  it('half a turn is not whole, and what was never met is not made up', () => {
    const s = turn(24, 1, () => 0.01, 180);
    expect(sweepWhole(s)).toBe(false);
    expect(sweepReadings(s)).toHaveLength(13);
    expect(sweepClosing(s)).toBeUndefined();
    expect(s.turnedDeg).toBe(180);
  });
});

describe('the stand-in shaft and dial', () => {
  it('an oval of 2× amplitude 0.05 differs by 0.20 in diameter at right angles (geometry: 4A₂)', () => {
    const s = { ...TRUE_SHAFT, ovalMm: 0.05 };
    expect(diameterAt(s, 10, 0) - diameterAt(s, 10, 90)).toBeCloseTo(0.2, 9);
  });
  it('off centre does not show in a diameter, a taper shows in nothing but', () => {
    expect(diameterAt(STAND_IN_SHAFTS['off-centre'], 10, 33)).toBeCloseTo(60, 9);
    const tapered = { ...TRUE_SHAFT, taperMmPer100: 0.03 };
    expect(diameterAt(tapered, 100, 0) - diameterAt(tapered, 0, 0)).toBeCloseTo(0.03, 9);
    expect(surfaceAt(tapered, 50, 0)).toBeCloseTo(surfaceAt(tapered, 50, 90), 12);
  });
  it('a dial’s rack follows only when its play is used up', () => {
    const dial = { stepMm: 0.0001, noiseMm: 0, backlashMm: 0.01 };
    const up = readDial(dial, { rackMm: 0 }, 0.02, () => 0.5);
    expect(up.readingMm).toBeCloseTo(0.015, 9);
    expect(readDial(dial, up.state, 0.018, () => 0.5).readingMm).toBeCloseTo(0.015, 9);
    expect(readDial(dial, up.state, 0.005, () => 0.5).readingMm).toBeCloseTo(0.01, 9);
  });
  it('the same seed reads the same, another seed differs', () => {
    const run = (seed: number) => {
      const random = randomFrom(seed);
      return Array.from({ length: 20 }, () => readDial(BENCH_DIAL, { rackMm: 0 }, 0.0151, random).readingMm);
    };
    expect(run(5)).toEqual(run(5));
    expect(run(5)).not.toEqual(run(6));
    for (const v of run(5)) expect(Math.abs(v - 0.0151)).toBeLessThan(0.004);
  });
  it('a blade is felt within a step of the gap, never below nothing', () => {
    const random = randomFrom(3);
    for (let i = 0; i < 200; i++) expect(Math.abs(feelBlade(0.12, 0.01, random) - 0.12)).toBeLessThan(0.0151);
    expect(feelBlade(0, 0.05, random)).toBeGreaterThanOrEqual(0);
  });
});
