import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { quietHand } from '../../testing/test-stand.ts';
import { type ClockReadings, type CouplingInput, couplingAlignment } from './coupling.ts';
import { couplingTolerance } from './coupling-tolerance.ts';
import { hotAlignment } from './growth.ts';
import { type HousingsInput, housingAlignment } from './housings.ts';
import { softFoot } from './soft-foot.ts';

/**
 * Two shafts laid out in space: the driven one is the z axis, the driver's axis stands off it by (x, y) at z = 0 and slopes
 * by (sx, sy). What a dial with its bracket on one shaft reads on the other, worked out from the layout alone.
 */
type Layout = { x: number; y: number; sx: number; sy: number };
/** Top, right, bottom, left: how far each clock place lies to the right and up. */
const CLOCK = [
  [0, 1],
  [1, 0],
  [0, -1],
  [-1, 0],
] as const;
const axisAt = (l: Layout, z: number) => ({ x: l.x + l.sx * z, y: l.y + l.sy * z });
/** Bracket on the driven shaft, plunger on the driver's rim in the plane z: the rim comes nearer where the axis moves to. */
const onDriver = (l: Layout, z: number, sag = 0) =>
  CLOCK.map(([right, up]) => {
    const a = axisAt(l, z);
    return right * a.x + up * a.y + (sag / 2) * (1 - up);
  }) as unknown as ClockReadings;
/** Bracket on the driver: it sees the driven shaft moved the other way. */
const onDriven = (l: Layout, z: number, sag = 0) =>
  CLOCK.map(([right, up]) => {
    const a = axisAt(l, z);
    return -right * a.x - up * a.y + (sag / 2) * (1 - up);
  }) as unknown as ClockReadings;
/** On the driver's face at a radius: a plane square to a sloping axis comes nearer on the side the axis rises to. */
const onFace = (l: Layout, radius: number) =>
  CLOCK.map(([right, up]) => radius * (right * l.sx + up * l.sy)) as unknown as ClockReadings;
/** Dials are read from a zero on top. */
const zeroed = (r: ClockReadings) => r.map((v) => v - r[0]) as unknown as ClockReadings;

const shared = {
  speedRpm: 1480,
  frontFeetMm: 150,
  feetSpanMm: 400,
  resolutionMm: 0.01,
  hand: quietHand(0.01),
};
const moved = (
  l: Layout,
  front: [number, number],
  back: [number, number],
  z1: number,
  z2: number,
): Layout => {
  const [f, b] = [
    { x: axisAt(l, z1).x + front[0], y: axisAt(l, z1).y + front[1] },
    { x: axisAt(l, z2).x + back[0], y: axisAt(l, z2).y + back[1] },
  ];
  const [sx, sy] = [(b.x - f.x) / (z2 - z1), (b.y - f.y) / (z2 - z1)];
  return { x: f.x - sx * z1, y: f.y - sy * z1, sx, sy };
};

