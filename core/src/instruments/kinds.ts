import type { Quantity } from '../quantities/measured.ts';

type Range = { low: number; high: number };

/** All that is known of a kind of gauge. */
export type GaugeKind = {
  /** What it is called in a sentence. */
  name: string;
  measures: Quantity;
  /** What its step is called where it is put into the register. */
  step: string;
  /** What it counts, one and more, and the unit that goes into open data. */
  counts?: { one: string; more: string; unit: string };
  /** Does its range take a value in, where that is more than lying between low and high? Units inside. */
  reaches?(range: Range, value: number): boolean;
};

const anything = () => true;
const bothWays = ({ high }: Range, value: number) => Math.abs(value) <= high;
/** A micrometer closes a little past its scale, mm. */
const PAST_SCALE_MM = 0.5;

/** The kinds of gauges there are: the only list. */
export const GAUGE_KINDS = {
  // Blades are stacked.
  feeler: { name: 'feeler', measures: 'length', step: 'smallest step between blades', reaches: anything },
  micrometer: {
    name: 'micrometer',
    measures: 'length',
    step: 'graduation',
    reaches: ({ low, high }, value) => value >= low - PAST_SCALE_MM && value <= high + PAST_SCALE_MM,
  },
  // It counts both ways from wherever it was zeroed.
  dial: { name: 'dial indicator', measures: 'length', step: 'graduation', reaches: bothWays },
  caliper: {
    name: 'caliper or depth gauge',
    measures: 'length',
    step: 'graduation',
    // A depth gauge is set on from the other side.
    reaches: (range, value) =>
      value < 0 ? bothWays(range, value) : value >= range.low && value <= range.high,
  },
  roughness: { name: 'roughness tester', measures: 'roughness', step: 'smallest step of Ra' },
  laser: { name: 'laser or wire', measures: 'length', step: 'smallest step', reaches: bothWays },
  wrench: { name: 'torque wrench', measures: 'torque', step: 'graduation' },
  // It counts whole turns.
  protractor: { name: 'angle gauge', measures: 'angle', step: 'graduation in degrees', reaches: anything },
  pressure: { name: 'pressure gauge', measures: 'pressure', step: 'graduation' },
  thermometer: { name: 'thermometer', measures: 'temperature', step: 'step in °C' },
  gun: {
    name: 'grease gun',
    measures: 'count',
    step: 'strokes, one at a time',
    counts: { one: 'stroke', more: 'strokes', unit: 'strokes' },
  },
  counter: {
    name: 'drop counter',
    measures: 'count',
    step: 'drops a minute',
    counts: { one: 'drops a minute', more: 'drops a minute', unit: 'drops/min' },
  },
  vibration: { name: 'vibration meter', measures: 'velocity', step: 'smallest step, mm/s rms' },
  tension: { name: 'belt tension meter', measures: 'frequency', step: 'smallest step, Hz' },
  force: { name: 'spring scale', measures: 'force', step: 'graduation' },
} as const satisfies Record<string, GaugeKind>;

export type InstrumentKind = keyof typeof GAUGE_KINDS;
export const INSTRUMENT_KINDS = Object.keys(GAUGE_KINDS) as InstrumentKind[];

/** What is known of a kind of gauge, whichever it is. */
export const gaugeKind = (kind: InstrumentKind): GaugeKind => GAUGE_KINDS[kind];
