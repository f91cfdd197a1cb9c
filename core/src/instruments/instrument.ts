import { boolean, type InferType, number, object, string } from 'yup';
import '../judgement/sentences.ts';
import { INSTRUMENT_KINDS } from './kinds.ts';

/** The gauge a reading was taken with, as it stood in the register at that moment. */
export const instrumentSchema = object({
  id: string().min(1).max(40).required(),
  name: string().min(1).max(60).required(),
  kind: string().oneOf(INSTRUMENT_KINDS).required(),
  /** Smallest step: mm for lengths and roughness, N·m, degrees, MPa, °C, strokes, mm/s, Hz, N by the kind of gauge. */
  step: number().moreThan(0).max(100).required(),
  low: number().required(),
  high: number().required(),
  calibrationDue: string()
    .matches(/^\d{4}-\d\d-\d\d$/)
    .required(),
  /** A simulated stand-in that ships with the application: good for practice, not for a record of a machine. */
  standIn: boolean(),
}).noUnknown();
export type Instrument = InferType<typeof instrumentSchema>;
