import type { Text } from '../message/message.ts';
/** Something that falls due somewhere: of a job, or a gauge's calibration. */
export type DueLine = {
  what: Text;
  /** UTC, as events write times. */
  at: string;
  minutes: number;
  machine: string;
  position: string;
  jobId: string | null;
  number: string | null;
  positionId: string | null;
  gaugeId: string | null;
};