describe('coupling by rim and face', () => {
  // Worked to scale by hand. Driver 0.20 high at the rim, its axis rising 0.10 per 100 away from it, swept at Ø 120:
  //   rim: top 0, sides −0.20, bottom −0.40 (TIR 2 × 0.20); face: top 0, bottom −0.12 (120 × 0.001).
  //   front feet 150 on: 0.20 + 0.15 = 0.35 high → take out 0.35; back feet 550 on: 0.20 + 0.55 = 0.75 → take out 0.75.
  const worked: CouplingInput = {
    ...shared,
    method: 'rim-and-face',
    rimMm: [0, -0.2, -0.4, -0.2],
    faceMm: [0, -0.06, -0.12, -0.06],
    faceDiameterMm: 120,
  };
  it('agrees with the worked example drawn to scale', () => {
    const { vertical, horizontal } = couplingAlignment(worked).values;
    expect(vertical.offsetMm).toBeCloseTo(0.2, 9);
    expect(vertical.anglePer100Mm).toBeCloseTo(0.1, 9);
    expect(vertical.frontMm).toBeCloseTo(-0.35, 9);
    expect(vertical.backMm).toBeCloseTo(-0.75, 9);
    expect(horizontal.frontMm).toBeCloseTo(0, 9);
  });
  it('sag of the bracket: the same machine read with a bracket that gives 0.10 is told the same', () => {
    const sagging = { ...worked, rimMm: [0, -0.25, -0.5, -0.25] as ClockReadings, rimSagMm: -0.1 };
    expect(couplingAlignment(sagging).values.vertical.offsetMm).toBeCloseTo(0.2, 9);
    const unaware = couplingAlignment({ ...sagging, rimSagMm: 0 }).values.vertical.offsetMm;
    expect(unaware).toBeCloseTo(0.25, 9);
  });
  it('a coarse dial on the face doubts the angle, and does not spoil the offset', () => {
    const fine = couplingAlignment(worked);
    const mixed = couplingAlignment({ ...worked, second: { resolutionMm: 0.05, hand: quietHand(0.05) } });
    const wide = (r: typeof fine, i: number) => r.beams[i]?.expanded ?? 0;
    expect(wide(mixed, 0)).toBe(wide(fine, 0));
    // Five times the step, five times the doubt (GUM 5.1.2).
    expect(wide(mixed, 1)).toBeCloseTo(5 * wide(fine, 1), 9);
  });
  it('stops for offset and angle, and for a dial that does not hang together', () => {
    const r = couplingAlignment({ ...worked, rimMm: [0, -0.2, -0.4, -0.1] });
    const of = (code: string) => r.findings.find((f) => f.code === code)?.verdict;
    expect(of('coupling.vertical.offset')).toBe('reject');
    expect(of('coupling.vertical.angle')).toBe('reject');
    expect(of('coupling.closure.1')).toBe('reject');
  });
  it('asks for what a method needs', () => {
    expect(() => couplingAlignment({ ...worked, faceMm: undefined })).toThrow(/face readings/);
    expect(() => couplingAlignment({ ...worked, method: 'reverse' })).toThrow(/second dial/);
  });
});

