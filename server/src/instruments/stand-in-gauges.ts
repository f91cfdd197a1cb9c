import type { Instrument } from '@fulcrant/core';

/** The stand-in bench's gauges, as they stand in every register: simulated, and marked so wherever they are used. */
export const STAND_IN_GAUGES: readonly Instrument[] = (
  [
    ['stand-in-dial', 'Stand-in dial', 'dial', 0.002, 0, 5],
    ['stand-in-mic', 'Stand-in micrometer', 'micrometer', 0.001, 25, 100],
    ['stand-in-feeler', 'Stand-in feelers', 'feeler', 0.01, 0.02, 1],
  ] as const
).map(([id, name, kind, step, low, high]) => ({
  id,
  name,
  kind,
  step,
  low,
  high,
  // Nothing of them wears or drifts.
  calibrationDue: '2099-12-31',
  standIn: true,
}));
