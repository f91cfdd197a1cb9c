import type { Reading } from '../../engine/state.ts';
import type { Finding } from '../../judgement/result.ts';
import { M } from './messages.ts';

/** So near, degrees, a turn is the gap. Our own choice. */
const TURN_AS_GAP_DEG = 2;

/**
 * The gap that was measured and the turn that was made end at one lock position: where they do not, one of them was misread.
 * @param gapDeg from where the nut stood, forward to the first position
 * @param spacingDeg from one position to the next
 */
export function turnedOtherwise(turned: Reading, gapDeg: number, spacingDeg: number): Finding[] {
  const past = turned.value - gapDeg;
  const off = past <= 0 ? -past : Math.min(past % spacingDeg, spacingDeg - (past % spacingDeg));
  return off <= Math.max(TURN_AS_GAP_DEG, 2 * turned.instrument.step)
    ? []
    : [
        {
          code: 'lock.gap',
          verdict: 'reject',
          reason: M.gapAndTurnDiffer({ gap: gapDeg.toFixed(1), turned: turned.value.toFixed(1) }),
          params: { gapDeg, turnedDeg: turned.value },
          source: 'geometry',
          remedy: M.readGapAndTurnAgain,
          acceptable: true,
        },
      ];
}
