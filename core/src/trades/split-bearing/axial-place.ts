import { bearingFloat } from '../../arithmetic/bearings/float.ts';
import { goesTo } from '../../engine/depth.ts';
import { readingAt, standing } from '../../engine/facts.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { inline } from '../../message/message.ts';
import { len } from '../../quantities/say.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { itemFindings } from '../../steps/item-findings.ts';
import { M } from './messages.ts';
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
  fixed: { 'side/towards': M.cageRibOneSide, 'side/away': M.cageRibOtherSide },
  float: {
    'side/towards': M.rollersRacesEdgeTowardsFixed,
    'side/away': M.rollersRacesEdgeAwayFrom,
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
    const measured = goesTo(setup, 'thorough') || towards !== null || away !== null;
    const next = (measured ? KEYS.find((k) => value(k) === null) : null) ?? null;
    const findings: Finding[] = !measured
      ? []
      : !whole || offsetMm === null
        ? [
            {
              code: 'axial.open',
              verdict: 'incomplete',
              reason: M.bothSidesNotMeasuredYet,
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
      choices:
        measured || !goesTo(setup, 'standard')
          ? []
          : KEYS.map((key) => ({ key, label: LABELS[setup.role][key] })),
      act: next
        ? COMMON.measure({ label: inline(LABELS[setup.role][next]) })
        : (findings.find((f) => f.remedy)?.remedy ?? M.raceStandsPlaceAlongShaft),
    };
  },
  place(facts: Facts<SplitSetup>, step, key) {
    const place = placeOf(facts.setup.role, key);
    if (!place) return M.thereNoSuchSide;
    return readingAt(facts, step.id, key)
      ? COMMON.measuredAlreadyWithdrawReasonMeasure({ label: place.label })
      : place;
  },
});

function between(a: number, b: number): Finding {
  const shared = { code: 'axial.place', source: 'practice' as const, acceptable: false };
  return Math.min(a, b) > 0
    ? {
        ...shared,
        verdict: 'accept',
        reason: M.cageRunsFreeBetweenRibs({ a: len(a, 2), b: len(b, 2) }),
        params: { a, b },
      }
    : {
        ...shared,
        verdict: 'reject',
        reason: M.cageTouchesRib,
        params: {},
        remedy: M.slideRaceAlongUntilCage,
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
      ? M.rollersStandOffMiddleWhether({ offset: len(Math.abs(offset), 2) })
      : M.rollersStandMiddleEdges({ a: len(a, 2), b: len(b, 2) }),
    params: { offset: off ? Math.abs(offset) : null, a: off ? null : a, b: off ? null : b },
    ...(off ? { remedy: M.saySpanWarmthShaftCentre } : {}),
  };
}

function placeOf(role: 'fixed' | 'float', key: string): Place | null {
  const label = LABELS[role][key as Key];
  return label
    ? { key, label, quantity: 'length', low: 0, high: 100, instrumentKinds: ['caliper', 'feeler'] }
    : null;
}
