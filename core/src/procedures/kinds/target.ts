import { sleeveOf } from '../../api/setup.ts';
import { driveUpTarget } from '../../bearings/drive-up-target.ts';
import { len } from '../../quantities/say.ts';
import type { StepKind } from '../types.ts';
import type { BenchValues } from './bench-clearance.ts';
import { heatOf } from './heat.ts';
import { nothingYet } from './nothing-yet.ts';

/** No reading: the band, the aim and where to start, computed from the bench clearance and agreed to. */
export const target: StepKind = {
  report(facts, _step, carried) {
    const bench = carried.bench?.values as BenchValues | undefined;
    if (!bench || bench.benchMm === null) {
      return nothingYet('Feel the bench clearance first.');
    }
    const setup = sleeveOf(facts);
    const result = driveUpTarget({
      boreMm: setup.boreMm,
      taper: setup.taper,
      clearanceClass: setup.clearanceClass,
      benchMm: bench.benchMm,
      pitchMm: setup.pitchMm,
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
          : `Set the bearing ${len(travel, 2)} before its final place; nut by hand until snug.`,
    };
  },
};
