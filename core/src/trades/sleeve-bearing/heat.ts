import { thermalShift } from '../../arithmetic/bearings/thermal.ts';
import type { SleeveSetup } from './setup.ts';

/** What a shaft warmer than its ring takes of the clearance: while it is driven up, and in service. mm, 0 where nothing is said. */
export function heatOf(setup: SleeveSetup): { mountLostMm: number; serviceLostMm: number } {
  const lost = (shaftOverRingK: number | undefined) =>
    shaftOverRingK
      ? thermalShift({
          boreMm: setup.boreMm,
          outsideMm: setup.grease?.outsideMm,
          shaftOverRingK,
        }).values.lostMm
      : 0;
  return { mountLostMm: lost(setup.shaftOverRingK), serviceLostMm: lost(setup.serviceOverRingK) };
}
