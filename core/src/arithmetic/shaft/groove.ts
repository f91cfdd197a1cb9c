import type { Finding, WorkingLine } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { expr } from '../../message/message.ts';
import { decide } from '../../metrology/decision.ts';
import { type Hand, readingUncertainty } from '../../metrology/hand.ts';
import { inQuadrature } from '../../metrology/uncertainty.ts';
import { len, num } from '../../quantities/say.ts';
import { M } from './messages.ts';

/** What will lie over a worn groove. */
export const GROOVE_PLACES = ['moving-o-ring', 'seal-drive', 'elsewhere'] as const;
export type GroovePlace = (typeof GROOVE_PLACES)[number];

/** A groove shallower than this is a polish mark, not a step a fingernail would catch. Common practice, no source. */
const FELT_MM = 0.005;

/**
 * A worn groove across the seat: its depth is half the difference of the diameters beside it and in it. Under an O-ring that
 * moves or a seal's drive it is a reject, or a reason to move the seat; elsewhere a caution.
 */
export function groove(input: {
  besideMm: number;
  insideMm: number;
  under: GroovePlace;
  resolutionMm: number;
  /** What is known of the hand that read it. */
  hand?: Hand | undefined;
}): { depthMm: number; finding: Finding; working: WorkingLine } {
  const depthMm = (input.besideMm - input.insideMm) / 2;
  const one = readingUncertainty(input.resolutionMm, input.hand);
  const d = decide(depthMm, inQuadrature(one, one) / 2, { upper: FELT_MM });
  const bad = input.under !== 'elsewhere';
  const shared = {
    code: 'shaft.groove',
    source: 'practice' as const,
    limit: M.whatFingernailFeels({ feltMm: len(FELT_MM) }),
    acceptable: true,
  };
  const place =
    input.under === 'moving-o-ring'
      ? COMMON.oRingMoves
      : input.under === 'seal-drive'
        ? COMMON.sealsDrive
        : null;
  const finding: Finding =
    d.verdict === 'accept'
      ? {
          ...shared,
          verdict: 'accept',
          reason: M.wornTrackDeepMarkNot({ value: len(Math.max(0, depthMm)) }),
          params: { value: Math.max(0, depthMm) },
        }
      : {
          ...shared,
          verdict: bad ? (d.verdict === 'reject' ? 'reject' : 'too-close') : 'caution',
          reason: place
            ? M.grooveDeepLiesUnder({ depth: len(depthMm), place })
            : M.grooveDeepWornBesideSeat({ depth: len(depthMm) }),
          params: {
            depthMm: place ? depthMm : null,
            place: place ? place : null,
            depthMm2: place ? null : depthMm,
          },
          remedy: bad ? M.moveSeatAlongShaftSleeve : M.keepClearORingsDrive,
        };
  return {
    depthMm,
    finding,
    working: {
      what: M.groove,
      sum: expr`(${num(input.besideMm)} − ${num(input.insideMm)}) ÷ 2 = ${len(depthMm)}`,
    },
  };
}
