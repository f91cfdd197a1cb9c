import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { velocity } from '../../quantities/say.ts';
import { M } from './messages.ts';

export type VibrationInput = {
  /** Broad-band velocity, mm/s rms, the largest of those read at the bearings. */
  mmPerS: number;
  /** A rotodynamic pump to 200 kW or over it, or another machine of 15 to 300 kW or over 300 kW. */
  machine: 'large' | 'medium' | 'pump' | 'large-pump';
  /** How it stands; of a pump it does not matter. */
  support?: 'rigid' | 'flexible' | undefined;
  /** Of a pump: what it moves is dangerous, or it must not fail. */
  critical?: boolean | undefined;
  /** What it was when it was new or last put right. */
  beforeMmPerS?: number | undefined;
};

export type VibrationValues = { zone: 'A' | 'B' | 'C' | 'D'; bounds: readonly [number, number, number] };

/**
 * Ends of zones A, B and C, mm/s rms: medium machines 15 to 300 kW, large ones 300 kW to 50 MW.
 * Source: ISO 20816-3, from memory.
 */
const ZONES: Record<'large' | 'medium', Record<'rigid' | 'flexible', readonly [number, number, number]>> = {
  large: { rigid: [2.3, 4.5, 7.1], flexible: [3.5, 7.1, 11] },
  medium: { rigid: [1.4, 2.8, 4.5], flexible: [2.3, 4.5, 7.1] },
};
/**
 * The same of rotodynamic pumps: those that must not fail or move what is dangerous, and the others.
 * Source: ISO 10816-7, from memory, not verified.
 */
const PUMP_ZONES = {
  pump: { critical: [2.5, 4, 6.6], other: [3.2, 5.1, 8.5] },
  'large-pump': { critical: [3.5, 5, 7.6], other: [4.2, 6.1, 9.5] },
} as const;

/** Ends of the zones of a machine. @throws MessageError where nobody said how it stands, and that matters */
function zonesOf({ machine, support, critical }: VibrationInput): readonly [number, number, number] {
  if (machine === 'pump' || machine === 'large-pump')
    return PUMP_ZONES[machine][critical ? 'critical' : 'other'];
  if (support === undefined) throw new MessageError(M.sayHowItStands);
  return ZONES[machine][support];
}

/** A change of more than this share of the end of zone B is looked into, up or down. Source: ISO 20816-3, from memory. */
const CHANGE_SHARE = 0.25;

/**
 * In which zone a machine vibrates, and whether it has changed.
 * Source: ISO 20816-3, of pumps ISO 10816-7, from memory.
 * @throws RangeError where nobody said how a machine stands that is no pump
 */
export function vibrationZone(input: VibrationInput): CalculatorResult<VibrationValues> {
  const bounds = zonesOf(input);
  const [a, b, c] = bounds;
  const v = input.mmPerS;
  const zone = v <= a ? 'A' : v <= b ? 'B' : v <= c ? 'C' : 'D';
  const shared = { source: 'iso-20816' as const, acceptable: true };
  const meaning = {
    A: M.asMachineNewlyPut,
    B: M.goodLongRunning,
    C: M.notGoodLongRunningOnly,
    D: M.enoughDoDamage,
  }[zone];
  const findings: Finding[] = [
    {
      ...shared,
      code: 'vibration',
      verdict: zone === 'D' ? 'reject' : zone === 'C' ? 'caution' : 'accept',
      reason: M.zone({ v: velocity(v), zone, meaning }),
      params: { v, zone, meaning },
      limit: M.bC({ a: velocity(a), b: velocity(b), c: velocity(c) }),
      ...(zone === 'D'
        ? { remedy: M.stopLookLoosenessAlignmentBalance }
        : zone === 'C'
          ? { remedy: M.lookAlignmentLoosenessFeetBalance }
          : {}),
    },
  ];
  const change = input.beforeMmPerS === undefined ? 0 : Math.abs(v - input.beforeMmPerS);
  if (change > CHANGE_SHARE * b)
    findings.push({
      ...shared,
      code: 'vibration.change',
      verdict: 'caution',
      reason: M.hasChangedMoreThanQuarter({ change: velocity(change) }),
      params: { change },
      limit: velocity(CHANGE_SHARE * b),
      remedy: M.findWhatChangedEvenWhere,
    });
  return {
    values: { zone, bounds },
    findings,
    working: [
      {
        what: M.zones,
        sum:
          input.machine === 'pump' || input.machine === 'large-pump'
            ? M.pumpZones({ a, b, c, critical: input.critical ? 'yes' : 'no' })
            : M.bCMmSRms({ a, b, c, machine: input.machine, support: input.support ?? 'rigid' }),
      },
    ],
    beams: [],
  };
}
