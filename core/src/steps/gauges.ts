import type { Instrument } from '../instruments/instrument.ts';
import { isWay, outOfDate } from '../instruments/unlisted.ts';
import type { Finding } from '../judgement/result.ts';
import { M } from './messages.ts';

/** A caution for every gauge whose calibration had run out on the day it was used, and where a stand-in was read. */
export function gaugeFindings(used: ReadonlyArray<{ at: string; instrument: Instrument }>): Finding[] {
  const late = new Map(
    used
      .filter((r) => outOfDate(r.instrument, r.at.slice(0, 10)))
      .map((r) => [r.instrument.id, r.instrument]),
  );
  const strange = new Map(
    used
      .filter((r) => r.instrument.unlisted && !isWay(r.instrument))
      .map((r) => [r.instrument.id, r.instrument]),
  );
  const standIn = used.find((r) => r.instrument.standIn)?.instrument;
  return [
    ...[...late.values()].map((i) => ({
      code: `gauge.${i.id}`.slice(0, 40),
      verdict: 'caution' as const,
      reason: M.hasBeenOutCalibrationSince({ name: i.name, calibrationDue: i.calibrationDue ?? '' }),
      params: { name: i.name, calibrationDue: i.calibrationDue ?? null },
      source: 'plant' as const,
      remedy: M.checkAgainstBlockAnotherGauge,
      acceptable: false,
    })),
    ...[...strange.values()].map((i) => ({
      code: `gauge.${i.id}`.slice(0, 40),
      verdict: 'caution' as const,
      reason: M.notInListCalibrationNotKnown({ name: i.name }),
      params: { name: i.name },
      source: 'plant' as const,
      remedy: M.checkAgainstBlockAnotherGauge,
      acceptable: false,
    })),
    ...(standIn
      ? [
          {
            code: 'gauge.stand-in',
            verdict: 'caution' as const,
            reason: M.readingsHereCameFromSimulated({ name: standIn.name }),
            params: { name: standIn.name },
            source: 'plant' as const,
            remedy: M.measureAgainRealGaugeBefore,
            acceptable: false,
          },
        ]
      : []),
  ];
}
