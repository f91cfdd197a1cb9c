import {
  aboutEqual,
  type SplitRaceGapValues,
  splitRaceGap,
} from '../../arithmetic/bearings/split-race-gap.ts';
import { readingAt, standing } from '../../engine/facts.ts';
import type { Facts, Place, StepReport } from '../../engine/state.ts';
import { kindFamily } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { diameters } from '../../steps/condition/diameters.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { itemFindings } from '../../steps/item-findings.ts';
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

const LABEL: Record<string, string> = {
  'race/a': 'Race, joint at 12 o’clock',
  'race/b': 'Race, joint at 6 o’clock',
  'ring/a': 'First clamp ring, one joint',
  'ring/b': 'First clamp ring, other joint',
  'ring2/a': 'Second clamp ring, one joint',
  'ring2/b': 'Second clamp ring, other joint',
  offset: 'Clamp ring’s joint from the race’s',
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
      const next = keys.find((k) => value(k) === null) ?? null;
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
                  reason: `${LABEL[next]} is not measured yet.`,
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
        act: next
          ? next === 'offset'
            ? 'Set the rings’ joints off the race’s, and measure the angle'
            : `Feel: ${(LABEL[next] ?? '').toLowerCase()}`
          : (race?.findings.find((f) => f.verdict === 'reject')?.reason ?? 'Gaps equal, and not zero.'),
      };
    },
    place(facts, step, key) {
      const place = placeOf(parts, key);
      if (!place) return 'There is no such joint here.';
      return readingAt(facts, step.id, key)
        ? `${place.label} already has a reading. Withdraw it, with a reason, to feel again.`
        : place;
    },
  });

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
        reason: `The ${which} clamp ring has no gap at a joint: it closes before it grips.`,
        params: { which },
        remedy: 'Stop. Rings and race are of one set? Is the shaft not too small?',
      },
    ];
  return [
    aboutEqual([rings.a, rings.b], stepMm, {
      code,
      alike: `The ${which} clamp ring gapes alike.`,
      unlike: `the ${which} clamp ring's screws are not drawn evenly.`,
      remedy: 'Ease the wide side’s screws, draw both sides evenly, feel again.',
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
        reason: `The rings’ joints stand ${deg}° from the race’s.`,
        params: { deg },
      }
    : {
        ...shared,
        verdict: 'reject',
        reason: `The rings’ joints stand ${deg}° from the race’s, not ${wanted}°.`,
        params: { deg, wanted },
        remedy: 'Ease the clamp screws, turn the rings, measure again.',
      };
}

function placeOf(parts: Parts, key: string): Place | null {
  const label = LABEL[key];
  if (!label || !keysOf(parts).includes(key)) return null;
  if (key === 'offset')
    return { key, label, quantity: 'angle', low: 0, high: 180, instrumentKinds: ['protractor'] };
  return { key, label, quantity: 'gap', low: 0, high: 5, instrumentKinds: ['feeler'] };
}
