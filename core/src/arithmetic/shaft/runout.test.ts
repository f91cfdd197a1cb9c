import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { say } from '../../quantities/say.ts';
import { chanceOf } from '../../testing/random-hand.ts';
import { quietHand } from '../../testing/test-stand.ts';
import { type StationVector, shaftBend } from './bend.ts';
import { type RunoutInput, runout } from './runout.ts';

const rad = (deg: number) => (deg * Math.PI) / 180;
const turn = (n: number, f: (deg: number) => number) =>
  Array.from({ length: n }, (_, i) => ({
    angleDeg: (360 * i) / n,
    valueMm: Math.round(f((360 * i) / n) * 1000) / 1000,
  }));
const at60 = (readings: RunoutInput['readings'], more: Partial<RunoutInput> = {}) =>
  runout({
    shaftMm: 60,
    readings,
    closingMm: readings[0]?.valueMm,
    resolutionMm: 0.001,
    hand: quietHand(more.resolutionMm ?? 0.001),
    school: 'proportional',
    ...more,
  });
const verdict = (r: ReturnType<typeof at60>, code: string) =>
  r.findings.find((f) => f.code === code)?.verdict;

describe('run-out', () => {
  it('limits by school: 1 µm per mm, flat 0.05, standards 0.025; the maker outranks (common practice; from memory)', () => {
    const readings = turn(8, (a) => 0.02 * Math.cos(rad(a)));
    expect(at60(readings).values.limitMm).toBeCloseTo(0.06, 12);
    expect(at60(readings, { school: 'flat' }).values.limitMm).toBe(0.05);
    expect(at60(readings, { school: 'standards' }).values.limitMm).toBe(0.025);
    const maker = at60(readings, { makerLimitMm: 0.03 });
    expect(maker.values.limitMm).toBe(0.03);
    expect(maker.findings[0]?.source).toBe('maker');
    expect(maker.beams[0]?.alternatives?.map((a) => a.at)).toEqual([0.06, 0.05, 0.025]);
    expect(at60(readings).beams[0]?.alternatives?.map((a) => a.at)).toEqual([0.05, 0.025]);
  });

  it('off centre by 0.02: TIR 0.040, high spot at its angle, once a turn (geometry: TIR = 2A₁)', () => {
    const r = at60(turn(8, (a) => 0.02 * Math.cos(rad(a - 45))));
    expect(r.values.tirMm).toBeCloseTo(0.04, 6);
    expect(r.values.highSpotDeg).toBeCloseTo(45, 1);
    expect(r.values.shape).toBe('off-centre');
    expect(verdict(r, 'runout.tir')).toBe('accept');
    expect(verdict(r, 'runout.closing')).toBe('accept');
  });

  it('names oval, lobed, rough and true', () => {
    expect(at60(turn(12, (a) => 0.03 * Math.cos(2 * rad(a - 20)))).values.shape).toBe('oval');
    expect(at60(turn(12, (a) => 0.03 * Math.cos(3 * rad(a)))).values.shape).toBe('lobed');
    expect(at60(turn(24, (a) => (a % 30 === 0 ? 0.02 : -0.02))).values.shape).toBe('rough');
    expect(at60(turn(8, () => 0.1)).values.shape).toBe('true');
    expect(at60(turn(12, (a) => 0.02 * Math.cos(rad(a)) + 0.02 * Math.cos(2 * rad(a)))).values.shape).toBe(
      'mixed',
    );
  });

  it('over the limit is a stop with the remedy of its shape', () => {
    const oval = at60(turn(12, (a) => 0.05 * Math.cos(2 * rad(a))));
    expect(verdict(oval, 'runout.tir')).toBe('reject');
    expect(oval.findings[0]?.remedy).toMatchObject({ id: 'arithmetic.shaft.dressHighSidesSleeveShaft' });
    const bent = at60(turn(12, (a) => 0.05 * Math.cos(rad(a))));
    expect(bent.findings[0]?.remedy).toMatchObject({ id: 'arithmetic.shaft.indicateMoreStationsTellBent' });
  });

  it('within doubt of the limit it says how many readings would settle it', () => {
    const coarse = at60(
      turn(8, (a) => 0.029 * Math.cos(rad(a))),
      { resolutionMm: 0.005 },
    );
    expect(verdict(coarse, 'runout.tir')).toBe('too-close');
    expect(say(coarse.findings[0]?.remedy ?? '', 'mm')).toMatch(/16 angles|finer/);
    // A gauge that steps finer calls it, at twice the angles.
    const fine = at60(
      turn(16, (a) => 0.0275 * Math.cos(rad(a))),
      { resolutionMm: 0.001 },
    );
    expect(verdict(fine, 'runout.tir')).toBe('accept');
  });

  it('judges the larger of read and fitted, and what can hide between the angles: A·2(1 − cos(180°/n)) (geometry)', () => {
    // Four angles, the high spot between two of them: 0.048 is read, 2 × 0.024 × √2 = 0.068 is there.
    const hidden = runout({
      ...{
        shaftMm: 60,
        resolutionMm: 0.001,
        hand: quietHand(0.001),
        school: 'flat',
        wanted: 4,
        closingMm: 0.024,
      },
      readings: turn(4, (a) => 0.034 * Math.cos(rad(a - 45))),
    });
    expect(hidden.values.tirMm).toBeCloseTo(0.068, 3);
    expect(verdict(hidden, 'runout.tir')).toBe('reject');
    // Four angles accept nothing, whatever they read: an oval may hide between them.
    const near = (mm: number) =>
      verdict(
        runout({
          ...{
            shaftMm: 60,
            resolutionMm: 0.001,
            hand: quietHand(0.001),
            school: 'flat',
            wanted: 4,
            closingMm: mm,
          },
          readings: turn(4, (a) => mm * Math.cos(rad(a))),
        }),
        'runout.tir',
      );
    expect([near(0.0176), near(0.002)]).toEqual(['too-close', 'too-close']);
  });

  it('a true run-out on its limit is accepted in no more than five of a hundred, at 4, 8 and 16 angles', () => {
    const chance = chanceOf(55);
    const normal = () => Math.sqrt(-2 * Math.log(1 - chance())) * Math.cos(2 * Math.PI * chance());
    for (const n of [4, 8, 16]) {
      let accepted = 0;
      for (let t = 0; t < 400; t++) {
        const phase = 360 * chance();
        const readings = turn(n, (a) => {
          const mm = 0.025 * Math.cos(rad(a - phase)) + 0.0005 * normal();
          return Math.round(mm / 0.001) * 0.001;
        });
        const told = runout({
          ...{
            shaftMm: 60,
            resolutionMm: 0.001,
            hand: quietHand(0.001),
            school: 'flat',
            wanted: n,
            closingMm: readings[0]?.valueMm,
          },
          readings,
        });
        if (verdict(told, 'runout.tir') === 'accept') accepted++;
      }
      expect([n, accepted <= 20]).toEqual([n, true]);
    }
  });

  it('a gauge that moved is told by the closing reading, not by more than one step', () => {
    const readings = turn(8, (a) => 0.01 * Math.cos(rad(a)));
    expect(verdict(at60(readings, { closingMm: 0.011 }), 'runout.closing')).toBe('accept');
    expect(verdict(at60(readings, { closingMm: 0.013 }), 'runout.closing')).toBe('reject');
    const open = runout({
      shaftMm: 60,
      readings,
      resolutionMm: 0.001,
      hand: quietHand(0.001),
      school: 'flat',
    });
    expect(verdict(open, 'runout.closing')).toBe('incomplete');
    expect(verdict(at60(readings.slice(0, 5)), 'runout.unread')).toBe('incomplete');
  });

  it('a gap in the turn and too few angles are cautions, at the station they are said of', () => {
    const uneven = [0, 20, 45, 70, 120, 150, 190, 200].map((angleDeg) => ({ angleDeg, valueMm: 0 }));
    expect(verdict(at60(uneven, { where: 'station 2' }), 'runout.gap.2')).toBe('caution');
    expect(
      verdict(
        at60(
          turn(4, () => 0),
          { wanted: 4 },
        ),
        'runout.few',
      ),
    ).toBe('caution');
  });
});

