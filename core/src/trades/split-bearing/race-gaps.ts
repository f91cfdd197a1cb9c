import {
  RACE_SHARES,
  type SplitRaceGapValues,
  splitRaceGap,
} from '../../arithmetic/bearings/split-race-gap.ts';
import { goesTo } from '../../engine/depth.ts';
import { readingAt, standing } from '../../engine/facts.ts';
import type { Facts, Place, StepReport } from '../../engine/state.ts';
import { kindFamily } from '../../engine/step.ts';
import { aboutEqual } from '../../judgement/about-equal.ts';
import type { Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { inline } from '../../message/message.ts';
import { diameters } from '../../steps/condition/diameters.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { itemFindings } from '../../steps/item-findings.ts';
import { M } from './messages.ts';
import type { SplitSetup } from './setup.ts';

export type RaceGapsStepValues = {
  race: SplitRaceGapValues | null;
  raceMm: { a: number | null; b: number | null };
  /** Gaps of the clamp rings' joints, where this step asks for them. */
  ringMm: { a: number | null; b: number | null } | null;
  ring2Mm: { a: number | null; b: number | null } | null;
  /** Angle from the race's joints to those of the clamp rings, and what it should be. */
  offsetDeg: number | null;
  offsetWantedDeg: number;
};

/** A clamp ring's joint stands off the race's by its angle within this. Common practice, no source. */
const OFFSET_WITHIN_DEG = 10;

const LABEL: Record<string, Text> = {
  'race/a': M.raceJoint12Oclock,
  'race/b': M.raceJoint6Oclock,
  'ring/a': M.firstClampRingOneJoint,
  'ring/b': M.firstClampRingOtherJoint,
  'ring2/a': M.secondClampRingOneJoint,
  'ring2/b': M.secondClampRingOtherJoint,
  offset: M.clampRingsJointFromRaces,
};

type Parts = { rings: boolean; offset: boolean };

/** Joint gaps of a split inner race (and of its clamp rings): equal, and not zero; how wide, the shaft says. */
export const races = kindFamily<SplitSetup, RaceGapsStepValues>('race-gaps');

/** Gaps of a split race at its joints. */
export const raceGaps = (parts: Parts) =>
  races.kind({
    repeats: true,
    report(facts, step, carried) {
      const keys = keysOf(parts);
      const value = (key: string) => readingAt(facts, step.id, key)?.value ?? null;
      const gaps = { a: value('race/a'), b: value('race/b') };
      const rings = { a: value('ring/a'), b: value('ring/b') };
      const rings2 = { a: value('ring2/a'), b: value('ring2/b') };
      const setup = facts.setup;
      const race =
        gaps.a === null || gaps.b === null
          ? null
          : splitRaceGap({
              gapAMm: gaps.a,
              gapBMm: gaps.b,
              bladeStepMm: stepOfBlades(facts, step.id),
              shaftMm: shaftMean(carried),
              closedBoreMm: setup.maker.closedBoreMm,
            });
      // Seen to be equal is enough; a joint that was felt wants its other side. All are measured at the thorough depth.
      const measured = goesTo(setup, 'thorough');
      const open = keys.filter((k) => value(k) === null);
      const next = (measured ? open[0] : open.find((k) => pairBegun(k, value))) ?? null;
      const offset = value('offset');
      const wanted = setup.clampOffsetDeg ?? 90;
      return {
        findings: [
          ...(race?.findings ?? []),
          ...(parts.rings
            ? [
                ...ringFindings('first', rings, stepOfBlades(facts, step.id)),
                ...ringFindings('second', rings2, stepOfBlades(facts, step.id)),
              ]
            : []),
          ...(parts.offset && offset !== null ? [offsetFinding(offset, wanted)] : []),
          ...(next
            ? [
                {
                  code: `${step.id}.open`,
                  verdict: 'incomplete' as const,
                  reason: COMMON.notMeasuredYet({ label: LABEL[next] }),
                  params: { LABEL: LABEL[next] },
                  acceptable: false,
                },
              ]
            : itemFindings(facts, step)),
          ...gaugeFindings(standing(facts, step.id)),
        ],
        working: race?.working ?? [],
        beams: [],
        values: {
          race: race?.values ?? null,
          raceMm: gaps,
          ringMm: parts.rings ? rings : null,
          ring2Mm: parts.rings ? rings2 : null,
          offsetDeg: offset,
          offsetWantedDeg: wanted,
        } satisfies RaceGapsStepValues,
        next: next ? placeOf(parts, next) : null,
        choices:
          measured || !goesTo(setup, 'standard')
            ? []
            : open.map((key) => ({ key, label: LABEL[key] ?? key })),
        act: next
          ? next === 'offset'
            ? M.setRingsJointsOffRaces
            : COMMON.feel2({ label: inline(LABEL[next] ?? '') })
          : (race?.findings.find((f) => f.verdict === 'reject')?.reason ?? race)
            ? M.gapsEqualNotZero
            : M.lookAtGaps,
      };
    },
    place(facts, step, key) {
      const place = placeOf(parts, key);
      if (!place) return M.thereNoSuchJointHere;
      return readingAt(facts, step.id, key)
        ? COMMON.alreadyHasReadingWithdrawReason({ label: place.label })
        : place;
    },
  });

/** Was the other joint of the same part felt already? */
const pairBegun = (key: string, value: (key: string) => number | null): boolean => {
  const [part, side] = key.split('/');
  return side !== undefined && value(`${part}/${side === 'a' ? 'b' : 'a'}`) !== null;
};

const keysOf = (p: Parts): string[] => [
  'race/a',
  'race/b',
  ...(p.rings ? ['ring/a', 'ring/b', 'ring2/a', 'ring2/b'] : []),
  ...(p.offset ? ['offset'] : []),
];

const stepOfBlades = (facts: Facts<SplitSetup>, step: string): number =>
  Math.max(
    0.001,
    ...standing(facts, step)
      .filter((r) => r.instrument.kind === 'feeler')
      .map((r) => r.instrument.step),
  );

/** The seat's mean diameter as surveyed; undefined where it was not. */
function shaftMean(carried: Record<string, StepReport>): number | undefined {
  const v = diameters.valuesOf(carried.shaft);
  return v?.largestMm == null || v.smallestMm == null ? undefined : (v.largestMm + v.smallestMm) / 2;
}

function ringFindings(
  which: 'first' | 'second',
  rings: { a: number | null; b: number | null },
  stepMm: number,
): Finding[] {
  if (rings.a === null || rings.b === null) return [];
  const code = which === 'first' ? 'clamps.gaps' : 'clamps.gaps-second';
  const shared = { code, source: 'practice' as const, acceptable: false };
  if (Math.min(rings.a, rings.b) <= 0)
    return [
      {
        ...shared,
        verdict: 'reject',
        reason: M.clampRingHasNoGap({ which }),
        params: { which },
        remedy: M.stopRingsRaceOneSet,
      },
    ];
  return [
    aboutEqual([rings.a, rings.b], stepMm, RACE_SHARES, {
      code,
      alike: M.clampRingGapesAlike({ which }),
      unlike: M.clampRingSScrewsNot({ which }),
      remedy: M.easeWideSidesScrewsDraw,
    }),
  ];
}

function offsetFinding(deg: number, wanted: number): Finding {
  const off = Math.abs(deg - wanted);
  const shared = {
    code: 'clamps.offset',
    source: 'practice' as const,
    limit: `${wanted}° ± ${OFFSET_WITHIN_DEG}°`,
    acceptable: false,
  };
  return off <= OFFSET_WITHIN_DEG
    ? {
        ...shared,
        verdict: 'accept',
        reason: M.ringsJointsStandFromRaces({ deg }),
        params: { deg },
      }
    : {
        ...shared,
        verdict: 'reject',
        reason: M.ringsJointsStandFromRaces2({ deg, wanted }),
        params: { deg, wanted },
        remedy: M.easeClampScrewsTurnRings,
      };
}

function placeOf(parts: Parts, key: string): Place | null {
  const label = LABEL[key];
  if (!label || !keysOf(parts).includes(key)) return null;
  if (key === 'offset')
    return { key, label, quantity: 'angle', low: 0, high: 180, instrumentKinds: ['protractor'] };
  return { key, label, quantity: 'gap', low: 0, high: 5, instrumentKinds: ['feeler'] };
}
