import type { Results } from '../engine/slots.ts';
import type { Text } from '../message/message.ts';

/** A job in the past of a position: what it was, when it ended, what it came to. */
export type PastJob = {
  jobId: string;
  number: string;
  /** Its trade, and what that trade calls its sheet. */
  kind: string;
  sheet: Text;
  state: 'open' | 'signed';
  openedAt: string;
  signedAt: string | null;
  signedBy: string | null;
  partNumber: string | null;
  results: Results;
  /** Limits of those results that have any, in the same unit. */
  limits: Record<string, { lower?: number; upper?: number }>;
  /** Heading and text of what it came to. */
  rows: Array<[Text, Text]>;
};

/** When a job of the past counts: when it was signed, else when it was opened. */
export const whenOf = (job: Pick<PastJob, 'signedAt' | 'openedAt'>): string => job.signedAt ?? job.openedAt;
