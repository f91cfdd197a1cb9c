import {
  type CompressionPair,
  type CompressionValues,
  gasketCompression,
} from '../../arithmetic/rebuild/gaskets.ts';
import { standing } from '../../engine/facts.ts';
import { placeKey } from '../../engine/place-key.ts';
import type { Place } from '../../engine/state.ts';
import type { Carried } from '../../engine/step.ts';
import { stepKind } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import { inline } from '../../message/message.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { lengthPlace, listedPlace, nextListed, valueAt } from '../../steps/places-in-order.ts';
import { M } from './messages.ts';
import type { GearPumpSetup } from './setup.ts';

/** A stack measured loose, and again at the plates' torque. */
export const stackKey = placeKey('{how:loose|tight}/{n}');
const STACKS = [1, 2, 3] as const;

export type SqueezeValues = {
  pairs: Array<{ looseMm: number | null; torquedMm: number | null }>;
  /** What is learned from them; null until all are measured. */
  told: CompressionValues | null;
};

const places = (): Place[] =>
  STACKS.flatMap((n) => [
    lengthPlace(stackKey.write({ how: 'loose', n }), M.stackLoose({ n }), 0.05, 20),
    lengthPlace(stackKey.write({ how: 'tight', n }), M.stackUnderTorque({ n }), 0.02, 20),
  ]);

/** Three stacks of gaskets squeezed between flat plates: how much of their thickness they lose, and how sure that is. */
export const squeeze = stepKind<GearPumpSetup, SqueezeValues>('gasket-compression', {
  repeats: true,
  report(facts, step) {
    const at = (how: 'loose' | 'tight', n: number) => valueAt(facts, step, stackKey.write({ how, n }));
    const pairs = STACKS.map((n) => ({ looseMm: at('loose', n), torquedMm: at('tight', n) }));
    const next = nextListed(facts, step, places());
    const whole = pairs.flatMap((p): CompressionPair[] =>
      p.looseMm === null || p.torquedMm === null ? [] : [{ looseMm: p.looseMm, torquedMm: p.torquedMm }],
    );
    const result = next ? null : gasketCompression(whole);
    return {
      findings: [
        ...(result?.findings ?? [
          {
            code: 'gaskets.squeezed',
            verdict: 'incomplete' as const,
            reason: M.stacksMeasuredLooseTight({ count: whole.length, count2: STACKS.length }),
            params: { length: whole.length, length2: STACKS.length },
            acceptable: false,
          },
        ]),
        ...gaugeFindings(standing(facts, step.id)),
      ],
      working: result?.working ?? [],
      beams: [],
      values: { pairs, told: result?.values ?? null },
      next,
      act: next ? COMMON.measure({ label: inline(next.label) }) : M.whatStackLosesKnown,
    };
  },
  place: listedPlace<GearPumpSetup>(places),
});

/** What a stack loses of its thickness, and how sure that is, from wherever it is known on this job. */
export function compressionOf(
  { compression, compressedPercent, compressedDoubtPercent }: GearPumpSetup,
  carried: Carried,
): { fraction: number; uncertainty: number } {
  if (compression === 'sheet')
    return { fraction: (compressedPercent ?? 0) / 100, uncertainty: (compressedDoubtPercent ?? 0) / 200 };
  const told = compression === 'measured' ? squeeze.valuesOf(carried.compress)?.told : null;
  return { fraction: Math.min(0.5, Math.max(0, told?.fraction ?? 0)), uncertainty: told?.uncertainty ?? 0 };
}
