import type { Text } from '../message/message.ts';
import { gravest, type Verdict } from '../metrology/decision.ts';
import type { SourceId } from '../sources/register.ts';

/** What a finding names: numbers in the unit inside, materials, places, states. */
export type Params = Readonly<Record<string, Text | number | boolean | null | undefined>>;

/** One judgement: what, why, against which limit, whose limit, and what to do now. */
export type Finding = {
  /** Stable name of the finding, for deviations and tests. */
  code: string;
  verdict: Verdict;
  reason: Text;
  /** What the reason names, as data: an acceptance covers a finding of this code with these and no other. */
  params: Params;
  limit?: Text;
  source?: SourceId;
  remedy?: Text;
  /** False where a lead hand's signature cannot make it good (an over-driven bearing). */
  acceptable: boolean;
};

/** One line of the sum as it would stand on the back of the sheet. */
export type WorkingLine = { what: Text; sum: Text };

/** What the beam shows: the value, its target and stops, and how thick the pointer is. All in `quantity`'s unit: mm, N·m, N, degrees, or µm of roughness. */
export type Beam = {
  label: Text;
  quantity: 'length' | 'torque' | 'force' | 'angle' | 'roughness';
  value: number;
  target: number;
  lower?: number;
  upper?: number;
  expanded: number;
  verdict: Verdict;
  /** Where its doubt comes from and what would settle it, a sentence each. */
  doubt?: Text[];
  /** Where other schools would have set the stop. */
  alternatives?: Array<{ label: Text; at: number }>;
};

export type CalculatorResult<V> = { values: V; findings: Finding[]; working: WorkingLine[]; beams: Beam[] };

/** The gravest verdict among findings. */
export function verdictOf(findings: Finding[]): Verdict {
  return gravest(findings.map((f) => f.verdict));
}
