import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import type { Quantity } from '../quantities/measured.ts';
import { M } from './messages.ts';

type Range = { low: number; high: number };

/** All that is known of a kind of gauge. */
export type GaugeKind = {
  /** What it is called in a sentence. */
  name: Text;
  measures: Quantity;
  /** What its step is called where it is put into the register. */
  step: Text;
  /** A hand holds it, and scatters: there is a hand card for it. */
  byHand?: true;
  /** What it counts, one and more, and the unit that goes into open data. */
  counts?: { one: Text; more: Text; unit: string };
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
  feeler: {
    byHand: true,
    name: M.feeler,
    measures: 'length',
    step: M.smallestStepBetweenBlades,
    reaches: anything,
  },
  micrometer: {
    byHand: true,
    name: M.micrometer,
    measures: 'length',
    step: M.graduation,
    reaches: ({ low, high }, value) => value >= low - PAST_SCALE_MM && value <= high + PAST_SCALE_MM,
  },
  // It counts both ways from wherever it was zeroed.
  dial: { byHand: true, name: M.dialIndicator, measures: 'length', step: M.graduation, reaches: bothWays },
  caliper: {
    byHand: true,
    name: M.caliperDepthGauge,
    measures: 'length',
    step: M.graduation,
    // A depth gauge is set on from the other side.
    reaches: (range, value) =>
      value < 0 ? bothWays(range, value) : value >= range.low && value <= range.high,
  },
  roughness: { byHand: true, name: M.roughnessTester, measures: 'roughness', step: M.smallestStepRa },
  laser: { byHand: true, name: M.laserWire, measures: 'length', step: M.smallestStep, reaches: bothWays },
  wrench: { byHand: true, name: M.torqueWrench, measures: 'torque', step: M.graduation },
  // It counts whole turns.
  protractor: {
    byHand: true,
    name: M.angleGauge,
    measures: 'angle',
    step: M.graduationDegrees,
    reaches: anything,
  },
  pressure: { name: M.pressureGauge, measures: 'pressure', step: M.graduation },
  thermometer: { name: M.thermometer, measures: 'temperature', step: M.stepC },
  gun: {
    name: M.greaseGun,
    measures: 'count',
    step: M.strokesOneTime,
    counts: { one: M.stroke, more: M.strokes, unit: 'strokes' },
  },
  counter: {
    name: M.dropCounter,
    measures: 'count',
    step: COMMON.dropsMinute,
    counts: { one: COMMON.dropsMinute, more: COMMON.dropsMinute, unit: 'drops/min' },
  },
  vibration: { name: M.vibrationMeter, measures: 'velocity', step: M.smallestStepMmSRms },
  tension: { byHand: true, name: M.beltTensionMeter, measures: 'frequency', step: M.smallestStepHz },
  force: { byHand: true, name: M.springScale, measures: 'force', step: M.graduation },
} as const satisfies Record<string, GaugeKind>;

export type InstrumentKind = keyof typeof GAUGE_KINDS;
export const INSTRUMENT_KINDS = Object.keys(GAUGE_KINDS) as InstrumentKind[];

/** What is known of a kind of gauge, whichever it is. */
export const gaugeKind = (kind: InstrumentKind): GaugeKind => GAUGE_KINDS[kind];
