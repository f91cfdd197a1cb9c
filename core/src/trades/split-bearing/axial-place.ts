import { bearingFloat } from '../../arithmetic/bearings/float.ts';
import { readingAt, standing } from '../../engine/facts.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { len } from '../../quantities/say.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { itemFindings } from '../../steps/item-findings.ts';
import type { SplitSetup } from './setup.ts';

export type AxialPlaceValues = {
  role: 'fixed' | 'float';
  /** Fixed: gaps of the cage to the ribs. Float: how far the rollers stand from each edge of the outer race. */
  towardsMm: number | null;
  awayMm: number | null;
  /** Off the middle, away from the fixed bearing positive. */
  offsetMm: number | null;
  growthMm: number | null;
};

const LABELS = {
  fixed: { 'side/towards': 'Cage to the rib, one side', 'side/away': 'Cage to the rib, other side' },
  float: {
    'side/towards': 'Rollers to the race’s edge, towards the fixed bearing',
    'side/away': 'Rollers to the race’s edge, away from it',
  },
} as const;
type Key = 'side/towards' | 'side/away';
const KEYS: readonly Key[] = ['side/towards', 'side/away'];

/**
 * Axial place of a split bearing's inner race, with half the cage and the lower cartridge as gauge: fixed, the cage runs free
 * between the ribs; float, the rollers stand in the middle of the outer race, or offset towards the fixed bearing for room.
 */
export const axialPlace = stepKind<SplitSetup, AxialPlaceValues>('axial-place', {
  repeats: true,
  report(facts, step) {
    const setup = facts.setup;
    const value = (key: Key) => readingAt(facts, step.id, key)?.value ?? null;
    const [towards, away] = [value('side/towards'), value('side/away')];
    const whole = towards !== null && away !== null;
    const offsetMm = whole ? (towards - away) / 2 : null;
    const float =
      whole && setup.role === 'float' && setup.float
        ? bearingFloat({ ...setup.float, roomMm: towards + away, offsetMm: offsetMm ?? 0 })
        : null;
    const next = KEYS.find((k) => value(k) === null) ?? null;
    const findings: Finding[] =
      !whole || offsetMm === null
        ? [
            {
              code: 'axial.open',
              verdict: 'incomplete',
              reason: 'Both sides are not measured yet.',
              params: {},
              acceptable: false,
            },
          ]
        : setup.role === 'fixed'
          ? [between(towards, away)]
          : (float?.findings ?? [centred(towards, away, offsetMm)]);
    return {
      findings: [
        ...findings,
        ...(next ? [] : itemFindings(facts, step)),
        ...gaugeFindings(standing(facts, step.id)),
      ],
      working: float?.working ?? [],
      beams: [],
      values: {
        role: setup.role,
        towardsMm: towards,
        awayMm: away,
        offsetMm,
        growthMm: float?.values.growthMm ?? null,
      } satisfies AxialPlaceValues,
      next: next ? placeOf(setup.role, next) : null,
      act: next
        ? `Measure: ${LABELS[setup.role][next].toLowerCase()}`
        : (findings.find((f) => f.remedy)?.remedy ?? 'The race stands at its place along the shaft.'),
    };
  },
  place(facts: Facts<SplitSetup>, step, key) {
    const place = placeOf(facts.setup.role, key);
    if (!place) return 'There is no such side.';
    return readingAt(facts, step.id, key)
      ? `${place.label} is measured already. Withdraw it, with a reason, to measure again.`
      : place;
  },
});

function between(a: number, b: number): Finding {
  const shared = { code: 'axial.place', source: 'practice' as const, acceptable: false };
  return Math.min(a, b) > 0
    ? {
        ...shared,
        verdict: 'accept',
        reason: `The cage runs free between the ribs, ${len(a, 2)} and ${len(b, 2)}.`,
        params: { a, b },
      }
    : {
        ...shared,
        verdict: 'reject',
        reason: 'The cage touches a rib.',
        params: {},
        remedy: 'Slide the race along until the cage runs free on both sides.',
      };
}

function centred(a: number, b: number, offset: number): Finding {
  const off = Math.abs(offset) > 0.25 * (a + b);
  return {
    code: 'axial.place',
    source: 'practice',
    acceptable: true,
    verdict: off ? 'caution' : 'accept',
    reason: off
      ? `The rollers stand ${len(Math.abs(offset), 2)} off the middle; whether the growth needs that is not said.`
      : `The rollers stand in the middle, ${len(a, 2)} and ${len(b, 2)} to the edges.`,
    params: { offset: off ? Math.abs(offset) : null, a: off ? null : a, b: off ? null : b },
    ...(off ? { remedy: 'Say the span and the warmth of the shaft, or centre the rollers.' } : {}),
  };
}

function placeOf(role: 'fixed' | 'float', key: string): Place | null {
  const label = LABELS[role][key as Key];
  return label
    ? { key, label, quantity: 'length', low: 0, high: 100, instrumentKinds: ['caliper', 'feeler'] }
    : null;
}
