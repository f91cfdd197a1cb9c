import type { Finding, WorkingLine } from '../../judgement/result.ts';
import { decide } from '../../metrology/decision.ts';
import { inQuadrature, readingUncertainty } from '../../metrology/uncertainty.ts';
import { len, num } from '../../quantities/say.ts';

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
}): { depthMm: number; finding: Finding; working: WorkingLine } {
  const depthMm = (input.besideMm - input.insideMm) / 2;
  const one = readingUncertainty(input.resolutionMm);
  const d = decide(depthMm, inQuadrature(one, one) / 2, { upper: FELT_MM });
  const bad = input.under !== 'elsewhere';
  const shared = {
    code: 'shaft.groove',
    source: 'practice' as const,
    limit: `${len(FELT_MM)}, what a fingernail feels`,
    acceptable: true,
  };
  const place =
    input.under === 'moving-o-ring'
      ? 'an O-ring that moves'
      : input.under === 'seal-drive'
        ? 'the seal’s drive'
        : null;
  const finding: Finding =
    d.verdict === 'accept'
      ? {
          ...shared,
          verdict: 'accept',
          reason: `The worn track is ${len(Math.max(0, depthMm))} deep: a mark, not a groove.`,
          params: { value: Math.max(0, depthMm) },
        }
      : {
          ...shared,
          verdict: bad ? (d.verdict === 'reject' ? 'reject' : 'too-close') : 'caution',
          reason: place
            ? `A groove ${len(depthMm)} deep lies under ${place}.`
            : `A groove ${len(depthMm)} deep is worn beside the seat.`,
          params: {
            depthMm: place ? depthMm : null,
            place: place ? place : null,
            depthMm2: place ? null : depthMm,
          },
          remedy: bad
            ? 'Move the seat along the shaft, sleeve the shaft, or renew it.'
            : 'Keep it clear of O-rings and drive.',
        };
  return {
    depthMm,
    finding,
    working: {
      what: 'groove',
      sum: `(${num(input.besideMm)} − ${num(input.insideMm)}) ÷ 2 = ${len(depthMm)}`,
    },
  };
}
