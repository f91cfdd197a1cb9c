import type { JobState } from '../../engine/state.ts';
import { reportAt } from '../../engine/trades.ts';
import { benchClearance } from './bench-clearance.ts';
import { driveUp } from './drive-up.ts';
import { driveUpHydraulic } from './drive-up-hydraulic.ts';
import { lock } from './lock.ts';
import { lockBySchool } from './lock-by-school.ts';
import type { SleeveSetup } from './setup.ts';

/**
 * How a bearing stands on its sleeve: clearances and travel in mm, the nut in degrees from snug; null where that was not
 * reached. By feelers the lock holds the last forecast; the other schools keep what was felt at it.
 */
export function endedAt(state: JobState<SleeveSetup>) {
  const report = reportAt(state, 'lock');
  const felt = lock.valuesOf(report);
  const locked = lockBySchool.valuesOf(report);
  const last = felt?.final ?? driveUp.valuesOf(reportAt(state, 'driveup'));
  return {
    benchMm: benchClearance.valuesOf(reportAt(state, 'bench'))?.benchMm ?? null,
    // With the lock's last turn in it, once that was made: one travel on the whole sheet.
    travelMm:
      locked?.school === 'hydraulic' && locked.turnedDeg !== null
        ? locked.travelMm
        : (driveUpHydraulic.valuesOf(reportAt(state, 'driveup'))?.travelMm ?? null),
    reductionMm: (locked ? locked.reductionMm : last?.reductionMm) ?? null,
    residualMm: (locked ? locked.residualMm : last?.clearanceMm) ?? null,
    nutDeg: (locked ?? felt)?.finalDeg ?? null,
  };
}
