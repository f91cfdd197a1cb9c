import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { quietHand } from '../../testing/test-stand.ts';
import { boxBore } from './bore.ts';
import { boxEnvelope, type EnvelopeInput } from './envelope.ts';
import { type BoxFaceInput, boxFace } from './face.ts';
import { withoutSag } from './sag.ts';

const rad = (deg: number) => (deg * Math.PI) / 180;
const turn = (n: number, f: (deg: number) => number) =>
  Array.from({ length: n }, (_, i) => ({ angleDeg: (360 * i) / n, valueMm: f((360 * i) / n) }));
const verdict = (r: { findings: Array<{ code: string; verdict: string }> }, code: string) =>
  r.findings.find((f) => f.code === code)?.verdict;

describe('bracket sag', () => {
  it('takes S/2·(1 − cos θ) off outside a bar and on inside a bore: nothing on top, S at the bottom (geometry)', () => {
    const flat = turn(4, () => 0);
    expect(withoutSag(flat, -0.1, 'outside').map((r) => Number(r.valueMm.toFixed(12)))).toEqual([
      0, 0.05, 0.1, 0.05,
    ]);
    expect(withoutSag(flat, -0.1, 'inside').map((r) => Number(r.valueMm.toFixed(12)))).toEqual([
      0, -0.05, -0.1, -0.05,
    ]);
  });
  it('the test bar itself comes out true for any sag (property)', () => {
    fc.assert(
      fc.property(fc.double({ min: -0.5, max: 0.5, noNaN: true }), (s) => {
        const bar = turn(8, (a) => (s / 2) * (1 - Math.cos(rad(a))));
        for (const r of withoutSag(bar, s, 'outside')) expect(r.valueMm).toBeCloseTo(0, 12);
      }),
    );
  });
});

describe('box face', () => {
  const face = (readings: BoxFaceInput['readings'], more: Partial<BoxFaceInput> = {}) =>
    boxFace({
      shaftMm: 60,
      boxBoreMm: 100,
      sweepRadiusMm: 80,
      readings,
      closingMm: readings[0]?.valueMm,
      resolutionMm: 0.001,
      school: 'standards',
      heldOneWay: true,
      ...more,
    });
  it('tilt = 2A₁/(2R): 0.02 at R 80 is 0.025 per 100, nearest at its high spot (geometry)', () => {
    const r = face(turn(8, (a) => 0.02 * Math.cos(rad(a - 90))));
    expect(r.values.tiltMmPer100).toBeCloseTo(0.025, 9);
    expect(r.values.tiltDeg).toBeCloseTo(90, 6);
    expect(r.values.warpMm).toBeCloseTo(0, 9);
  });
  it('standards 0.5 µm per mm of bore, proportional 5 µm per mm of shaft, flat 0.05 (from memory; common practice)', () => {
    const readings = turn(8, (a) => 0.02 * Math.cos(rad(a)));
    expect(face(readings).values.limitMm).toBeCloseTo(0.05, 12);
    expect(face(readings, { boxBoreMm: 60 }).findings[0]?.verdict).toBe('reject');
    expect(face(readings, { boxBoreMm: 60, school: 'proportional' }).values.limitMm).toBeCloseTo(0.3, 12);
    expect(face(readings, { boxBoreMm: 60, school: 'proportional' }).findings[0]?.verdict).toBe('accept');
    expect(face(readings, { boxBoreMm: 60 }).beams[0]?.alternatives).toHaveLength(2);
  });
  it('a warp is told from a tilt, and its remedy is not a shim', () => {
    const r = face(turn(8, (a) => 0.04 * Math.cos(2 * rad(a)) + 0.005 * Math.cos(rad(a))));
    expect(verdict(r, 'face.tir')).toBe('reject');
    expect(verdict(r, 'face.warp')).toBe('caution');
    expect(r.findings[0]?.remedy).toMatchObject({ id: 'arithmetic.box.warpedFaceReFacedNo' });
  });
  it('axial float is warned of unless the shaft is held one way or hardly floats', () => {
    const readings = turn(8, () => 0);
    expect(verdict(face(readings, { heldOneWay: false }), 'face.float')).toBe('caution');
    expect(verdict(face(readings, { heldOneWay: undefined, endPlayMm: 0.1 }), 'face.float')).toBe('caution');
    expect(
      verdict(face(readings, { heldOneWay: undefined, endPlayMm: 0.005 }), 'face.float'),
    ).toBeUndefined();
    expect(verdict(face(readings), 'face.float')).toBeUndefined();
  });
  it('an open or a slipped turn is said', () => {
    const readings = turn(8, () => 0);
    expect(verdict(face(readings, { closingMm: undefined }), 'face.closing')).toBe('incomplete');
    expect(verdict(face(readings, { closingMm: 0.02 }), 'face.closing')).toBe('reject');
    expect(verdict(face(readings.slice(0, 3)), 'face.unread')).toBe('incomplete');
  });
});

