import { normal } from '../metrology/random.ts';

/** A shaft between bearings as it really is, for stand-in gauges and practice. Lengths in mm, angles in degrees. */
export type ShaftModel = {
  diameterMm: number;
  /** Off centre everywhere: in its bearings, or in the set-up. */
  offsetMm: number;
  offsetDeg: number;
  /** A bend that begins at a place and grows from there, mm of eccentricity a metre. */
  bendMmPerM: number;
  bendFromMm: number;
  bendDeg: number;
  /** Amplitudes of the waves in the radius. */
  ovalMm: number;
  ovalDeg: number;
  lobeMm: number;
  /** A bruise stands proud at one place. */
  bruiseMm: number;
  bruiseAtMm: number;
  bruiseDeg: number;
  taperMmPer100: number;
};

/** A shaft with nothing wrong. */
export const TRUE_SHAFT: ShaftModel = {
  diameterMm: 60,
  offsetMm: 0,
  offsetDeg: 0,
  bendMmPerM: 0,
  bendFromMm: 0,
  bendDeg: 0,
  ovalMm: 0,
  ovalDeg: 0,
  lobeMm: 0,
  bruiseMm: 0,
  bruiseAtMm: 0,
  bruiseDeg: 0,
  taperMmPer100: 0,
};

/** The shafts on the stand-in's rollers, by what is wrong with them. */
export const STAND_IN_SHAFTS = {
  true: { ...TRUE_SHAFT, offsetMm: 0.003, offsetDeg: 200 },
  bent: { ...TRUE_SHAFT, bendMmPerM: 1.1, bendFromMm: -20, bendDeg: 130, ovalMm: 0.001 },
  'off-centre': { ...TRUE_SHAFT, offsetMm: 0.055, offsetDeg: 75 },
  oval: { ...TRUE_SHAFT, ovalMm: 0.05, ovalDeg: 40, offsetMm: 0.004, offsetDeg: 10 },
  bruised: { ...TRUE_SHAFT, bruiseMm: 0.09, bruiseAtMm: 30, bruiseDeg: 225, offsetMm: 0.002 },
} as const satisfies Record<string, ShaftModel>;
export type StandInShaft = keyof typeof STAND_IN_SHAFTS;

const rad = (deg: number) => (deg * Math.PI) / 180;
const BRUISE_WIDTH_DEG = 22;
const BRUISE_LENGTH_MM = 8;

/** How much the surface at an angle of the shaft stands off a true circle about the axis of turning. */
export function surfaceAt(s: ShaftModel, atMm: number, angleDeg: number): number {
  const bend = (s.bendMmPerM * Math.max(0, atMm - s.bendFromMm)) / 1000;
  const off = (((angleDeg - s.bruiseDeg + 180) % 360) + 360) % 360;
  const around = off - 180;
  const bruise =
    s.bruiseMm *
    Math.exp(-((around / BRUISE_WIDTH_DEG) ** 2)) *
    Math.exp(-(((atMm - s.bruiseAtMm) / BRUISE_LENGTH_MM) ** 2));
  return (
    s.offsetMm * Math.cos(rad(angleDeg - s.offsetDeg)) +
    bend * Math.cos(rad(angleDeg - s.bendDeg)) +
    s.ovalMm * Math.cos(2 * rad(angleDeg - s.ovalDeg)) +
    s.lobeMm * Math.cos(3 * rad(angleDeg)) +
    bruise +
    (s.taperMmPer100 * atMm) / 200
  );
}

/** The diameter a micrometer would find at an angle. */
export const diameterAt = (s: ShaftModel, atMm: number, angleDeg: number): number =>
  s.diameterMm + surfaceAt(s, atMm, angleDeg) + surfaceAt(s, atMm, angleDeg + 180);

export type DialModel = { stepMm: number; noiseMm: number; backlashMm: number };

/** A usual bench dial: steps of 2 µm, a little play in its rack, a little tremble. */
export const BENCH_DIAL: DialModel = { stepMm: 0.002, noiseMm: 0.0003, backlashMm: 0.001 };

/** Where the hand of a dial stands: `rackMm` follows the plunger with play. */
export type DialState = { rackMm: number };

/** The dial after its plunger has come to `trueMm`: the rack follows only when its play is used up, then noise and steps. */
export function readDial(
  dial: DialModel,
  state: DialState,
  trueMm: number,
  random: () => number,
): { state: DialState; readingMm: number } {
  const play = dial.backlashMm / 2;
  const rackMm = Math.min(trueMm + play, Math.max(trueMm - play, state.rackMm));
  const seen = rackMm + dial.noiseMm * normal(random);
  return { state: { rackMm }, readingMm: Math.round(seen / dial.stepMm) * dial.stepMm };
}

/** The blade of a set that is felt as snug in a gap: the nearest step, felt now and then one beside. */
export function feelBlade(gapMm: number, stepMm: number, random: () => number): number {
  const felt = gapMm + 0.25 * stepMm * normal(random);
  return Math.max(0, Math.round(felt / stepMm) * stepMm);
}
