import type { DriveUpTargetValues } from '../../arithmetic/bearings/drive-up-target.ts';
import { driveUpTarget } from '../../arithmetic/bearings/drive-up-target.ts';
import { stepKind } from '../../engine/step.ts';
import { len } from '../../quantities/say.ts';
import { nothingYet } from '../../steps/nothing-yet.ts';
import { benchClearance } from './bench-clearance.ts';
import { heatOf } from './heat.ts';
import { M } from './messages.ts';
import type { SleeveSetup } from './setup.ts';
import { pitchOf } from './setup.ts';

/** No reading: the band, the aim and where to start, computed from the bench clearance and agreed to. */
export const target = stepKind<SleeveSetup, DriveUpTargetValues | null>('drive-up-target', {
  report(facts, _step, carried) {
    const bench = benchClearance.valuesOf(carried.bench);
    if (!bench || bench.benchMm === null) {
      return nothingYet(M.feelBenchClearanceFirst);
    }
    const setup = facts.setup;
    const result = driveUpTarget({
      boreMm: setup.boreMm,
      taper: setup.taper,
      clearanceClass: setup.clearanceClass,
      benchMm: bench.benchMm,
      pitchMm: pitchOf(setup).pitchMm,
      hollowRatio: (setup.hollowBoreMm ?? 0) / setup.shaftMm,
      makerReductionMinMm: setup.maker.reductionMinMm,
      makerReductionMaxMm: setup.maker.reductionMaxMm,
      makerLeastResidualMm: setup.maker.leastResidualMm,
      serviceLostMm: heatOf(setup).serviceLostMm,
    });
    const travel = result.values.travelAimMm;
    return {
      ...result,
      next: null,
      act:
        travel === null
          ? (result.findings[0]?.reason ?? '')
          : M.setBearingBeforeFinalPlace({ travel: len(travel, 2) }),
    };
  },
});
