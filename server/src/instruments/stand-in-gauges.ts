import type { Instrument } from '@fulcrant/core';

type Row = readonly [string, string, Instrument['kind'], number, number, number];

const standIns = (rows: readonly Row[]): readonly Instrument[] =>
  rows.map(([id, name, kind, step, low, high]) => ({
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

/** The stand-in bench's first gauges, as they stand in every register: simulated, and marked so wherever they are used. */
export const SHAFT_STAND_INS = standIns([
  ['stand-in-dial', 'Stand-in dial', 'dial', 0.002, 0, 5],
  ['stand-in-mic', 'Stand-in micrometer', 'micrometer', 0.001, 25, 100],
  ['stand-in-feeler', 'Stand-in feelers', 'feeler', 0.01, 0.02, 1],
]);

/** What came with packing and seals. */
export const DROP_STAND_INS = standIns([['stand-in-drops', 'Stand-in drop counter', 'counter', 1, 0, 5000]]);

/** What came with pump, wrench and thermometer. */
export const SHOP_STAND_INS = standIns([
  ['stand-in-pump', 'Stand-in pump', 'pressure', 0.1, 0, 100],
  ['stand-in-wrench', 'Stand-in wrench', 'wrench', 0.5, 5, 1000],
  ['stand-in-probe', 'Stand-in thermocouple', 'thermometer', 0.1, -40, 250],
]);
