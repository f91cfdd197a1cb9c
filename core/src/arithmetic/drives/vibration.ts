import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { velocity } from '../../quantities/say.ts';

export type VibrationInput = {
  /** Broad-band velocity, mm/s rms, the largest of those read at the bearings. */
  mmPerS: number;
  machine: 'large' | 'medium';
  support: 'rigid' | 'flexible';
  /** What it was when it was new or last put right. */
  beforeMmPerS?: number | undefined;
};

export type VibrationValues = { zone: 'A' | 'B' | 'C' | 'D'; bounds: readonly [number, number, number] };

/**
 * Ends of zones A, B and C, mm/s rms: medium machines 15 to 300 kW, large ones 300 kW to 50 MW.
 * Source: ISO 20816-3, from memory.
 */
const ZONES: Record<
  VibrationInput['machine'],
  Record<VibrationInput['support'], readonly [number, number, number]>
> = {
  large: { rigid: [2.3, 4.5, 7.1], flexible: [3.5, 7.1, 11] },
  medium: { rigid: [1.4, 2.8, 4.5], flexible: [2.3, 4.5, 7.1] },
};
/** A change of more than this share of the end of zone B is looked into, up or down. Source: ISO 20816-3, from memory. */
const CHANGE_SHARE = 0.25;

/** In which zone a machine vibrates, and whether it has changed. Source: ISO 20816-3, from memory. */
export function vibrationZone(input: VibrationInput): CalculatorResult<VibrationValues> {
  const bounds = ZONES[input.machine][input.support];
  const [a, b, c] = bounds;
  const v = input.mmPerS;
  const zone = v <= a ? 'A' : v <= b ? 'B' : v <= c ? 'C' : 'D';
  const shared = { source: 'iso-20816' as const, acceptable: true };
  const meaning = {
    A: 'as of a machine newly put in',
    B: 'good for long running',
    C: 'not good for long running: only until it can be put right',
    D: 'enough to do damage',
  }[zone];
  const findings: Finding[] = [
    {
      ...shared,
      code: 'vibration',
      verdict: zone === 'D' ? 'reject' : zone === 'C' ? 'caution' : 'accept',
      reason: `${velocity(v)}: zone ${zone}, ${meaning}.`,
      params: { v, zone, meaning },
      limit: `A to ${velocity(a)}, B to ${velocity(b)}, C to ${velocity(c)}`,
      ...(zone === 'D'
        ? { remedy: 'Stop it. Look for looseness, alignment, balance, a bearing.' }
        : zone === 'C'
          ? { remedy: 'Look for alignment, looseness of the feet, balance; plan it.' }
          : {}),
    },
  ];
  const change = input.beforeMmPerS === undefined ? 0 : Math.abs(v - input.beforeMmPerS);
  if (change > CHANGE_SHARE * b)
    findings.push({
      ...shared,
      code: 'vibration.change',
      verdict: 'caution',
      reason: `It has changed by ${velocity(change)}, more than a quarter of the end of zone B.`,
      params: { change },
      limit: velocity(CHANGE_SHARE * b),
      remedy: 'Find what changed, even where the zone is still good.',
    });
  return {
    values: { zone, bounds },
    findings,
    working: [
      { what: 'zones', sum: `A ≤ ${a}, B ≤ ${b}, C ≤ ${c} mm/s rms, ${input.machine}, ${input.support}` },
    ],
    beams: [],
  };
}