describe('coupling laid out in space', () => {
  const small = fc.double({ min: -0.6, max: 0.6, noNaN: true });
  const slope = fc.double({ min: -0.003, max: 0.003, noNaN: true });
  const layout = fc.record({ x: small, y: small, sx: slope, sy: slope });
  const sag = fc.double({ min: -0.2, max: 0, noNaN: true });
  const check = (l: Layout, input: CouplingInput, fromDial: number) => {
    const { vertical: v, horizontal: h } = couplingAlignment(input).values;
    const z1 = fromDial + input.frontFeetMm;
    const z2 = z1 + input.feetSpanMm;
    const after = moved(l, [h.frontMm, v.frontMm], [h.backMm, v.backMm], z1, z2);
    for (const rest of [after.x, after.y, 1000 * after.sx, 1000 * after.sy]) expect(rest).toBeCloseTo(0, 7);
  };
  it('a machine laid cold as its growth asks is in line, one laid level is not: offset and slope (geometry)', () => {
    const { values } = hotAlignment({
      driverFrontMm: 200,
      driverRearMm: 1200,
      driverHeightMm: 400,
      driverFrontK: 20,
      driverRearK: 60,
      drivenFrontMm: 200,
      drivenRearMm: 900,
      drivenHeightMm: 400,
      drivenFrontK: 5,
      drivenRearK: 5,
    });
    expect(Math.abs(values.slopeMmPerM)).toBeGreaterThan(0.1);
    const cold: Layout = { x: 0, y: values.offsetMm, sx: 0, sy: values.slopeMmPerM / 1000 };
    const as = (l: Layout) =>
      couplingAlignment({
        method: 'reverse',
        speedRpm: 1500,
        rimMm: onDriver(l, 50),
        backMm: onDriven(l, -50),
        dialDistanceMm: 100,
        frontFeetMm: 150,
        feetSpanMm: 1000,
        resolutionMm: 0.001,
        targetOffsetMm: values.offsetMm,
        targetSlopeMmPerM: values.slopeMmPerM,
      });
    const right = as(cold).values.vertical;
    expect(right.offsetMm).toBeCloseTo(0, 6);
    expect(right.anglePer100Mm).toBeCloseTo(0, 6);
    expect([right.frontMm, right.backMm].map((x) => Math.abs(Number(x.toFixed(6))))).toEqual([0, 0]);
    const level = as({ ...cold, sy: 0 }).values.vertical;
    expect(level.anglePer100Mm).toBeCloseTo(-values.slopeMmPerM / 10, 6);
  });
  it('rim and face: after the moves it asks for, both shafts are one line (property, any sag)', () => {
    fc.assert(
      fc.property(layout, sag, (l, s) => {
        check(
          l,
          {
            ...shared,
            method: 'rim-and-face',
            rimMm: zeroed(onDriver(l, 0, s)),
            rimSagMm: s,
            faceMm: zeroed(onFace(l, 60)),
            faceDiameterMm: 120,
          },
          0,
        );
      }),
    );
  });
  it('reverse indicators likewise, each bracket with its own sag', () => {
    fc.assert(
      fc.property(layout, sag, sag, (l, s1, s2) => {
        const distance = 180;
        check(
          l,
          {
            ...shared,
            method: 'reverse',
            rimMm: zeroed(onDriver(l, distance / 2, s1)),
            rimSagMm: s1,
            backMm: zeroed(onDriven(l, -distance / 2, s2)),
            backSagMm: s2,
            dialDistanceMm: distance,
          },
          distance / 2,
        );
      }),
    );
  });
  it('both methods tell the same machine the same', () => {
    const l: Layout = { x: -0.12, y: 0.31, sx: 0.0006, sy: -0.0011 };
    const rim = couplingAlignment({
      ...shared,
      frontFeetMm: 240,
      method: 'rim-and-face',
      rimMm: onDriver(l, 0),
      faceMm: onFace(l, 75),
      faceDiameterMm: 150,
    }).values;
    const reverse = couplingAlignment({
      ...shared,
      method: 'reverse',
      rimMm: onDriver(l, 90),
      backMm: onDriven(l, -90),
      dialDistanceMm: 180,
    }).values;
    expect(reverse.vertical.frontMm).toBeCloseTo(rim.vertical.frontMm, 9);
    expect(reverse.horizontal.backMm).toBeCloseTo(rim.horizontal.backMm, 9);
    expect(reverse.vertical.offsetMm).toBeCloseTo(rim.vertical.offsetMm, 9);
  });
});

describe('tolerance by speed (common practice, no source)', () => {
  it('1200 and under, 1800, 3600; between two rows the stricter; beyond says so', () => {
    expect(couplingTolerance(980)).toMatchObject({ offsetMm: 0.1, anglePer100Mm: 0.1, tabled: true });
    expect(couplingTolerance(1480)).toMatchObject({ offsetMm: 0.08, anglePer100Mm: 0.07 });
    expect(couplingTolerance(2950)).toMatchObject({ offsetMm: 0.05, anglePer100Mm: 0.05 });
    expect(couplingTolerance(6000).tabled).toBe(false);
  });
  it('the maker’s tolerance outranks, and the sheet says whose it is', () => {
    const r = couplingAlignment({
      ...shared,
      method: 'rim-and-face',
      rimMm: [0, 0, -0.06, 0],
      faceMm: [0, 0, 0, 0],
      faceDiameterMm: 100,
      makerOffsetMm: 0.02,
      speedRpm: 6000,
    });
    const offset = r.findings.find((f) => f.code === 'coupling.vertical.offset');
    expect(offset).toMatchObject({ verdict: 'reject', source: 'maker' });
    expect(r.findings.some((f) => f.code === 'coupling.speed')).toBe(false);
  });
});

