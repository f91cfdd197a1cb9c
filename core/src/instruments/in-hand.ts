import { HANDS, type HandCard } from '../metrology/hand.ts';
import type { Instrument } from './instrument.ts';
import { gaugeKind } from './kinds.ts';

/**
 * What is known of the hand that read a gauge: its card, kept in the reading; of a gauge that no hand holds what is usual. Nothing
 * where a hand holds it and has no card.
 */
export const handOn = ({
  kind,
  step,
  hand,
}: Pick<Instrument, 'kind' | 'step' | 'hand'>): HandCard | undefined =>
  hand ?? (gaugeKind(kind).byHand ? undefined : { scatter: HANDS.usual * step, free: 9 });
