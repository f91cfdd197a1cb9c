/** Offset and angle allowed at a coupling, mm and mm per 100 mm, by speed. Common practice, no source. */
const BY_SPEED = [
  { upToRpm: 1200, offsetMm: 0.1, anglePer100Mm: 0.1 },
  { upToRpm: 1800, offsetMm: 0.08, anglePer100Mm: 0.07 },
  { upToRpm: 3600, offsetMm: 0.05, anglePer100Mm: 0.05 },
] as const;

export type CouplingTolerance = {
  offsetMm: number;
  anglePer100Mm: number;
  /** False where the speed is beyond the table and its strictest row stands in. */
  tabled: boolean;
};

/**
 * Tolerance of a coupling at a speed. Between two rows the stricter one holds.
 * @example couplingTolerance(1480).offsetMm // 0.08
 */
export function couplingTolerance(rpm: number): CouplingTolerance {
  const row = BY_SPEED.find((r) => rpm <= r.upToRpm);
  const strictest = BY_SPEED[BY_SPEED.length - 1] as (typeof BY_SPEED)[number];
  const { offsetMm, anglePer100Mm } = row ?? strictest;
  return { offsetMm, anglePer100Mm, tabled: row !== undefined };
}