describe('box bore', () => {
  it('finds the eccentricity under the sag of the bracket', () => {
    // A bore 0.05 off towards 180° (wall nearest at the bottom), felt from inside with a bracket that sags −0.08 on the bar.
    const seen = turn(8, (a) => 0.05 * Math.cos(rad(a - 180)) + (0.08 / 2) * (1 - Math.cos(rad(a))));
    const r = boxBore({ readings: seen, closingMm: seen[0]?.valueMm, sagMm: -0.08, resolutionMm: 0.001 });
    expect(r.values.eccentricityMm).toBeCloseTo(0.05, 9);
    expect(r.values.nearestDeg).toBeCloseTo(180, 6);
    expect(verdict(r, 'bore.tir')).toBe('accept');
    const unaware = boxBore({ readings: seen, closingMm: seen[0]?.valueMm, resolutionMm: 0.001 });
    expect(unaware.values.eccentricityMm).toBeCloseTo(0.09, 9);
    expect(verdict(unaware, 'bore.sag')).toBe('caution');
    expect(verdict(unaware, 'bore.tir')).toBe('reject');
  });
});

describe('seal envelope', () => {
  const ask = (more: Partial<EnvelopeInput>) =>
    boxEnvelope({ resolutionMm: 0.02, sealBoreLowerMm: 95, sealBoreUpperMm: 105, sealDepthMm: 60, ...more });
  it('judges only what the seal’s sheet names', () => {
    const r = ask({ boreMm: 100, depthMm: 70 });
    expect(r.values).toEqual({ fits: true, judged: ['bore', 'depth'] });
    expect(ask({ boreMm: 100 }).values.fits).toBeNull();
    expect(boxEnvelope({ resolutionMm: 0.02 }).findings[0]?.code).toBe('envelope.sheet');
  });
  it('each measure is judged by the gauge it was read with: a coarse one for the depth does not spoil the bore', () => {
    const fine = { resolutionMm: 0.001, hand: quietHand(0.001) };
    const coarse = { resolutionMm: 0.02, hand: quietHand(0.02) };
    const verdict = (more: Partial<EnvelopeInput>) =>
      ask({ boreMm: 104.99, depthMm: 60.5, ...more }).findings.find((f) => f.code === 'envelope.bore')
        ?.verdict;
    expect(verdict({ gauges: { bore: fine, depth: coarse } })).toBe('accept');
    expect(verdict({ ...coarse })).toBe('too-close');
  });
  it('says what is in the way', () => {
    const bad = ask({
      boreMm: 94,
      depthMm: 59,
      sealReachMm: 30,
      obstructionMm: 25,
      sealStudCircleMm: 150,
      studCircleMm: 153,
    });
    expect(bad.findings.map((f) => f.verdict)).toEqual(['reject', 'reject', 'reject', 'reject']);
    expect(bad.findings[0]?.reason).toMatchObject({ id: 'arithmetic.box.is' });
    expect(bad.findings[2]?.reason).toMatchObject({ id: 'arithmetic.box.is' });
    expect(ask({ boreMm: 95.005, depthMm: 70 }).findings[0]?.verdict).toBe('too-close');
  });
});