describe('housings along a shaft', () => {
  const two = (near: number, far: number): HousingsInput => ({
    widthMm: 80,
    resolutionMm: 0.01,
    hand: quietHand(0.01),
    housings: [
      { atMm: 0, verticalNearMm: 0, verticalFarMm: 0, horizontalNearMm: 0, horizontalFarMm: 0 },
      {
        atMm: 1200,
        verticalNearMm: near,
        verticalFarMm: far,
        horizontalNearMm: 0,
        horizontalFarMm: 0,
      },
    ],
  });
  it('an angle of its own: 1.4 over 80 is 1.0026° by hand (atan 0.0175), over the least ability', () => {
    const r = housingAlignment(two(-0.7, 0.7));
    expect(r.values.angleDeg[1]).toBeCloseTo(1.0026, 3);
    expect(r.findings[1]?.verdict).toBe('reject');
    expect(r.values.shimFarMm[1]).toBeCloseTo(-1.4, 9);
    expect(housingAlignment({ ...two(-0.7, 0.7), abilityDeg: 1.5 }).findings[1]).toMatchObject({
      verdict: 'accept',
      source: 'maker',
    });
  });
  it('housings level but one higher: each stands off the sloping shaft by the same angle', () => {
    const r = housingAlignment(two(12, 12));
    const angle = (Math.atan(12 / 1200) * 180) / Math.PI;
    expect(r.values.angleDeg[0]).toBeCloseTo(angle, 9);
    expect(r.values.angleDeg[1]).toBeCloseTo(angle, 9);
    expect(r.values.shimFarMm[0]).toBeCloseTo(0.8, 9);
  });
  it('housings laid along one sloping line are in line however it slopes (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -0.01, max: 0.01, noNaN: true }),
        fc.double({ min: -0.01, max: 0.01, noNaN: true }),
        (v, h) => {
          const housings = [0, 700, 1500].map((atMm) => ({
            atMm,
            verticalNearMm: v * (atMm - 40),
            verticalFarMm: v * (atMm + 40),
            horizontalNearMm: h * (atMm - 40),
            horizontalFarMm: h * (atMm + 40),
          }));
          const r = housingAlignment({ housings, widthMm: 80, resolutionMm: 0.01, hand: quietHand(0.01) });
          for (const a of r.values.angleDeg) expect(a).toBeCloseTo(0, 6);
        },
      ),
    );
  });
  it('two housings at one place, or one alone, are no shaft', () => {
    expect(() => housingAlignment({ ...two(0, 0), housings: two(0, 0).housings.slice(0, 1) })).toThrow(
      RangeError,
    );
  });
});

describe('soft foot', () => {
  const ask = (...feet: number[][]) => softFoot({ feet, resolutionMm: 0.01, hand: quietHand(0.01) });
  it('a parallel gap wants a full shim, a wedge does not go away with one (common practice, no source)', () => {
    const r = ask([0], [0.17, 0.16, 0.17, 0.18], [0], [0.02, 0.2, 0.03, 0.21]);
    expect(r.findings.map((f) => f.verdict)).toEqual(['accept', 'reject', 'accept', 'reject']);
    expect(r.values.shimMm[1]).toBeCloseTo(0.15, 9);
    expect(r.values.shimMm[3]).toBe(0);
    expect(r.findings[3]?.remedy).toMatchObject({
      id: 'arithmetic.alignment.wedgeScrapedMachinedSteppedNot',
    });
  });
  it('one place under a bad foot asks for its corners; an unfelt foot is not yet', () => {
    const r = ask([0.2], [], [0], [0]);
    expect(r.findings.map((f) => f.code)).toEqual([
      'softfoot.1',
      'softfoot.1.corners',
      'softfoot.3',
      'softfoot.4',
      'softfoot.unread',
    ]);
  });
});
