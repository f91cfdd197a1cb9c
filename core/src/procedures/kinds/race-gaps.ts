import type { SplitSetup } from '../../api/split-setup.ts';
import { type SplitRaceGapValues, splitRaceGap } from '../../bearings/split-race-gap.ts';
import type { Finding } from '../../calculators/result.ts';
import { readingAt, standing } from '../../engine/facts.ts';
import type { Facts, Place, StepReport } from '../../engine/state.ts';
import type { StepKind } from '../types.ts';
import type { ShaftValues } from './diameters.ts';
import { gaugeFindings } from './gauges.ts';
import { itemFindings } from './item-findings.ts';

export type RaceGapsStepValues = {
  race: SplitRaceGapValues | null;
  raceMm: { a: number | null; b: number | null };
  /** Gaps of the clamp rings' joints, where this step asks for them. */
  ringMm: { a: number | null; b: number | null } | null;
  /** Angle from the race's joints to those of the clamp rings, and what it should be. */
  offsetDeg: number | null;
  offsetWantedDeg: number;
};

/** A clamp ring's joint stands off the race's by its angle within this. Common practice, no source. */
const OFFSET_WITHIN_DEG = 10;

const LABEL: Record<string, string> = {
  'race/a': 'Race, joint at 12 o’clock',
  'race/b': 'Race, joint at 6 o’clock',
  'ring/a': 'Clamp ring, one joint',
  'ring/b': 'Clamp ring, other joint',
  offset: 'Clamp ring’s joint from the race’s',
};

type Parts = { rings: boolean; offset: boolean };

/** Joint gaps of a split inner race (and of its clamp rings): equal, and not zero; how wide, the shaft says. */
export const raceGaps = (parts: Parts): StepKind => ({
  repeats: true,
  report(facts, step, carried) {
    const keys = keysOf(parts);
    const value = (key: string) => readingAt(facts, step.id, key)?.value ?? null;
    const gaps = { a: value('race/a'), b: value('race/b') };
    const rings = { a: value('ring/a'), b: value('ring/b') };
    const setup = facts.setup as SplitSetup;
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
        ...(parts.rings ? ringFindings(rings, stepOfBlades(facts, step.id)) : []),
        ...(parts.offset && offset !== null ? [offsetFinding(offset, wanted)] : []),
        ...(next
          ? [
              {
                code: `${step.id}.open`,
                verdict: 'incomplete' as const,
                reason: `${LABEL[next]} is not measured yet.`,
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
  ...(p.rings ? ['ring/a', 'ring/b'] : []),
  ...(p.offset ? ['offset'] : []),
];

const stepOfBlades = (facts: Facts, step: string): number =>
  Math.max(
    0.001,
    ...standing(facts, step)
      .filter((r) => r.instrument.kind === 'feeler')
      .map((r) => r.instrument.step),
  );

/** The seat's mean diameter as surveyed; undefined where it was not. */
function shaftMean(carried: Record<string, StepReport>): number | undefined {
  const v = carried.shaft?.values as ShaftValues | null | undefined;
  return v?.largestMm == null || v.smallestMm == null ? undefined : (v.largestMm + v.smallestMm) / 2;
}

function ringFindings(rings: { a: number | null; b: number | null }, stepMm: number): Finding[] {
  if (rings.a === null || rings.b === null) return [];
  const shared = { code: 'clamps.gaps', source: 'practice' as const, acceptable: false };
  if (Math.min(rings.a, rings.b) <= 0)
    return [
      {
        ...shared,
        verdict: 'reject',
        reason: 'A clamp ring has no gap at a joint: it closes before it grips.',
        remedy: 'Stop. Rings and race are of one set? Is the shaft not too small?',
      },
    ];
  const differ = Math.abs(rings.a - rings.b);
  return [
    differ <= stepMm + 1e-9
      ? { ...shared, verdict: 'accept', reason: 'The clamp rings gape alike.' }
      : {
          ...shared,
          verdict: 'reject',
          reason: 'The clamp ring’s gaps are not alike: its screws are not drawn evenly.',
          limit: 'one blade',
          remedy: 'Ease the wide side’s screws, draw both sides evenly, feel again.',
        },
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
    ? { ...shared, verdict: 'accept', reason: `The rings’ joints stand ${deg}° from the race’s.` }
    : {
        ...shared,
        verdict: 'reject',
        reason: `The rings’ joints stand ${deg}° from the race’s, not ${wanted}°.`,
        remedy: 'Ease the clamp screws, turn the rings, measure again.',
      };
}

function placeOf(parts: Parts, key: string): Place | null {
  const label = LABEL[key];
  if (!label || !keysOf(parts).includes(key)) return null;
  if (key === 'offset')
    return { key, label, kind: 'angle', low: 0, high: 180, instrumentKinds: ['protractor'] };
  return { key, label, kind: 'gap', low: 0, high: 5, instrumentKinds: ['feeler'] };
}
