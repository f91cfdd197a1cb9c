import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readingUncertainty } from '../../metrology/hand.ts';
import { formatRoughness } from '../../quantities/roughness.ts';
import { say } from '../../quantities/say.ts';
import { english } from '../../testing/english.ts';
import { quietHand } from '../../testing/test-stand.ts';
import { RQ_PER_RA, shaftFinish } from './finish.ts';
import { groove } from './groove.ts';
import { shaftPlay } from './play.ts';
import { seatLimits } from './seat-limits.ts';

describe('a seat by what goes on it', () => {
  it.each([
    // ISO 286-2, from memory: h6 −19, h7 −30, h8 −46, h9 −74 µm over 50 to 80 mm.
    ['adapter-sleeve', undefined, 59.926, 60, 'h9'],
    ['split-race', 'h6', 59.981, 60, 'h6'],
    ['split-race', undefined, 59.97, 60, 'h7'],
    ['split-race', 'h8', 59.954, 60, 'h8'],
    // Common practice, no source: nominal, nothing over, 0.05 under.
    ['mechanical-seal', undefined, 59.95, 60, 'nominal, nothing over'],
    ['packing-sleeve', undefined, 59.95, 60, 'nominal, nothing over'],
  ] as const)('%s %s on a 60 mm shaft: %f to %f', (seat, splitRaceGrade, lower, upper, name) => {
    const s = seatLimits({ nominalMm: 60, system: 'metric', seat, splitRaceGrade });
    expect(s.limits.lowerMm).toBeCloseTo(lower, 6);
    expect(s.limits.upperMm).toBeCloseTo(upper, 6);
    expect(english(s.name)).toBe(name);
    expect(s.limits.upperMm - s.limits.lowerMm).toBeCloseTo(s.limits.itMm, 6);
  });

  it('an inch seat under a seal may be two thou under (common practice, no source)', () => {
    const s = seatLimits({ nominalMm: 2.5 * 25.4, system: 'inch', seat: 'mechanical-seal' });
    expect(s.limits.lowerMm).toBeCloseTo(2.498 * 25.4, 6);
    expect(s.limits.upperMm).toBeCloseTo(63.5, 6);
  });

  it('a throttle judges the clearance it leaves, at three places, and cannot be judged without its bore', () => {
    const s = seatLimits({ nominalMm: 60, system: 'metric', seat: 'throttle', throttleBoreMm: 60.1 });
    expect([s.limits.lowerMm, s.limits.upperMm]).toEqual([59.97, 60.1]);
    expect(s.leastPlaces).toBe(3);
    expect(() => seatLimits({ nominalMm: 60, system: 'metric', seat: 'throttle' })).toThrow(
      /bore of the throttle/,
    );
  });

  it('the maker’s two values outrank every seat’s own, and are named as his (property)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('adapter-sleeve', 'mechanical-seal', 'packing-sleeve', 'split-race'),
        fc.double({ min: 20, max: 300, noNaN: true }),
        (seat, nominalMm) => {
          const maker = { makerLowerMm: nominalMm - 0.012, makerUpperMm: nominalMm + 0.003 };
          const s = seatLimits({ nominalMm, system: 'metric', seat, ...maker });
          expect([s.limits.lowerMm, s.limits.upperMm]).toEqual([maker.makerLowerMm, maker.makerUpperMm]);
          expect(s.source).toBe('maker');
        },
      ),
    );
  });
});

describe('a worn groove', () => {
  const worn = (insideMm: number, under: 'moving-o-ring' | 'seal-drive' | 'elsewhere') =>
    groove({ besideMm: 60, insideMm, under, resolutionMm: 0.001, hand: quietHand(0.001) });
  it('is half the difference of the diameters deep', () => {
    expect(worn(59.9, 'elsewhere').depthMm).toBeCloseTo(0.05, 9);
  });
  it('stops where an O-ring moves or a seal drives, warns elsewhere, and lets a polish mark be', () => {
    expect(worn(59.9, 'moving-o-ring').finding.verdict).toBe('reject');
    expect(worn(59.9, 'seal-drive').finding.verdict).toBe('reject');
    expect(worn(59.9, 'elsewhere').finding.verdict).toBe('caution');
    expect(worn(59.998, 'moving-o-ring').finding.verdict).toBe('accept');
  });
  it('as deep as a fingernail feels is too close to call, and the groove side of the track never reads as negative', () => {
    expect(worn(59.99, 'moving-o-ring').finding.verdict).toBe('too-close');
    expect(say(worn(60.002, 'moving-o-ring').finding.reason, 'mm')).toContain('0.000 mm deep');
  });
});

