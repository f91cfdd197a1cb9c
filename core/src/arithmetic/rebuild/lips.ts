import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import type { Text } from '../../message/message.ts';
import { expr, listOf } from '../../message/message.ts';
import { M } from './messages.ts';

/** Which way a seal's lip faces: into the pump, out of it. */
export const LIP_WAYS = ['inward', 'outward'] as const;
export type LipWay = (typeof LIP_WAYS)[number];

/** A lip seal of a job, where it sits, how its lip must face, and what comes of the other way. */
export type Lip = { id: string; where: Text; name: Text; wants: LipWay; wrong: Text };

/** A lip seal by its place and name. */
export const sayLip = ({ where, name }: Lip): Text => (where ? expr`${where}, ${name}` : name);

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
      reason: listOf(
        [
          M.lipFacesMustFace({ l: sayLip(l), fitted: l.fitted ?? l.wants, wants: l.wants }),
          ...(l.wrong ? [l.wrong] : []),
        ],
        ' ',
      ),
      params: { lip: l.id, fitted: l.fitted, wants: l.wants },
      source: 'practice',
      remedy: M.pressOutFitNewOne,
      acceptable: false,
    }));
  if (open > 0)
    findings.push({
      code: 'lips.open',
      verdict: 'incomplete',
      reason: M.lipSealsStillFittedTicked({ open, count: seen.length }),
      params: { open, length: seen.length },
      acceptable: false,
    });
  const count = (way: LipWay) => seen.filter((l) => l.fitted === way).length;
  return {
    values: { lips: seen, open },
    findings,
    working: [
      { what: M.lips, sum: M.inwardOutwardOpen({ count: count('inward'), count2: count('outward'), open }) },
    ],
    beams: [],
  };
}
