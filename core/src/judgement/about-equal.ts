import type { Text } from '../message/message.ts';
import { len } from '../quantities/say.ts';
import { M } from './messages.ts';
import type { Finding } from './result.ts';

/** Blades of the usual set step by so much, mm: two of them make no difference, however fine the gauge. Common practice, no source. */
const USUAL_BLADE_MM = 0.02;

/**
 * Are the gaps of joints about equal? Within the larger of two blades and a share of their mean they are; to a larger share it is a
 * caution, then for a lead hand to accept. Blades finer than the usual ones judge no harder than these. Common practice, no source.
 * @param shares of the mean gap, 0 to 1
 */
export function aboutEqual(
  gapsMm: readonly number[],
  bladeStepMm: number,
  shares: { alike: number; caution: number },
  say: { code: string; alike: Text; unlike: Text; remedy: Text },
): Finding {
  const mean = gapsMm.reduce((s, g) => s + g, 0) / gapsMm.length;
  const differenceMm = Math.max(...gapsMm) - Math.min(...gapsMm);
  const alikeMm = Math.max(2 * Math.max(bladeStepMm, USUAL_BLADE_MM), shares.alike * mean);
  const cautionMm = Math.max(alikeMm, shares.caution * mean);
  const shared = {
    code: say.code,
    source: 'practice' as const,
    limit: M.gapsMayDiffer({ alike: len(alikeMm) }),
    acceptable: true,
  };
  if (differenceMm <= alikeMm + 1e-9)
    return { ...shared, verdict: 'accept', reason: say.alike, params: { alike: say.alike } };
  return {
    ...shared,
    verdict: differenceMm <= cautionMm + 1e-9 ? 'caution' : 'reject',
    reason: M.gapsDiffer({ difference: len(differenceMm), unlike: say.unlike }),
    params: { differenceMm, unlike: say.unlike },
    remedy: say.remedy,
  };
}
