import type { Results } from '../engine/slots.ts';
import type { JobState } from '../engine/state.ts';

type Limits = Record<string, { lower?: number; upper?: number }>;

/** Beams are told in the unit inside; a result’s name ends in its own. */
const COUNTS_IN: Readonly<Record<string, string>> = { Mm: 'length', Nm: 'torque' };
const SAME = 1e-9;

/**
 * The limits of what a job came to, read off its beams: a result whose number stands on one beam of its quantity has that beam’s
 * stops. Where beams of one number have different stops nothing is said.
 */
export function limitsOf(state: JobState, results: Results): Limits {
  const beams = state.steps.flatMap((s) => s.report?.beams ?? []);
  return Object.fromEntries(
    Object.entries(results).flatMap(([name, value]) => {
      if (typeof value !== 'number') return [];
      const quantity = Object.entries(COUNTS_IN).find(([end]) => name.endsWith(end))?.[1];
      const stops = beams
        .filter((b) => b.quantity === quantity && Math.abs(b.value - value) < SAME)
        .filter((b) => b.lower !== undefined || b.upper !== undefined)
        .map((b) => ({
          ...(b.lower === undefined ? {} : { lower: b.lower }),
          ...(b.upper === undefined ? {} : { upper: b.upper }),
        }));
      const [first] = stops;
      return first && stops.every((s) => s.lower === first.lower && s.upper === first.upper)
        ? [[name, first]]
        : [];
    }),
  );
}
