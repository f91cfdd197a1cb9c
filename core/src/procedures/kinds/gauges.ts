import type { Instrument } from '../../api/events.ts';
import type { Finding } from '../../calculators/result.ts';

/** A caution for every gauge whose calibration had run out on the day it was used. */
export function gaugeFindings(used: ReadonlyArray<{ at: string; instrument: Instrument }>): Finding[] {
  const late = new Map(
    used
      .filter((r) => r.instrument.calibrationDue < r.at.slice(0, 10))
      .map((r) => [r.instrument.id, r.instrument]),
  );
  return [...late.values()].map((i) => ({
    code: `gauge.${i.id}`.slice(0, 40),
    verdict: 'caution' as const,
    reason: `${i.name} has been out of calibration since ${i.calibrationDue}.`,
    source: 'plant' as const,
    remedy: 'Check it against a block or another gauge, or repeat with one in date.',
    acceptable: true,
  }));
}
