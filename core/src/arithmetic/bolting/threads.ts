/** Bolt sizes: thread geometry and the ring under the head, metric coarse and fine, UNC/UNF. */

export type BoltSize = {
  name: string;
  diameterMm: number;
  pitchMm: number;
  /** Outside of the bearing face under the head. */
  faceMm: number;
  /** Clearance hole, medium series. */
  holeMm: number;
  inch: boolean;
};

/** d, P, bearing face dw, hole dh. Sources: ISO 261, ISO 4014 (dw least), ISO 273 medium; from memory. */
const METRIC: ReadonlyArray<readonly [number, number, number, number]> = [
  [5, 0.8, 6.88, 5.5],
  [6, 1, 8.88, 6.6],
  [8, 1.25, 11.63, 9],
  [10, 1.5, 14.63, 11],
  [12, 1.75, 16.63, 13.5],
  [14, 2, 19.64, 15.5],
  [16, 2, 22.49, 17.5],
  [18, 2.5, 25.34, 20],
  [20, 2.5, 28.19, 22],
  [22, 2.5, 31.71, 24],
  [24, 3, 33.61, 26],
  [27, 3, 38, 30],
  [30, 3.5, 42.75, 33],
  [33, 3.5, 46.55, 36],
  [36, 4, 51.11, 39],
  [39, 4, 55.86, 42],
  [42, 4.5, 59.95, 45],
  [45, 4.5, 64.7, 48],
  [48, 5, 69.45, 52],
  [52, 5, 74.2, 56],
  [56, 5.5, 78.66, 62],
  [60, 5.5, 83.41, 66],
  [64, 6, 88.16, 70],
];

/** Fine pitches by diameter. Source: ISO 261, from memory. */
const FINE: ReadonlyArray<readonly [diameterMm: number, pitchMm: number]> = [
  [8, 1],
  [10, 1],
  [10, 1.25],
  [12, 1.25],
  [12, 1.5],
  [14, 1.5],
  [16, 1.5],
  [18, 1.5],
  [20, 1.5],
  [20, 2],
  [22, 1.5],
  [24, 2],
  [27, 2],
  [30, 2],
  [33, 2],
  [36, 3],
  [39, 3],
  [42, 3],
  [45, 3],
  [48, 3],
  [52, 4],
  [56, 4],
  [60, 4],
  [64, 4],
];

/** Diameter in, its name, threads per inch coarse and fine, across flats in. Source: ASME B1.1, B18.2.1; from memory. */
const INCH: ReadonlyArray<readonly [number, string, number, number, number]> = [
  [0.25, '1/4', 20, 28, 7 / 16],
  [0.3125, '5/16', 18, 24, 1 / 2],
  [0.375, '3/8', 16, 24, 9 / 16],
  [0.4375, '7/16', 14, 20, 5 / 8],
  [0.5, '1/2', 13, 20, 3 / 4],
  [0.5625, '9/16', 12, 18, 13 / 16],
  [0.625, '5/8', 11, 18, 15 / 16],
  [0.75, '3/4', 10, 16, 9 / 8],
  [0.875, '7/8', 9, 14, 21 / 16],
  [1, '1', 8, 12, 1.5],
  [1.125, '1 1/8', 7, 12, 27 / 16],
  [1.25, '1 1/4', 7, 12, 15 / 8],
];

/** All sizes known, smallest first: `M16`, `5/8-11`, … */
export const BOLT_SIZES: readonly BoltSize[] = [
  ...METRIC.map(([d, pitchMm, faceMm, holeMm]) => ({
    name: `M${d}`,
    diameterMm: d,
    pitchMm,
    faceMm,
    holeMm,
    inch: false,
  })),
  ...FINE.flatMap(([d, pitchMm]) => {
    const coarse = METRIC.find(([m]) => m === d);
    return coarse
      ? [
          {
            name: `M${d}x${pitchMm}`,
            diameterMm: d,
            pitchMm,
            faceMm: coarse[2],
            holeMm: coarse[3],
            inch: false,
          },
        ]
      : [];
  }),
  ...INCH.flatMap(([d, name, coarse, fine, flats]) =>
    [coarse, fine].map((tpi) => ({
      name: `${name}-${tpi}`,
      diameterMm: d * 25.4,
      pitchMm: 25.4 / tpi,
      faceMm: 0.95 * flats * 25.4,
      holeMm: (d + (d < 0.5 ? 1 / 32 : 1 / 16)) * 25.4,
      inch: true,
    })),
  ),
];

/** Look a size up by name. @example boltSize('M16')?.pitchMm // 2 */
export function boltSize(name: string): BoltSize | undefined {
  return BOLT_SIZES.find((b) => b.name === name);
}

/**
 * Tensile stress area, mm². Metric π/4·(d − 0.9382P)² (ISO 898-1); inch π/4·(D − 0.9743/n)² (ASME B1.1).
 * @example stressAreaMm2(boltSize('M10')) // 57.99
 */
export function stressAreaMm2(b: BoltSize): number {
  return (Math.PI / 4) * (b.diameterMm - (b.inch ? 0.9743 : 0.9382) * b.pitchMm) ** 2;
}

/** Pitch diameter d₂ = d − 0.6495·P of a 60° thread (ISO 724). */
export const pitchDiameterMm = (b: BoltSize): number => b.diameterMm - 0.64952 * b.pitchMm;
/** Core diameter d₃ = d − 1.2269·P (ISO 724). */
export const coreDiameterMm = (b: BoltSize): number => b.diameterMm - 1.22687 * b.pitchMm;
