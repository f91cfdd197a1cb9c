import { boolean, type InferType, number, object, string } from 'yup';
import '../judgement/sentences.ts';
import { INSTRUMENT_KINDS } from './kinds.ts';

/** What the hand that holds a gauge scatters by, as its card said at that moment: in the gauge's unit, with its degrees of freedom. */
export const handSchema = object({
  scatter: number().min(0).max(1000).required(),
  free: number().integer().min(1).max(1000).required(),
}).noUnknown();

/** The gauge a reading was taken with, as it stood in the register at that moment. */
export const instrumentSchema = object({
  id: string().min(1).max(40).required(),
  name: string().min(1).max(60).required(),
  kind: string().oneOf(INSTRUMENT_KINDS).required(),
  /** Smallest step: mm for lengths and roughness, N·m, degrees, MPa, °C, strokes, mm/s, Hz, N by the kind of gauge. */
  step: number().moreThan(0).max(100).required(),
  low: number().required(),
  high: number().required(),
  /** Left out where the gauge has no calibration date. */
  calibrationDue: string().matches(/^\d{4}-\d\d-\d\d$/),
  serial: string().max(40),
  /** Not in the site's list: named by whoever read it, or no gauge at all, as by eye. */
  unlisted: boolean(),
  /** A simulated stand-in that ships with the application: good for practice, not for a record of a machine. */
  standIn: boolean(),
  /** The hand card of whoever reads, for this kind of gauge: kept in the reading, so that a job folds the same for ever. */
  hand: handSchema.optional().default(undefined),
}).noUnknown();
export type Instrument = InferType<typeof instrumentSchema>;
