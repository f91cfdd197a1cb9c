import type { JobSummary } from '@fulcrant/core/forms';
import type { Text } from '@fulcrant/core/messages';

/** A job as the board lists it; its texts come as they are read, so no trade is needed to show them. */
export type Line = JobSummary & {
  id: string;
  number: Text;
  state: 'open' | 'signed' | 'cancelled';
  updatedAt: string;
  signedAt?: string | null;
};
