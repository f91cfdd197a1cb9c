/** Bearing bore, and the shaft an adapter sleeve of it usually sits on, mm. Source: ISO 2982-1 sizes, from memory. */
const USUAL: ReadonlyArray<readonly [bore: number, shaft: number]> = [
  [20, 17],
  [25, 20],
  [30, 25],
  [35, 30],
  [40, 35],
  [45, 40],
  [50, 45],
  [55, 50],
  [60, 55],
  [65, 60],
  [70, 60],
  [75, 65],
  [80, 70],
  [85, 75],
  [90, 80],
  [95, 85],
  [100, 90],
  [110, 100],
  [120, 110],
  [130, 115],
  [140, 125],
  [150, 135],
  [160, 140],
  [170, 150],
  [180, 160],
  [190, 170],
  [200, 180],
  [220, 200],
  [240, 220],
  [260, 240],
  [280, 260],
  [300, 280],
  [320, 300],
  [340, 320],
  [360, 340],
  [380, 360],
  [400, 380],
  [420, 400],
  [440, 410],
  [460, 430],
  [480, 450],
  [500, 470],
];

/**
 * The shaft an adapter sleeve of this bearing bore usually sits on, mm, the nearest tabled bore's.
 * @example usualShaft(200) // 180
 */
export function usualShaft(boreMm: number): number {
  const near = USUAL.reduce((a, b) => (Math.abs(b[0] - boreMm) < Math.abs(a[0] - boreMm) ? b : a));
  return (near[1] / near[0]) * boreMm;
}

/** The bearing bore a sleeve on this shaft usually carries, mm. @example usualBore(90) // 100 */
export function usualBore(shaftMm: number): number {
  const near = USUAL.reduce((a, b) => (Math.abs(b[1] - shaftMm) < Math.abs(a[1] - shaftMm) ? b : a));
  return near[0];
}

/** Inch sleeves and stepped ones stand off the metric size; by more than a fifth it is another bearing. Our own choice. */
const FAR = 0.2;

/** Is this a shaft a sleeve of that bore may sit on? Both in mm. */
export const isSleeveShaft = (shaftMm: number, boreMm: number): boolean =>
  shaftMm >= (1 - FAR) * usualShaft(boreMm);
