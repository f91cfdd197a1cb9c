import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { expr } from '../../message/message.ts';
import { decide } from '../../metrology/decision.ts';
import { type Hand, readingUncertainty } from '../../metrology/hand.ts';
import { inQuadrature } from '../../metrology/uncertainty.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { len } from '../../quantities/say.ts';
import { type BoltGrade, strengthOf } from './grades.ts';
import { M } from './messages.ts';
import { boltSize, stressAreaMm2 } from './threads.ts';

export type StretchInput = {
  size: string;
  grade: BoltGrade;
  /** Length between the bearing faces, and how much of it is thread. */
  gripMm: number;
  threadMm: number;
  /** Stretch as it was measured; the target is told without. */
  stretchMm?: number | undefined;
  /** Step of what measured the stretch. */
  stepMm?: number | undefined;
  /** What is known of the hand that read it. */
  hand?: Hand | undefined;
  /** Share of proof load aimed at; 0.7 where left out. */
  share?: number | undefined;
};

export type StretchValues = {
  targetMm: number;
  targetN: number;
  measuredN: number | null;
  share: number | null;
};

const YOUNG_MPA = 206_000;
/** Of the threads in nut and hole, and of the head, so much of a diameter each gives way as well. Source: VDI 2230, from memory. */
const ENDS_IN_DIAMETERS = 0.5;
const USUAL_SHARE = 0.7;
/** How far off the target is still good. Common practice, no source. */
const WITHIN = 0.1;
/** What areas, ends and modulus leave open of a load told by its stretch, standard deviation. Source: VDI 2230, from memory. */
const METHOD_SHARE = 0.025;

/**
 * A stud tightened by its stretch, which does not ask what the threads rub: δ = F·Σ(l/(A·E)) over shank and thread, half a diameter more
 * at each end.
 * Source: Hooke; the ends: VDI 2230-1, from memory; proof stresses as in `grades`.
 * @throws RangeError for a size not known, or more thread than there is grip
 */
export function boltStretch(input: StretchInput): CalculatorResult<StretchValues> {
  const bolt = boltSize(input.size);
  if (!bolt) throw new MessageError(M.noSizeKnownHere({ size: input.size }));
  if (input.threadMm > input.gripMm) throw new MessageError(M.thereMoreThreadThanGrip);
  const area = stressAreaMm2(bolt);
  const shank = (Math.PI / 4) * bolt.diameterMm ** 2;
  const perN =
    ((input.gripMm - input.threadMm + ENDS_IN_DIAMETERS * bolt.diameterMm) / shank +
      (input.threadMm + ENDS_IN_DIAMETERS * bolt.diameterMm) / area) /
    YOUNG_MPA;
  const proofN = strengthOf(input.grade, bolt.diameterMm).proofMpa * area;
  const targetN = (input.share ?? USUAL_SHARE) * proofN;
  const targetMm = targetN * perN;
  const measuredN = input.stretchMm === undefined ? null : input.stretchMm / perN;
  const share = measuredN === null ? null : measuredN / proofN;
  const shared = { source: 'vdi-2230' as const, acceptable: true };
  const stretchMm = input.stretchMm ?? 0;
  const u = inQuadrature(
    METHOD_SHARE * stretchMm,
    input.stepMm === undefined ? 0 : Math.SQRT2 * readingUncertainty(input.stepMm, input.hand),
  );
  const { verdict, expanded } = decide(stretchMm, u, {
    lower: (1 - WITHIN) * targetMm,
    upper: (1 + WITHIN) * targetMm,
  });
  const findings: Finding[] = [
    share === null
      ? {
          ...shared,
          code: 'stretch',
          verdict: 'accept',
          reason: M.drawUntilLonger({ target: len(targetMm) }),
          params: { targetMm },
        }
      : {
          ...shared,
          code: 'stretch',
          verdict: share > 1 ? 'reject' : verdict === 'reject' ? 'caution' : verdict,
          reason: M.longerProofLoad({
            stretch: len(stretchMm),
            doubt: len(expanded),
            share: (100 * share).toFixed(0),
          }),
          params: { stretchMm, share: 100 * share },
          limit: expr`${len(targetMm)} ± ${(100 * WITHIN).toFixed(0)} %`,
          ...(share > 1
            ? { remedy: M.hasBeenDrawnPastProof }
            : verdict === 'accept'
              ? {}
              : { remedy: M.easeDrawMeasureLengthAgain }),
        },
  ];
  return {
    values: { targetMm, targetN, measuredN, share },
    findings,
    working: [
      {
        what: M.areas,
        sum: M.shankThreadSquareMillimetres({ shank: shank.toFixed(1), area: area.toFixed(1) }),
      },
      {
        what: COMMON.target,
        sum: M.kNStretch({ targetN: (targetN / 1000).toFixed(1), target: len(targetMm) }),
      },
    ],
    beams: [],
  };
}