const station = (atMm: number, eccentricityMm: number, highSpotDeg = 30, higherMm = 0): StationVector => ({
  atMm,
  eccentricityMm,
  highSpotDeg,
  uncertaintyMm: 0.001,
  higherMm,
});
const told = (...stations: StationVector[]) => shaftBend({ stations }).values.diagnosis;

describe('bent, off centre or bruised', () => {
  it('tells them apart by the vectors along the shaft (geometry)', () => {
    expect(told(station(0, 0.001), station(100, 0.001), station(200, 0.0015))).toBe('true');
    expect(told(station(0, 0.03), station(100, 0.031), station(200, 0.03))).toBe('off-centre');
    expect(told(station(0, 0.01), station(100, 0.03), station(200, 0.05))).toBe('bent');
    expect(told(station(0, 0.01), station(200, 0.05))).toBe('bent');
    expect(told(station(0, 0.05))).toBe('one-station');
    expect(told(station(0, 0.03, 0), station(200, 0.03, 90))).toBe('bent-and-off-centre');
  });
  it('a bow, equal at its ends and more in its middle, is a bend; the same with all waves raised is a bruise', () => {
    expect(told(station(0, 0.02), station(100, 0.06), station(200, 0.02))).toBe('bent');
    const bruise = shaftBend({
      stations: [station(0, 0.004), station(100, 0.02, 200, 0.018), station(200, 0.004)],
    });
    expect(bruise.values.diagnosis).toBe('local');
    expect(bruise.values.localStation).toBe(1);
    expect(bruise.findings[0]?.remedy).toMatchObject({ id: 'arithmetic.shaft.feelSpotFileHighSpot' });
  });
  it('a kink is found where the vectors pass through nothing', () => {
    const v = shaftBend({ stations: [station(0, 0.02, 210), station(100, 0.02), station(200, 0.06)] }).values;
    expect(v.diagnosis).toBe('bent');
    expect(v.kinkAtMm).toBeCloseTo(50, 6);
    expect(v.slopeMmPerM).toBeCloseTo(0.4, 6);
    expect(v.bendDeg).toBeCloseTo(30, 6);
  });
  it('a planted straight but eccentric shaft is never called bent, nor a planted bend off centre (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.02, max: 0.2, noNaN: true }),
        fc.double({ min: 0, max: 359, noNaN: true }),
        fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 3, maxLength: 5 }),
        (a, dir, wobble) => {
          const straight = wobble.map((w, i) => station(100 * i, a + 0.0009 * w, dir));
          expect(told(...straight)).toBe('off-centre');
          const bent = wobble.map((w, i) => station(100 * i, a * (i + 1) + 0.0009 * w, dir));
          expect(told(...bent)).toBe('bent');
        },
      ),
    );
  });
});
