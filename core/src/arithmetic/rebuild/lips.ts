import type { CalculatorResult, Finding } from '../../judgement/result.ts';

/** Which way a seal's lip faces: into the pump, out of it. */
export const LIP_WAYS = ['inward', 'outward'] as const;
export type LipWay = (typeof LIP_WAYS)[number];

/** A lip seal of a job, where it sits, how its lip must face, and what comes of the other way. */
export type Lip = { id: string; where: string; name: string; wants: LipWay; wrong: string };

/** A lip seal by its place and name. */
export const sayLip = ({ where, name }: Lip): string => (where ? `${where}, ${name}` : name);

export type LipValues = { lips: Array<Lip & { fitted: LipWay | null }>; open: number };

/**
 * Lip seals as they were fitted against the way each must face: a wrong way is a stop, since it can no longer be seen once its
 * housing is on.
 */
export function lipOrientation(
  lips: readonly Lip[],
  fitted: Readonly<Record<string, LipWay | undefined>>,
): CalculatorResult<LipValues> {
  const seen = lips.map((l) => ({ ...l, fitted: fitted[l.id] ?? null }));
  const open = seen.filter((l) => l.fitted === null).length;
  const findings: Finding[] = seen
    .filter((l) => l.fitted !== null && l.fitted !== l.wants)
    .map((l) => ({
      code: `lips.${l.id}`,
      verdict: 'reject',
      reason: `${sayLip(l)}: its lip faces ${l.fitted}, it must face ${l.wants}. ${l.wrong}`.trim(),
      params: { value: `${sayLip(l)}: its lip faces ${l.fitted}, it must face ${l.wants}. ${l.wrong}` },
      source: 'practice',
      remedy: 'Press it out and fit a new one the right way; a seal pressed out is not used again.',
      acceptable: false,
    }));
  if (open > 0)
    findings.push({
      code: 'lips.open',
      verdict: 'incomplete',
      reason: `${open} of ${seen.length} lip seals are still to be fitted and ticked.`,
      params: { open, length: seen.length },
      acceptable: false,
    });
  const count = (way: LipWay) => seen.filter((l) => l.fitted === way).length;
  return {
    values: { lips: seen, open },
    findings,
    working: [{ what: 'lips', sum: `${count('inward')} inward, ${count('outward')} outward, ${open} open` }],
    beams: [],
  };
}
