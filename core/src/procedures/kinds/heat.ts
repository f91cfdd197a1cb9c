import type { SleeveSetup } from '../../api/setup.ts';
import { thermalShift } from '../../bearings/thermal.ts';

/** What a shaft warmer than its ring takes of the clearance: while it is driven up, and in service. mm, 0 where nothing is said. */
export function heatOf(setup: SleeveSetup): { mountLostMm: number; serviceLostMm: number } {
  const lost = (shaftOverRingK: number | undefined) =>
    shaftOverRingK
      ? thermalShift({
          boreMm: setup.boreMm,
          shaftOverRingK,
          hollowRatio: (setup.hollowBoreMm ?? 0) / setup.shaftMm,
        }).values.lostMm
      : 0;
  return { mountLostMm: lost(setup.shaftOverRingK), serviceLostMm: lost(setup.serviceOverRingK) };
}