describe('finish', () => {
  const base = { surface: 'shaft', parameter: 'Ra', resolutionUm: 0.01, hand: quietHand(0.01) } as const;
  it('Rq is 1.11 Ra: the mean and the root mean square of a sine, summed up numerically', () => {
    const sine = Array.from({ length: 10_000 }, (_, i) => Math.sin((2 * Math.PI * (i + 0.5)) / 10_000));
    const ra = sine.reduce((n, y) => n + Math.abs(y), 0) / sine.length;
    const rq = Math.sqrt(sine.reduce((n, y) => n + y * y, 0) / sine.length);
    expect(RQ_PER_RA).toBeCloseTo(rq / ra, 6);
  });
  it('the roughest reading is judged, not the mean; 0.8 µm under a seal, 3.2 on a gasket face (common practice)', () => {
    const readingsUm = [0.4, 0.4, 1.2];
    expect(shaftFinish({ ...base, readingsUm }).findings[0]?.verdict).toBe('reject');
    const face = shaftFinish({ ...base, surface: 'gasket-face', readingsUm });
    expect(face.findings[0]?.verdict).toBe('accept');
    expect(face.values.meanRaUm).toBeCloseTo(2 / 3, 9);
  });
  it('an Rq reading passes where the same digits as Ra would not, and the convention is said', () => {
    const asRa = shaftFinish({ ...base, readingsUm: [0.85] });
    const asRq = shaftFinish({ ...base, parameter: 'Rq', readingsUm: [0.85] });
    expect(asRa.findings[0]?.verdict).toBe('reject');
    expect(asRq.findings[0]?.verdict).toBe('accept');
    expect(asRq.findings.find((f) => f.code === 'finish.shaft.convention')?.verdict).toBe('caution');
  });
  it('within the tester’s doubt it is too close to call; unread it is not yet; the maker’s limit outranks', () => {
    expect(shaftFinish({ ...base, readingsUm: [0.81] }).findings[0]?.verdict).toBe('too-close');
    expect(shaftFinish({ ...base, readingsUm: [] }).findings[0]?.verdict).toBe('incomplete');
    const maker = shaftFinish({ ...base, readingsUm: [0.6], makerLimitUm: 0.4 }).findings[0];
    expect([maker?.verdict, maker?.source]).toEqual(['reject', 'maker']);
  });
});

describe('a finish at its limit', () => {
  const at = (readingsUm: number[], resolutionUm: number) =>
    shaftFinish({ surface: 'shaft', parameter: 'Ra', readingsUm, resolutionUm }).findings[0]?.verdict;
  it('32 µin is the limit as 0.8 µm is: met on comparator plates, too close by a tester, no stop (common practice, no source)', () => {
    expect(at([0.8], 0.4)).toBe('accept');
    expect(at([0.8128], 0.4)).toBe('accept');
    expect(at([1.6], 0.4)).toBe('reject');
    expect(at([0.8128], 0.025)).toBe('too-close');
  });
  it('a round value is said as the other scale rounds it', () => {
    expect([0.4, 0.8, 1.6, 3.2, 0.5].map((um) => formatRoughness(um, 'in'))).toEqual([
      '16 µin',
      '32 µin',
      '63 µin',
      '125 µin',
      '20 µin',
    ]);
  });
});

describe('end and radial play', () => {
  const base = { resolutionMm: 0.01, hand: quietHand(0.01), school: 'strict' } as const;
  const ends = (...travel: number[]) => travel.map((t) => ({ pushMm: 0, pullMm: t }));
  it('is the mean travel, whichever way the dial was zeroed', () => {
    const there = shaftPlay({ ...base, end: ends(0.08, 0.1, 0.09) });
    const back = shaftPlay({ ...base, end: [0.08, 0.1, 0.09].map((t) => ({ pushMm: 1 + t, pullMm: 1 })) });
    expect(there.values.endPlayMm).toBeCloseTo(0.09, 9);
    expect(back.values.endPlayMm).toBeCloseTo(0.09, 9);
    expect(there.values.radialPlayMm).toBeNull();
  });
  it('the doubt of one travel is √2 of one reading’s (GUM 5.1.2), two of them wide on the beam', () => {
    const beam = shaftPlay({ ...base, end: ends(0.09) }).beams[0];
    expect(beam?.expanded).toBeCloseTo(2 * Math.SQRT2 * readingUncertainty(0.01, quietHand(0.01)), 9);
  });
  it('the schools differ: 0.2 stops by the strict, passes by the flat (common practice)', () => {
    const end = ends(0.2, 0.2, 0.2);
    expect(shaftPlay({ ...base, end }).findings[0]?.verdict).toBe('reject');
    expect(shaftPlay({ ...base, school: 'flat', end }).findings[0]?.verdict).toBe('accept');
    expect(shaftPlay({ ...base, end: ends(0.13) }).findings[0]?.verdict).toBe('too-close');
    expect(shaftPlay(base).findings.map((f) => f.verdict)).toEqual(['incomplete', 'incomplete']);
  });
  it('radial: good to 0.05, a caution to 0.08, a stop beyond (common practice); the maker’s value knows no caution', () => {
    const radial = (lift: number, makerRadialMm?: number) =>
      shaftPlay({
        resolutionMm: 0.001,
        hand: quietHand(0.001),
        school: 'strict',
        makerRadialMm,
        radial: Array.from({ length: 3 }, () => ({ restMm: 0, liftMm: lift })),
      }).findings.find((f) => f.code === 'play.radial')?.verdict;
    expect([0.04, 0.06, 0.1].map((l) => radial(l))).toEqual(['accept', 'caution', 'reject']);
    expect(radial(0.06, 0.12)).toBe('accept');
  });
});
