/** Gauges and their lines. */

export { handOn } from '../instruments/in-hand.ts';
export type { Instrument } from '../instruments/instrument.ts';
export { gaugeKind, INSTRUMENT_KINDS } from '../instruments/kinds.ts';
export { type GaugeLine, gaugeLine, lineSplitter, parseGaugeLine } from '../instruments/line-protocol.ts';
export { quantityOf, sayReading } from '../instruments/quantity.ts';
export { reaches, sayReach } from '../instruments/reach.ts';
export {
  addToSweep,
  type Sweep,
  samplesAt,
  startSweep,
  sweepClosing,
  sweepReadings,
  sweepWhole,
} from '../instruments/sweep.ts';
export { needsDate, outOfDate, USUAL_STEP, unlisted, WAYS } from '../instruments/unlisted.ts';
